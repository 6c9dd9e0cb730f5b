package dev.patientharbor.cli;

import dev.patientharbor.accepting.AcceptedRoster;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.profiles.ProfileSet;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code accept}: who receives what, as it is to stay until somebody accepts something else. */
final class AcceptCommand {

    /** Where it is written if nothing else is said, and read from. */
    static final String FILE = "accepted-roster.txt";

    private AcceptCommand() {}

    static CommandSpec spec() {
        return CommandOptions.writing(
                "Writes the accepted roster: one line for each need and profile, made for reviews."
                        + " check --against then reports every answer that is another one.",
                FILE);
    }

    static int run(ParseResult parsed, Console console) {
        Severity failOn = CommandOptions.failOn(parsed);
        ProfileSet set = CheckRun.set(parsed, CheckRun.input(parsed));
        ResultOutput output = ResultOutput.of(parsed, set, console, FILE);
        Verdict verdict = CheckRun.verdict(set, parsed);
        output.write(AcceptedRoster.text(verdict.rosters().values()));
        return CommandEnding.afterOther(verdict, failOn, console);
    }
}
