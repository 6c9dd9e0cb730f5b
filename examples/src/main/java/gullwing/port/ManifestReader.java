package gullwing.port;

import java.util.List;

/**
 * Reads a manifest, one line for each thing.
 *
 * @param <T> what the manifest lists
 */
public interface ManifestReader<T> {
    List<T> read(List<String> lines);
}
