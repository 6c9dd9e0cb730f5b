package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.CoverageText;
import dev.patientharbor.report.RosterJson;
import dev.patientharbor.report.RosterText;
import dev.patientharbor.report.RosterTree;
import dev.patientharbor.report.TextLayout;
import dev.patientharbor.report.TouchesText;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code roster}: who receives what? */
final class RosterCommand {

    /** The forms of the answer. */
    private enum Format {
        TEXT,
        TREE,
        COVERAGE,
        JSON
    }

    private RosterCommand() {}

    static CommandSpec spec() {
        return CommandOptions.reading(
                        "Shows who receives what, consumer by consumer, profile beside profile.",
                        Format.values())
                .addOption(CommandOptions.wide())
                .addOption(CommandOptions.touches());
    }

    static int run(ParseResult parsed, Console console) {
        Format format = CommandOptions.format(parsed, Format.values());
        Severity failOn = CommandOptions.failOn(parsed);
        ProfileSet set = CheckRun.set(parsed, CheckRun.input(parsed));
        ResultOutput output = ResultOutput.of(parsed, set, console);
        Verdict verdict = CheckRun.verdict(set, parsed);
        TextLayout layout = output.layout();
        boolean touches = CommandOptions.isWithTouches(parsed);
        String text =
                switch (format) {
                    case JSON ->
                            touches
                                    ? RosterJson.render(verdict, set.touches())
                                    : RosterJson.render(verdict);
                    case COVERAGE -> CoverageText.render(verdict, layout);
                    case TREE -> RosterTree.render(verdict, layout);
                    case TEXT ->
                            CommandOptions.isWide(parsed)
                                    ? RosterText.renderWide(verdict, layout)
                                    : RosterText.render(verdict, layout);
                };
        if (touches && format != Format.JSON) {
            text += TouchesText.render(verdict, set.touches(), layout);
        }
        output.write(text);
        int ending = CommandEnding.of(verdict, failOn, console);
        if (ending == ExitCode.FINDINGS) {
            console.notify("there are findings: patient-harbor check reports them");
        }
        return ending;
    }
}
