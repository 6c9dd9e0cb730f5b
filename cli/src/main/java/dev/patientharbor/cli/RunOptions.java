package dev.patientharbor.cli;

import static dev.patientharbor.cli.CommandOptions.one;

import dev.patientharbor.profiles.ProfileSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.PositionalParamSpec;
import picocli.CommandLine.ParseResult;

/** What {@code run} takes. */
final class RunOptions {

    private static final String OBSERVE = "--observe";

    private RunOptions() {}

    /**
     * A program that is to be run.
     *
     * @param file the profile file; blank for the only one of the folder
     * @param name the class
     * @param arguments those of the program
     */
    record Program(String file, String name, List<String> arguments) {}

    static CommandSpec spec() {
        CommandSpec spec = CommandSpec.create();
        spec.usageMessage().sortOptions(false);
        // What stands behind the class belongs to the program, whatever it looks like.
        spec.parser().stopAtPositional(true);
        spec.addPositional(
                PositionalParamSpec.builder()
                        .paramLabel("[FILE] CLASS [ARGUMENT...]")
                        .hideParamSyntax(true)
                        .index("0..*")
                        .arity("0..*")
                        .type(List.class)
                        .auxiliaryTypes(String.class)
                        .description(
                                "The class, and the arguments of its main; options stand before"
                                        + " it. Before it the profile file, whose name ends with"
                                        + " .yaml or .yml.")
                        .build());
        spec.addOption(
                one(CommandOptions.PROFILE, "NAME", "The profile; needed if there are several.")
                        .build());
        spec.addOption(CommandOptions.code(CommandOptions.IN_PLACE));
        spec.addOption(CommandOptions.insideFolder());
        spec.addOption(
                one(
                                OBSERVE,
                                "FILE",
                                "Put a spy around every contract that can have one, and write"
                                        + " there what was really used, for roster --observed.")
                        .build());
        return CommandOptions.help(spec);
    }

    static Program program(ParseResult parsed) {
        List<String> words = new ArrayList<>(parsed.matchedPositionalValue(0, List.<String>of()));
        Optional<String> file = words.stream().limit(1).filter(CommandOptions::isYaml).findFirst();
        file.ifPresent(words::remove);
        if (words.isEmpty()) {
            throw new UnusableException(
                    "run needs a class: an entry consumer that is a Runnable or Callable, or a"
                            + " main class");
        }
        return new Program(
                file.orElse(""), words.get(0), List.copyOf(words.subList(1, words.size())));
    }

    /** The profile that is named, or the only one. */
    static String profile(ParseResult parsed, ProfileSet set) {
        String named = parsed.matchedOptionValue(CommandOptions.PROFILE, "");
        if (named.isEmpty() && set.profiles().size() != 1) {
            throw new UnusableException(
                    "run needs --profile and one of " + String.join(", ", set.profiles()));
        }
        return named.isEmpty() ? set.profiles().get(0) : named;
    }

    static String observe(ParseResult parsed) {
        return parsed.matchedOptionValue(OBSERVE, "");
    }
}
