package dev.patientharbor.cli;

import static dev.patientharbor.cli.CommandOptions.many;
import static dev.patientharbor.cli.CommandOptions.names;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.RosterFilter;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.plan.AnswerKind;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.ParseResult;

/** What roster takes beside what every command does that reads a profile file. */
final class RosterOptions {

    private static final String TOUCHES = "--touches";
    private static final String OBSERVED = "--observed";
    private static final String DEPTH = "--depth";
    private static final String CONSUMER = "--consumer";
    private static final String SLOT = "--slot";
    private static final String KIND = "--kind";
    private static final String DIFFERING = "--differing";

    private RosterOptions() {}

    /** Of roster: whether nothing is left out for brevity. */
    static OptionSpec wide() {
        return CommandOptions.wide(
                "Fold no line; as text also name all who share an instance, not five of them, and"
                        + " give the members of a collection each time.");
    }

    /** Of roster: whether what reaches outside is told as well. */
    static OptionSpec touches() {
        return OptionSpec.builder(TOUCHES)
                .description(
                        "Tell as well what the classes shown reach outside: the network, files, the"
                                + " clock …, by the shortest way.")
                .build();
    }

    static boolean isWithTouches(ParseResult parsed) {
        return parsed.hasMatchedOption(TOUCHES);
    }

    /** Of what shows rosters: what runs left behind of what they met. */
    static OptionSpec observed() {
        return CommandOptions.one(
                        OBSERVED,
                        "PLACE",
                        "Tell as well how many runs met each answer: the folder that the system"
                                + " property patientharbor.observed of the tests named, or a file"
                                + " of run --observe.")
                .build();
    }

    /** What was observed, beside the rosters of a verdict; empty if nobody asks. */
    static Optional<ObservedRosters> observed(
            ParseResult parsed, Verdict verdict, RosterFilter filter) {
        String place = parsed.matchedOptionValue(OBSERVED, "");
        return place.isEmpty()
                ? Optional.empty()
                : Optional.of(ObservedPlace.read(place, verdict, filter));
    }

    /** Of roster: how deep the tree goes. */
    static OptionSpec depth() {
        return CommandOptions.one(
                        DEPTH,
                        "N",
                        "With --format tree: go so deep, from 1; by default to the end.")
                .build();
    }

    static int depth(ParseResult parsed) {
        String depth = parsed.matchedOptionValue(DEPTH, "");
        if (depth.isEmpty()) {
            return Integer.MAX_VALUE;
        }
        if (!depth.matches("[1-9]\\d{0,8}")) {
            throw new UnusableException("--depth takes a number from 1, not " + depth);
        }
        return Integer.parseInt(depth);
    }

    static OptionSpec consumersShown() {
        return many(
                        CONSUMER,
                        "PATTERN",
                        "Show what these consumers receive: names, with * for any part.")
                .build();
    }

    static OptionSpec slotsShown() {
        return many(
                        SLOT,
                        "PATTERN",
                        "Show who asks for these slots: WeatherFeed@*, with * for any part.")
                .build();
    }

    static OptionSpec kindsShown() {
        return many(KIND, "KIND", "Show what is answered so: " + String.join(", ", kinds()) + ".")
                .completionCandidates(kinds())
                .build();
    }

    static OptionSpec differing() {
        return OptionSpec.builder(DIFFERING)
                .description("Show needs that the profiles shown do not all answer alike.")
                .build();
    }

    private static List<String> kinds() {
        return Arrays.stream(AnswerKind.values()).map(AnswerKind::word).toList();
    }

    static RosterFilter filter(ParseResult parsed) {
        Set<AnswerKind> wanted = EnumSet.noneOf(AnswerKind.class);
        for (String word : names(parsed, KIND, "kinds")) {
            wanted.add(
                    Arrays.stream(AnswerKind.values())
                            .filter(kind -> kind.word().equals(word))
                            .findFirst()
                            .orElseThrow(
                                    () ->
                                            new UnusableException(
                                                    "--kind takes "
                                                            + String.join(", ", kinds())
                                                            + ", not "
                                                            + word)));
        }
        return new RosterFilter(
                names(parsed, CONSUMER, "names of consumers"),
                names(parsed, SLOT, "slots"),
                wanted,
                parsed.hasMatchedOption(DIFFERING));
    }
}
