package dev.patientharbor.files;

import java.nio.file.FileSystemException;

/**
 * Thrown where a file is not read, for what it is; the reason is part of a sentence: {@code it is
 * …}.
 */
public final class UnfitFileException extends FileSystemException {

    private static final long serialVersionUID = 1;

    public UnfitFileException(String file, String reason) {
        super(file, null, reason);
    }
}
