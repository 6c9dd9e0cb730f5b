package dev.patientharbor.code;

import dev.patientharbor.model.Written;
import java.nio.file.Path;

/**
 * One place to read compiled code from.
 *
 * @param written the place as the user wrote it
 * @param path a folder, a jar, or a pattern whose last name may hold {@code *} and {@code ?}
 */
public record CodeRoot(Written written, Path path) {}
