package dev.patientharbor.cli;

/** What the tool tells the shell. */
final class ExitCode {

    /** Nothing at or above the threshold. */
    static final int CLEAN = 0;

    /** Findings at or above the threshold. */
    static final int FINDINGS = 1;

    /** The command or its input could not be used. */
    static final int UNUSABLE = 2;

    /** A fault of ours. */
    static final int OUR_FAULT = 3;

    private ExitCode() {}
}
