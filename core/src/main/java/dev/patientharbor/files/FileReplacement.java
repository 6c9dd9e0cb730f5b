package dev.patientharbor.files;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;

/** Writes a file in place of what stands there, whole or not at all. */
public final class FileReplacement {

    private FileReplacement() {}

    /**
     * Writes text, in UTF-8. It is written beside the file first and moved when it is whole, so
     * that a failure leaves what was there. A link is followed; permissions stay. What is no
     * regular file, such as a pipe, is written to as it is, and so is a file whose folder takes no
     * other one.
     *
     * @throws IOException if it cannot be written; nothing has changed then
     */
    public static void write(Path file, String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        boolean exists = Files.exists(file);
        if (exists && !Files.isRegularFile(file)) {
            Files.write(file, bytes, StandardOpenOption.WRITE);
            return;
        }
        Path target = exists ? file.toRealPath() : file.toAbsolutePath();
        if (exists && !Files.isWritable(target)) {
            throw new AccessDeniedException(target.toString());
        }
        Path beside =
                target.resolveSibling(
                        "."
                                + target.getFileName()
                                + "."
                                + ProcessHandle.current().pid()
                                + "-"
                                + Long.toString(System.nanoTime(), Character.MAX_RADIX));
        try {
            Files.write(beside, bytes, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
            if (exists) {
                keepPermissions(target, beside);
            }
            Files.move(beside, target, StandardCopyOption.REPLACE_EXISTING);
        } catch (AccessDeniedException closedFolder) {
            Files.write(target, bytes);
        } finally {
            Files.deleteIfExists(beside);
        }
    }

    private static void keepPermissions(Path from, Path to) throws IOException {
        PosixFileAttributeView own = Files.getFileAttributeView(from, PosixFileAttributeView.class);
        if (own != null) {
            Files.setPosixFilePermissions(to, own.readAttributes().permissions());
        }
    }
}
