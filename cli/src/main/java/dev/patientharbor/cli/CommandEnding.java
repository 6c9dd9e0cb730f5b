package dev.patientharbor.cli;

import dev.patientharbor.check.RuleFault;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Severity;

/** How a command ends that has told its verdict. */
final class CommandEnding {

    /** Where to look for them. */
    private static final String THERE_ARE_FINDINGS =
            "there are findings: patient-harbor check reports them";

    private CommandEnding() {}

    /**
     * The exit code for a verdict; faults of ours are reported after what was found in spite of
     * them.
     */
    static int of(Verdict verdict, Severity failOn, Console console) {
        if (verdict.faults().isEmpty()) {
            return verdict.hasAtLeast(failOn) ? ExitCode.FINDINGS : ExitCode.CLEAN;
        }
        for (RuleFault fault : verdict.faults()) {
            console.notify(
                    "patient-harbor: a fault of ours, not of your file: "
                            + fault.rule()
                            + " did not come to its end: "
                            + fault.cause());
        }
        return ExitCode.OUR_FAULT;
    }

    /**
     * The exit code for a verdict of which the answer tells no findings: it says where they are.
     */
    static int afterOther(Verdict verdict, Severity failOn, Console console) {
        int ending = of(verdict, failOn, console);
        if (ending == ExitCode.FINDINGS) {
            console.notify(THERE_ARE_FINDINGS);
        }
        return ending;
    }

    /** Says that an answer is one about a file in which something is wrong. */
    static void pointToFindings(Verdict verdict, Console console) {
        if (verdict.hasAtLeast(Severity.ERROR)) {
            console.notify(THERE_ARE_FINDINGS);
        }
    }
}
