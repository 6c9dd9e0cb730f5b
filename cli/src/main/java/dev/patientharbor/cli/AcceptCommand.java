package dev.patientharbor.cli;

import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code accept}: who receives what, as it is to stay until somebody accepts something else. */
final class AcceptCommand {

    /** Where it is written if nothing else is said. */
    private static final String FILE = "accepted-roster.txt";

    private AcceptCommand() {}

    static CommandSpec spec() {
        return CommandOptions.writing(FILE);
    }

    static int run(ParseResult parsed, Console console) {
        return WrittenFile.of(parsed, console, FILE, verdict -> verdict.accepted());
    }
}
