package dev.patientharbor.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;

/** Says in words why a file could not be read or written. */
final class Reason {

    private Reason() {}

    static String of(UncheckedIOException fault) {
        IOException cause = fault.getCause();
        String why =
                cause instanceof NoSuchFileException
                        ? "there is no such file"
                        : cause instanceof AccessDeniedException
                                ? "no permission"
                                : cause instanceof FileSystemException system
                                                && system.getReason() != null
                                        ? system.getReason()
                                        : String.valueOf(cause.getMessage());
        return fault.getMessage() + ": " + why;
    }
}
