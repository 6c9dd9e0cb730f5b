package dev.patientharbor.cli;

import static dev.patientharbor.cli.CommandOptions.IN_PLACE;
import static dev.patientharbor.cli.CommandOptions.OUT;
import static dev.patientharbor.cli.CommandOptions.code;
import static dev.patientharbor.cli.CommandOptions.help;
import static dev.patientharbor.cli.CommandOptions.insideFolder;
import static dev.patientharbor.cli.CommandOptions.one;
import static dev.patientharbor.cli.CommandOptions.profiles;
import static dev.patientharbor.cli.CommandOptions.wide;

import dev.patientharbor.comparing.ChangeKind;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;
import picocli.CommandLine.ParseResult;

/** What compare and explain take. */
final class CompareOptions {

    private static final String WITH = "--with";
    private static final String ONLY = "--only";
    private static final String FAIL_ON_DIFFERENCE = "--fail-on-difference";

    private CompareOptions() {}

    /**
     * What is compared.
     *
     * @param file the profile file; blank for the only one of the folder
     * @param names the profiles
     */
    record Compared(String file, List<String> names) {}

    /** The options of a command that compares. */
    static CommandSpec comparing() {
        CommandSpec spec = CommandSpec.create();
        spec.usageMessage().sortOptions(false);
        spec.addPositional(
                PositionalParamSpec.builder()
                        .paramLabel("[FILE] A [B]")
                        .hideParamSyntax(true)
                        .index("0..*")
                        .arity("0..3")
                        .type(List.class)
                        .auxiliaryTypes(String.class)
                        .description(
                                "Two profiles; or one saved roster (.json), to compare it with the"
                                        + " file, or two. Before them the profile file, whose name"
                                        + " ends with .yaml or .yml; by default the only"
                                        + " *.harbor.yaml in the current folder.")
                        .build());
        spec.addOption(code(IN_PLACE));
        spec.addOption(insideFolder());
        spec.addOption(
                OptionSpec.builder(WITH)
                        .paramLabel("'SLOT: SUPPLY'")
                        .arity("1")
                        .type(List.class)
                        .auxiliaryTypes(String.class)
                        .description(
                                "Compare A with itself as it would be with this line among its"
                                        + " bindings. Several may be given; no file is changed.")
                        .build());
        spec.addOption(
                one(ONLY, "kinds", "Show changes between real and stand-in alone.")
                        .completionCandidates(List.of("kinds"))
                        .build());
        spec.addOption(
                OptionSpec.builder(FAIL_ON_DIFFERENCE)
                        .description("End with exit code 1 if anything differs.")
                        .build());
        spec.addOption(wide("Fold no line."));
        spec.addOption(one(OUT, "FILE", "Write the result there.").build());
        return help(spec);
    }

    /** The options of a command that explains. */
    static CommandSpec explaining() {
        CommandSpec spec = CommandSpec.create();
        spec.usageMessage().sortOptions(false);
        spec.addPositional(
                PositionalParamSpec.builder()
                        .paramLabel("[FILE] SUBJECT")
                        .hideParamSyntax(true)
                        .index("0..*")
                        .arity("0..2")
                        .type(List.class)
                        .auxiliaryTypes(String.class)
                        .description(
                                "A consumer (FeeBooth), one of its needs (FeeBooth.fees), a slot"
                                        + " (WeatherFeed@coast), an implementation, a profile, or"
                                        + " the id of a finding; before it the profile file, whose"
                                        + " name ends with .yaml or .yml.")
                        .build());
        spec.addOption(profiles());
        spec.addOption(code(IN_PLACE));
        spec.addOption(insideFolder());
        spec.addOption(wide("Fold no line."));
        spec.addOption(one(OUT, "FILE", "Write the result there.").build());
        return help(spec);
    }

    /** The kinds of changes that are shown. */
    static Set<ChangeKind> shown(ParseResult parsed) {
        return isOnlyKinds(parsed) ? EnumSet.of(ChangeKind.KIND) : EnumSet.allOf(ChangeKind.class);
    }

    static Compared compared(ParseResult parsed) {
        List<String> names = new ArrayList<>(parsed.matchedPositionalValue(0, List.<String>of()));
        Optional<String> file = names.stream().filter(CommandOptions::isYaml).findFirst();
        file.ifPresent(names::remove);
        return new Compared(file.orElse(""), List.copyOf(names));
    }

    static List<String> tried(ParseResult parsed) {
        return parsed.matchedOptionValue(WITH, List.of());
    }

    static boolean failsOnDifference(ParseResult parsed) {
        return parsed.hasMatchedOption(FAIL_ON_DIFFERENCE);
    }

    private static boolean isOnlyKinds(ParseResult parsed) {
        String only = parsed.matchedOptionValue(ONLY, "");
        if (!only.isEmpty() && !only.equals("kinds")) {
            throw new UnusableException("--only takes kinds, not " + only);
        }
        return !only.isEmpty();
    }
}
