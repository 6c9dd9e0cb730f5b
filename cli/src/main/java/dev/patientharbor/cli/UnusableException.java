package dev.patientharbor.cli;

/** The command or its input cannot be used; the message says why and what to do. */
final class UnusableException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    UnusableException(String message) {
        super(message);
    }
}
