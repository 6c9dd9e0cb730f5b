package dev.patientharbor.cli;

import dev.patientharbor.accepting.AcceptedRoster;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.files.FilePaths;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.CheckJson;
import dev.patientharbor.report.CheckMarkdown;
import dev.patientharbor.report.CheckSarif;
import dev.patientharbor.report.CheckTestResults;
import dev.patientharbor.report.CheckText;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code check}: is every profile complete? */
final class CheckCommand {

    /** The forms of the answer. */
    private enum Format {
        TEXT,
        JSON,
        SARIF,
        JUNIT,
        MARKDOWN
    }

    private CheckCommand() {}

    static CommandSpec spec() {
        return CommandOptions.reading(Format.values())
                .addOption(CommandOptions.wide("As text, fold no line."))
                .addOption(CommandOptions.against())
                .addOption(CommandOptions.wiredBy())
                .addOption(CommandOptions.build())
                .addOption(CommandOptions.timeLimit());
    }

    static int run(ParseResult parsed, Console console) {
        Format format = CommandOptions.format(parsed, Format.values());
        Severity failOn = CommandOptions.failOn(parsed);
        byte[] input = CheckRun.input(parsed);
        ProfileSet set = CheckRun.set(parsed, input);
        ResultOutput output = ResultOutput.of(parsed, set, console);
        Verdict verdict =
                CommandOptions.wiredBy(parsed).isEmpty()
                        ? CheckRun.verdict(set, parsed)
                        : wired(set, parsed);
        if (CommandOptions.isBuild(parsed)) {
            verdict =
                    new RealBuild(
                                    parsed.originalArgs(),
                                    input,
                                    CommandOptions.timeLimit(parsed),
                                    console)
                            .of(verdict, CommandOptions.today(parsed));
        }
        String against = CommandOptions.against(parsed);
        if (!against.isEmpty()) {
            verdict = verdict.against(accepted(against), CommandOptions.today(parsed));
        }
        output.write(
                switch (format) {
                    case TEXT -> CheckText.render(verdict, output.layout());
                    case JSON -> CheckJson.render(verdict);
                    case SARIF -> CheckSarif.render(verdict);
                    case JUNIT -> CheckTestResults.render(verdict, failOn);
                    case MARKDOWN -> CheckMarkdown.render(verdict);
                });
        return CommandEnding.of(verdict, failOn, console);
    }

    /** One profile, held against hand wiring. */
    private static Verdict wired(ProfileSet set, ParseResult parsed) {
        List<String> profiles = CommandOptions.profiles(parsed);
        if (profiles.size() != 1) {
            throw new UnusableException(
                    "--wired-by holds one profile against a method: write --profile and one of "
                            + String.join(", ", set.profiles()));
        }
        try {
            return set.checkWiring(
                            profiles.get(0),
                            CommandOptions.wiredBy(parsed),
                            CommandOptions.today(parsed))
                    .only(profiles);
        } catch (IllegalArgumentException unusable) {
            throw new UnusableException(unusable.getMessage());
        }
    }

    private static AcceptedRoster accepted(String given) {
        try {
            return AcceptedRoster.parse(
                    Files.readString(FilePaths.resolve(Path.of(""), given)), given);
        } catch (NoSuchFileException missing) {
            throw new UnusableException(
                    "there is no "
                            + given
                            + "; write it with: patient-harbor accept --out "
                            + given);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot read " + given, fault);
        } catch (IllegalArgumentException unusable) {
            throw new UnusableException(unusable.getMessage());
        }
    }
}
