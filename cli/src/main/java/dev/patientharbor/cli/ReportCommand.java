package dev.patientharbor.cli;

import dev.patientharbor.comparing.RosterFilter;
import dev.patientharbor.page.ReportPage;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code report}: one page to look around in. */
final class ReportCommand {

    private static final String FILE = "patient-harbor.html";

    private ReportCommand() {}

    static CommandSpec spec() {
        return CommandOptions.writing(FILE).addOption(RosterOptions.observed());
    }

    static int run(ParseResult parsed, Console console) {
        return WrittenFile.of(
                parsed,
                console,
                FILE,
                verdict ->
                        ReportPage.render(
                                verdict,
                                RosterOptions.observed(parsed, verdict, RosterFilter.ALL)));
    }
}
