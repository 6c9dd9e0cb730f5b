package dev.patientharbor.cli;

import dev.patientharbor.accepting.AcceptedRoster;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code accept}: who receives what, as it is to stay until somebody accepts something else. */
final class AcceptCommand {

    /** Where it is written if nothing else is said. */
    private static final String FILE = "accepted-roster.txt";

    private AcceptCommand() {}

    static CommandSpec spec() {
        return CommandOptions.writing(
                "Writes the accepted roster: one line for each need and profile, made for reviews."
                        + " check --against then reports every answer that is another one.",
                FILE);
    }

    static int run(ParseResult parsed, Console console) {
        return WrittenFile.of(
                parsed, console, FILE, verdict -> AcceptedRoster.text(verdict.rosters().values()));
    }
}
