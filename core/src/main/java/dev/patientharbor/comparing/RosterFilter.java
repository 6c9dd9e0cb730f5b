package dev.patientharbor.comparing;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.ShortName;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which rows of rosters are shown. Immutable.
 *
 * @param consumers patterns of who asks: short or full names, {@code *} for any part; none for all
 * @param slots patterns of what is asked for, in the same way: {@code WeatherFeed@*}
 * @param kinds what is received, also as a member of a collection; none for all
 * @param differing whether only needs are shown that some rosters answer in another way
 */
public record RosterFilter(
        List<String> consumers, List<String> slots, Set<AnswerKind> kinds, boolean differing) {

    /** Shows all rows. */
    public static final RosterFilter ALL = new RosterFilter(List.of(), List.of(), Set.of(), false);

    public RosterFilter {
        RequiredArgument.of(consumers, "consumers");
        RequiredArgument.of(slots, "slots");
        RequiredArgument.of(kinds, "kinds");
        consumers = List.copyOf(consumers);
        slots = List.copyOf(slots);
        kinds = Set.copyOf(kinds);
    }

    /**
     * Returns what tells whether a row is shown.
     *
     * @param rosters those among which rows may differ
     */
    public Predicate<RosterRow> over(Collection<Roster> rosters) {
        RequiredArgument.of(rosters, "rosters");
        Optional<Pattern> consumer = pattern(consumers);
        Optional<Pattern> slot = pattern(slots);
        Set<String> different = differing ? different(List.copyOf(rosters)) : Set.of();
        return row ->
                (consumer.isEmpty()
                                || fits(
                                        consumer.get(),
                                        row.consumer(),
                                        ShortName.of(row.consumer())))
                        && (slot.isEmpty()
                                || fits(
                                        slot.get(),
                                        row.slot().text(),
                                        row.slot().text(ShortName::of)))
                        && (kinds.isEmpty() || kindsOf(row.answer()).anyMatch(kinds::contains))
                        && (!differing || different.contains(row.identity()));
    }

    /**
     * Returns whether a consumer that asks for nothing is shown: only where no more is said of rows
     * than who asks.
     *
     * @param consumer its binary name
     */
    public boolean showsWithoutNeeds(String consumer) {
        RequiredArgument.of(consumer, "consumer");
        return slots.isEmpty()
                && kinds.isEmpty()
                && !differing
                && pattern(consumers)
                        .map(pattern -> fits(pattern, consumer, ShortName.of(consumer)))
                        .orElse(true);
    }

    private static boolean fits(Pattern pattern, String full, String shortName) {
        return pattern.matcher(full).matches() || pattern.matcher(shortName).matches();
    }

    /** One pattern for all words; a star stands for any text. */
    private static Optional<Pattern> pattern(List<String> words) {
        return words.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        Pattern.compile(
                                words.stream()
                                        .map(
                                                word ->
                                                        Stream.of(word.split("\\*", -1))
                                                                .map(Pattern::quote)
                                                                .collect(Collectors.joining(".*")))
                                        .collect(Collectors.joining("|"))));
    }

    private static Stream<AnswerKind> kindsOf(Answer answer) {
        return Stream.concat(
                Stream.of(answer.kind()),
                answer.elements().stream().flatMap(element -> kindsOf(element.answer())));
    }

    /** What one of the rosters answers in another way than the first. */
    private static Set<String> different(List<Roster> rosters) {
        Set<String> found = new HashSet<>();
        for (Roster other : rosters.subList(Math.min(1, rosters.size()), rosters.size())) {
            for (RowChange change : RosterComparison.of(rosters.get(0), other).changes()) {
                if (!change.kinds().equals(EnumSet.of(ChangeKind.SHARING))) {
                    found.add(change.row().identity());
                }
            }
        }
        return found;
    }
}
