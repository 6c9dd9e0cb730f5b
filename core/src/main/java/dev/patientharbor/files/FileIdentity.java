package dev.patientharbor.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;

/** What makes a file or a folder the same one under several names. */
public final class FileIdentity {

    private FileIdentity() {}

    /**
     * Returns a key that is equal for two names of one file, by links of whatever kind; of what is
     * not there its name.
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
