package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;

/** Finds the line of the caller's source on which something is declared. */
final class CallerPositions {

    private static final String OURS = CallerPositions.class.getPackageName() + '.';

    private CallerPositions() {}

    /**
     * Returns the nearest line on the stack that is not of this package; the class where the
     * compiler kept no lines.
     */
    static SourcePosition here() {
        return StackWalker.getInstance()
                .walk(
                        frames ->
                                frames.filter(frame -> !frame.getClassName().startsWith(OURS))
                                        .findFirst()
                                        .map(CallerPositions::place)
                                        .orElseThrow());
    }

    private static SourcePosition place(StackWalker.StackFrame frame) {
        return frame.getFileName() == null || frame.getLineNumber() < 1
                ? SourcePosition.classNamed(frame.getClassName())
                : new SourcePosition.InSource(frame.getFileName(), frame.getLineNumber());
    }
}
