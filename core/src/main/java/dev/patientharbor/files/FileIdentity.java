package dev.patientharbor.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;

/** What makes a file or a folder the same one under several names. */
public final class FileIdentity {

    private FileIdentity() {}

    /**
     * Equal for two names of one file, by links of whatever kind; by its name if it is not there.
     */
    public static Object of(Path path) {
        try {
            Object key = Files.readAttributes(path, BasicFileAttributes.class).fileKey();
            return key == null ? path.toRealPath() : key;
        } catch (IOException notThere) {
            return path.toAbsolutePath().normalize();
        }
    }
}
