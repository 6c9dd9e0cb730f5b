package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.page.ReportPage;
import dev.patientharbor.profiles.ProfileSet;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code report}: one page to look around in. */
final class ReportCommand {

    private static final String FILE = "patient-harbor.html";

    private ReportCommand() {}

    static CommandSpec spec() {
        return CommandOptions.writing(
                "Writes one HTML file to look around in: who receives what in every profile, what"
                        + " differs, the graph, what is wrong, and how real each environment is.",
                FILE);
    }

    static int run(ParseResult parsed, Console console) {
        Severity failOn = CommandOptions.failOn(parsed);
        ProfileSet set = CheckRun.set(parsed, CheckRun.input(parsed));
        ResultOutput output = ResultOutput.of(parsed, set, console, FILE);
        Verdict verdict = CheckRun.verdict(set, parsed);
        output.write(ReportPage.render(verdict));
        return CommandEnding.afterOther(verdict, failOn, console);
    }
}
