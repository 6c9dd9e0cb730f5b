package dev.patientharbor.profiles;

import dev.patientharbor.finding.Where;

/** Finds the line of the caller's source on which something is declared. */
final class Positions {

    private static final String OURS = Positions.class.getPackageName() + '.';

    private Positions() {}

    /** The nearest line that is not of this package; the class where the compiler kept no lines. */
    static Where here() {
        return StackWalker.getInstance()
                .walk(
                        frames ->
                                frames.filter(frame -> !frame.getClassName().startsWith(OURS))
                                        .findFirst()
                                        .map(Positions::place)
                                        .orElseThrow());
    }

    private static Where place(StackWalker.StackFrame frame) {
        return frame.getFileName() == null || frame.getLineNumber() < 1
                ? Where.classNamed(frame.getClassName())
                : new Where.InSource(frame.getFileName(), frame.getLineNumber());
    }
}
