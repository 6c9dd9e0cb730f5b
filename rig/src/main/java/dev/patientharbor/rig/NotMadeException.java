package dev.patientharbor.rig;

import dev.patientharbor.texts.JavaName;

/**
 * An object was not made, and not because what makes it threw: its class cannot be used, or what it
 * is given cannot be had. The message is a part of a sentence.
 */
final class NotMadeException extends RuntimeException {

    private static final long serialVersionUID = 1;

    NotMadeException(String what, Throwable cause) {
        super(what, cause);
    }

    /** Says that a class cannot be loaded, linked or initialised, or lacks a member. */
    static NotMadeException unusable(String className, Throwable cause) {
        if (cause instanceof ExceptionInInitializerError initializer
                && initializer.getException() != null) {
            Throwable thrown = initializer.getException();
            return new NotMadeException(
                    "the static initialiser of "
                            + initialized(thrown, className)
                            + " threw "
                            + ThrownText.of(thrown),
                    thrown);
        }
        return new NotMadeException(
                "the class " + JavaName.of(className) + " cannot be used: " + ThrownText.of(cause),
                cause);
    }

    /** The class whose initialiser threw: that of another one may have run on the way. */
    private static String initialized(Throwable thrown, String className) {
        for (StackTraceElement frame : thrown.getStackTrace()) {
            if (frame.getMethodName().equals("<clinit>")) {
                return JavaName.of(frame.getClassName());
            }
        }
        return JavaName.of(className);
    }
}
