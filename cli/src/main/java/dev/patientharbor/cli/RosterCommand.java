package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.report.CoverageText;
import dev.patientharbor.report.Layout;
import dev.patientharbor.report.RosterJson;
import dev.patientharbor.report.RosterText;
import dev.patientharbor.report.RosterTree;
import java.util.List;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code roster}: who receives what? */
final class RosterCommand {

    static final String NAME = "roster";

    private static final List<String> FORMATS = List.of("text", "tree", "coverage", "json");

    private RosterCommand() {}

    static CommandSpec spec() {
        return Options.reading(
                NAME,
                "Tells who receives what, consumer by consumer, profile beside profile.",
                FORMATS);
    }

    static int run(ParseResult parsed, Console console) {
        String format = Options.format(parsed, FORMATS);
        Severity failOn = Options.failOn(parsed);
        Verdict verdict = Checked.verdict(Checked.set(parsed), parsed);
        String file = Options.out(parsed);
        Layout layout = file.isEmpty() ? console.layout() : console.forFiles();
        String text =
                switch (format) {
                    case "json" -> RosterJson.render(verdict);
                    case "coverage" -> CoverageText.render(verdict, layout);
                    case "tree" -> RosterTree.render(verdict, layout);
                    default -> RosterText.render(verdict, layout);
                };
        Output.write(text, file, console);
        int ending = Ending.of(verdict, failOn, console);
        if (ending == ExitCode.FINDINGS) {
            console.tell("there are findings: patient-harbor check tells them");
        }
        return ending;
    }
}
