package dev.patientharbor.files;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;

/** Says in words why a file could not be read or written. */
public final class IoReason {

    private IoReason() {}

    /** Returns a part of a sentence, such as {@code there is no such file}; never the path. */
    public static String of(IOException fault) {
        if (fault instanceof NoSuchFileException) {
            return "there is no such file";
        }
        if (fault instanceof AccessDeniedException) {
            return "there is no permission";
        }
        if (fault instanceof CharacterCodingException) {
            return "it is not UTF-8 text";
        }
        String told =
                fault instanceof FileSystemException system
                        ? system.getReason()
                        : fault.getMessage();
        return told == null ? "it cannot be opened" : told;
    }
}
