package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.CheckText;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code check}: is every profile complete? */
final class CheckCommand {

    /** The forms of the answer. */
    private enum Format {
        TEXT
    }

    private CheckCommand() {}

    static CommandSpec spec() {
        return Options.reading(
                        "Tells whether every profile is complete, and every mistake with its"
                                + " reason.",
                        Format.values())
                .addOption(Options.build())
                .addOption(Options.timeLimit());
    }

    static int run(ParseResult parsed, Console console) {
        Format format = Options.format(parsed, Format.values());
        Severity failOn = Options.failOn(parsed);
        byte[] input = Checked.input(parsed);
        ProfileSet set = Checked.set(parsed, input);
        Output output = Output.of(parsed, set, console);
        Verdict verdict = Checked.verdict(set, parsed);
        if (Options.isBuild(parsed)) {
            verdict =
                    new RealBuild(parsed.originalArgs(), input, Options.timeLimit(parsed), console)
                            .of(verdict, Options.today(parsed));
        }
        output.write(
                switch (format) {
                    case TEXT -> CheckText.render(verdict, output.layout());
                });
        return Ending.of(verdict, failOn, console);
    }
}
