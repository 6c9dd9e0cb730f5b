package dev.patientharbor.observing;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiPredicate;

/**
 * What was observed, beside what is planned: which answer of which profile how many runs met, and
 * what none did. Values are not told, for they do nothing. Immutable; may be used by several
 * threads.
 */
public final class ObservedRosters {

    private final ObservedUse use;
    private final Map<String, ObservedAnswer> observed = new LinkedHashMap<>();
    private final List<AnswerInUse> answers;
    private final List<EntryInUse> entries;
    private final Map<Slot, Map<String, Integer>> leastRuns = new HashMap<>();
    private final Set<String> planned = new HashSet<>();
    private final Set<String> profiles = new HashSet<>();

    private ObservedRosters(
            Collection<Roster> rosters, ObservedUse use, BiPredicate<String, RosterRow> shown) {
        this.use = use;
        use.answers().forEach(each -> observed.put(each.key(), each));
        Map<String, Gathered> gathered = new TreeMap<>();
        Map<String, Map<String, Integer>> made = new TreeMap<>();
        Set<String> shownEntries = new HashSet<>();
        List<String> order = rosters.stream().map(Roster::profile).toList();
        for (Roster roster : rosters) {
            profiles.add(roster.profile());
            for (RosterRow row : roster.rows()) {
                boolean isShown = shown.test(roster.profile(), row);
                gather(roster.profile(), row, row.answer(), isShown, gathered);
                if (row.as().isEmpty() && isObject(row.place().kind())) {
                    made.computeIfAbsent(row.consumer(), name -> new LinkedHashMap<>())
                            .put(roster.profile(), entryRuns(roster.profile(), row.consumer()));
                    if (isShown) {
                        shownEntries.add(row.consumer());
                    }
                }
            }
        }
        answers =
                gathered.values().stream()
                        .filter(each -> !each.consumers.isEmpty())
                        .map(Gathered::answer)
                        .sorted(
                                Comparator.comparing(AnswerInUse::isMet)
                                        .thenComparing(each -> -first(each, order)))
                        .toList();
        entries =
                made.entrySet().stream()
                        .filter(each -> shownEntries.contains(each.getKey()))
                        .map(each -> new EntryInUse(each.getKey(), each.getValue()))
                        .sorted(Comparator.comparing(EntryInUse::isMet))
                        .toList();
    }

    /** What becomes an answer in use. */
    private static final class Gathered {
        private final Answer first;

        /** Those who are shown; without one it is not told. */
        private final Set<String> consumers = new TreeSet<>();

        private final Map<String, Integer> runs = new LinkedHashMap<>();
        private final Map<String, ObservedAnswer> seen = new TreeMap<>();

        Gathered(Answer first) {
            this.first = first;
        }

        AnswerInUse answer() {
            return new AnswerInUse(
                    first.fills().orElseThrow().slot(),
                    first,
                    runs,
                    List.copyOf(consumers),
                    seen.values().stream().mapToInt(ObservedAnswer::made).sum(),
                    seen.values().stream()
                            .map(ObservedAnswer::calls)
                            .flatMap(Optional::stream)
                            .reduce(Integer::sum));
        }
    }

    /**
     * Puts what was observed beside rosters.
     *
     * @param rosters those of all profiles, from the desk to the real thing
     * @param use what was observed
     */
    public static ObservedRosters of(Collection<Roster> rosters, ObservedUse use) {
        return of(rosters, use, (profile, row) -> true);
    }

    /**
     * Puts what was observed beside some rows of rosters. Runs under all profiles count.
     *
     * @param rosters those of all profiles, from the desk to the real thing
     * @param use what was observed
     * @param shown whether a row of a profile is told of
     */
    public static ObservedRosters of(
            Collection<Roster> rosters, ObservedUse use, BiPredicate<String, RosterRow> shown) {
        RequiredArgument.of(rosters, "rosters");
        RequiredArgument.of(use, "use");
        RequiredArgument.of(shown, "shown");
        return new ObservedRosters(rosters, use, shown);
    }

    private void gather(
            String profile,
            RosterRow row,
            Answer answer,
            boolean shown,
            Map<String, Gathered> gathered) {
        answer.elements()
                .forEach(element -> gather(profile, row, element.answer(), shown, gathered));
        if (!isTold(answer)) {
            return;
        }
        ObservedAnswer line = line(profile, answer);
        planned.add(line.key());
        int runs = runs(profile, answer);
        // What is asked for may be another slot than that in which it stands.
        for (Slot slot : List.of(row.slot(), answer.fills().orElseThrow().slot())) {
            leastRuns.computeIfAbsent(slot, key -> new HashMap<>()).merge(profile, runs, Math::min);
        }
        Gathered one =
                gathered.computeIfAbsent(
                        line.slot() + "\n" + line.stands(), key -> new Gathered(answer));
        one.runs.merge(profile, runs, Math::max);
        Optional.ofNullable(observed.get(line.key()))
                .ifPresent(seen -> one.seen.put(line.key(), seen));
        if (shown) {
            one.consumers.add(row.consumer());
        }
    }

    /** Whether what asks there is an object: neither said in words, nor any place in the code. */
    private static boolean isObject(NeedPlace.Kind kind) {
        return switch (kind) {
            case CONSTRUCTOR, FIELD, METHOD -> true;
            case DECLARED, LOOKUP, STATIC_FIELD, STATIC_METHOD -> false;
        };
    }

    /** Returns whether it is told of an answer how many runs met it: it has to be an object. */
    public static boolean isTold(Answer answer) {
        return RequiredArgument.of(answer, "answer").fills().isPresent()
                && answer.elements().isEmpty()
                && answer.kind() != AnswerKind.VALUE
                && answer.kind() != AnswerKind.COLLECTION;
    }

    private static ObservedAnswer line(String profile, Answer answer) {
        return ObservedAnswer.inOneRun(
                profile, answer.fills().orElseThrow(), Optional.of(answer), 0, Optional.empty());
    }

    private int entryRuns(String profile, String consumer) {
        ObservedAnswer line =
                new ObservedAnswer(
                        profile, consumer, "", ObservedAnswer.ENTRY, 0, 0, Optional.empty());
        planned.add(line.key());
        return Optional.ofNullable(observed.get(line.key())).map(ObservedAnswer::runs).orElse(0);
    }

    /** The number of the first profile that has it. */
    private static int first(AnswerInUse answer, List<String> order) {
        return answer.runs().keySet().stream().mapToInt(order::indexOf).min().orElse(0);
    }

    /** Returns in how many runs under a profile an answer was made; 0 for none. */
    public int runs(String profile, Answer answer) {
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(answer, "answer");
        return isTold(answer)
                ? Optional.ofNullable(observed.get(line(profile, answer).key()))
                        .map(ObservedAnswer::runs)
                        .orElse(0)
                : 0;
    }

    /**
     * Returns in how many runs under a profile that was met which stands in a slot; of several
     * things that stand there the one that was met least. Empty if nothing stands there.
     */
    public Optional<Integer> leastRuns(String profile, Slot slot) {
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(slot, "slot");
        return Optional.ofNullable(leastRuns.getOrDefault(slot, Map.of()).get(profile));
    }

    /**
     * Returns what the profiles have in their slots: first what no run met under any profile, that
     * which stands in the last profiles alone before all; then by slot.
     */
    public List<AnswerInUse> answers() {
        return answers;
    }

    /** Returns the entry consumers that need something: first those that no run made. */
    public List<EntryInUse> entries() {
        return entries;
    }

    /**
     * Returns what runs made under a profile that has something else there now: it was observed
     * before the profile changed.
     */
    public List<ObservedAnswer> outdated() {
        return use.answers().stream()
                .filter(each -> each.made() > 0 && profiles.contains(each.profile()))
                .filter(each -> !planned.contains(each.key()))
                .toList();
    }

    /** Returns a line for each answer that no run met. */
    @Override
    public String toString() {
        StringBuilder text = new StringBuilder();
        for (AnswerInUse each : answers) {
            if (!each.isMet()) {
                text.append(each.slot().text())
                        .append(": ")
                        .append(ObservedAnswer.words(each.answer()))
                        .append(", in ")
                        .append(String.join(", ", each.runs().keySet()))
                        .append('\n');
            }
        }
        return text.toString();
    }
}
