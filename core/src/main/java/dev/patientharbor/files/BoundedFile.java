package dev.patientharbor.files;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** Reads whole files, and no more of one than its kind may have. */
public final class BoundedFile {

    private BoundedFile() {}

    /**
     * The bytes of a regular file; links are followed.
     *
     * @throws UnfitFileException if it is a folder, a device, a pipe or the like, or too large
     * @throws IOException if it is not there, or cannot be read
     */
    public static byte[] read(Path file, SizeLimit limit) throws IOException {
        requireRegular(file);
        // What is asked of the disk may have changed since: the count of what is read decides.
        try (InputStream bytes = Files.newInputStream(file)) {
            return read(bytes, file.toString(), limit);
        }
    }

    /**
     * The bytes of a stream until its end.
     *
     * @param name what the exception calls it
     * @throws UnfitFileException if there are too many
     */
    public static byte[] read(InputStream bytes, String name, SizeLimit limit) throws IOException {
        byte[] all = bytes.readNBytes(limit.bytes());
        if (all.length == limit.bytes() && bytes.read() >= 0) {
            throw new UnfitFileException(name, limit.reason());
        }
        return all;
    }

    /**
     * Refuses a path that leads to no file with an end.
     *
     * @throws UnfitFileException if it leads to something else
     * @throws IOException if it leads nowhere
     */
    public static void requireRegular(Path file) throws IOException {
        if (!Files.isRegularFile(file)) {
            // Tells what is not there from what is something else.
            file.getFileSystem().provider().checkAccess(file);
            throw new UnfitFileException(
                    file.toString(),
                    Files.isDirectory(file) ? "it is a folder" : "it is no regular file");
        }
    }
}
