package dev.patientharbor.rig;

import java.util.Optional;

/** What is reported of something that the user's code threw, whatever it is. */
final class ThrownText {

    /** In characters; a message may be as long as its maker likes. */
    private static final int LONGEST = 2_000;

    private ThrownText() {}

    /** Its class and its message; what makes the message may throw as well. */
    static String of(Throwable thrown) {
        String text;
        try {
            text = String.valueOf(thrown);
        } catch (Throwable again) {
            text =
                    thrown.getClass().getName()
                            + ", whose message cannot be had: it threw "
                            + again.getClass().getName();
        }
        return text.length() <= LONGEST ? text : text.substring(0, LONGEST) + "…";
    }

    /** The first place of its stack that is in the user's own code, where there is one. */
    static Optional<StackTraceElement> place(Throwable thrown) {
        try {
            return place(thrown.getStackTrace());
        } catch (Throwable again) {
            return Optional.empty();
        }
    }

    /** The first place of a stack that is in the user's own code, where there is one. */
    static Optional<StackTraceElement> place(StackTraceElement[] stack) {
        for (StackTraceElement frame : stack) {
            boolean isJdk =
                    frame.getModuleName() != null
                            && frame.getModuleName().matches("jdk\\..*|java\\..*");
            if (!isJdk && !frame.getClassName().startsWith("dev.patientharbor.")) {
                return Optional.of(frame);
            }
        }
        return Optional.empty();
    }
}
