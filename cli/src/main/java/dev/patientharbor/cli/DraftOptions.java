package dev.patientharbor.cli;

import static dev.patientharbor.cli.CommandOptions.OUT;
import static dev.patientharbor.cli.CommandOptions.PROFILE;
import static dev.patientharbor.cli.CommandOptions.code;
import static dev.patientharbor.cli.CommandOptions.help;
import static dev.patientharbor.cli.CommandOptions.many;
import static dev.patientharbor.cli.CommandOptions.names;
import static dev.patientharbor.cli.CommandOptions.one;

import java.util.List;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.ParseResult;

/** What draft takes. */
final class DraftOptions {

    private static final String ENTRY = "--entry";
    private static final String FROM = "--from";
    private static final String VERIFY = "--verify";
    private static final String INTO = "--into";
    private static final String TESTS = "--tests";

    private DraftOptions() {}

    /** The options of a command that drafts a profile file. */
    static CommandSpec drafting() {
        CommandSpec spec = CommandSpec.create();
        spec.usageMessage().sortOptions(false);
        spec.addOption(code("Compiled code to read."));
        spec.addOption(
                many(
                                ENTRY,
                                "CLASS",
                                "The entry consumers; by default the classes that ask for"
                                        + " contracts, and that nobody asks for.")
                        .build());
        spec.addOption(
                one(
                                FROM,
                                "CLASS#METHOD",
                                "The method that wires by hand: what it does becomes the profiles."
                                        + " CLASS alone means its constructor.")
                        .build());
        spec.addOption(
                OptionSpec.builder(VERIFY)
                        .description(
                                "With --from: list all that the method hands over, and what the"
                                        + " draft gives instead; the exit code is 1 where they"
                                        + " differ.")
                        .build());
        spec.addOption(
                one(
                                INTO,
                                "FILE",
                                "Add to a profile of this file what it misses; all that stands"
                                        + " there stays as it is.")
                        .build());
        spec.addOption(
                one(PROFILE, "NAME", "With --into: the profile; by default the only one.").build());
        spec.addOption(one(OUT, "FILE", "Write the draft there; no file is overwritten.").build());
        spec.addOption(
                one(
                                TESTS,
                                "FILE",
                                "With --out or --into: write a JUnit 5 test of the profiles there,"
                                        + " a Java file; no file is overwritten.")
                        .build());
        return help(spec);
    }

    static List<String> entries(ParseResult parsed) {
        return names(parsed, ENTRY, "names of classes");
    }

    static String from(ParseResult parsed) {
        return parsed.matchedOptionValue(FROM, "");
    }

    static String into(ParseResult parsed) {
        return parsed.matchedOptionValue(INTO, "");
    }

    static String tests(ParseResult parsed) {
        return parsed.matchedOptionValue(TESTS, "");
    }

    static String profile(ParseResult parsed) {
        return parsed.matchedOptionValue(PROFILE, "");
    }

    static boolean isVerified(ParseResult parsed) {
        return parsed.hasMatchedOption(VERIFY);
    }
}
