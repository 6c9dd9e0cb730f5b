package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.profiles.ProfileSet;
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
                        FORMATS)
                .addOption(Options.wide());
    }

    static int run(ParseResult parsed, Console console) {
        String format = Options.format(parsed, FORMATS);
        Severity failOn = Options.failOn(parsed);
        ProfileSet set = Checked.set(parsed, Checked.input(parsed));
        Output output = Output.of(parsed, set, console);
        Verdict verdict = Checked.verdict(set, parsed);
        Layout layout = output.layout();
        String text =
                switch (format) {
                    case "json" -> RosterJson.render(verdict);
                    case "coverage" -> CoverageText.render(verdict, layout);
                    case "tree" -> RosterTree.render(verdict, layout);
                    default ->
                            Options.isWide(parsed)
                                    ? RosterText.renderWide(verdict, layout)
                                    : RosterText.render(verdict, layout);
                };
        output.write(text);
        int ending = Ending.of(verdict, failOn, console);
        if (ending == ExitCode.FINDINGS) {
            console.tell("there are findings: patient-harbor check tells them");
        }
        return ending;
    }
}
