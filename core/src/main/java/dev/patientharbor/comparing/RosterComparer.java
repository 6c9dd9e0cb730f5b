package dev.patientharbor.comparing;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** Compares two rosters, row by row. For one thread. */
final class RosterComparer {

    private static final Comparator<RowChange> ORDER =
            Comparator.comparing(RowChange::kind).thenComparing(RowChange::row, RosterRow.ORDER);

    /** Where something is received: a row, and in it a member of a collection. */
    private record Holding(String row, String member) {}

    private final Roster before;
    private final Roster after;
    private final Map<String, RosterRow> rowsBefore;
    private final Map<String, RosterRow> rowsAfter;
    private final FeelingEntries feltBefore;
    private final FeelingEntries feltAfter;

    RosterComparer(Roster before, Roster after) {
        this.before = before;
        this.after = after;
        rowsBefore = byKey(before);
        rowsAfter = byKey(after);
        feltBefore = new FeelingEntries(before);
        feltAfter = new FeelingEntries(after);
    }

    private static Map<String, RosterRow> byKey(Roster roster) {
        Map<String, RosterRow> rows = new TreeMap<>();
        for (RosterRow row : roster.rows()) {
            // One need may have several answers, if who asks stands in several ways in one slot.
            String key = row.identity();
            String free = key;
            for (int i = 2; rows.containsKey(free); i++) {
                free = key + '\t' + i;
            }
            rows.put(free, row);
        }
        return rows;
    }

    RosterComparison compare() {
        Map<String, Set<ChangeKind>> kinds = new TreeMap<>();
        Set<String> keys = new TreeSet<>(rowsBefore.keySet());
        keys.addAll(rowsAfter.keySet());
        for (String key : keys) {
            kinds.put(key, kinds(rowsBefore.get(key), rowsAfter.get(key)));
        }
        sharing().forEach(key -> kinds.get(key).add(ChangeKind.SHARING));
        List<RowChange> changes = new ArrayList<>();
        kinds.forEach(
                (key, differing) -> {
                    if (!differing.isEmpty()) {
                        changes.add(change(key, differing));
                    }
                });
        changes.sort(ORDER);
        return new RosterComparison(
                before.profile(),
                after.profile(),
                changes,
                keys.size() - changes.size(),
                before.eager() != after.eager());
    }

    private RowChange change(String key, Set<ChangeKind> kinds) {
        Optional<RosterRow> first = Optional.ofNullable(rowsBefore.get(key));
        Optional<RosterRow> second = Optional.ofNullable(rowsAfter.get(key));
        TreeSet<String> entries = new TreeSet<>();
        first.ifPresent(row -> entries.addAll(feltBefore.of(row)));
        second.ifPresent(row -> entries.addAll(feltAfter.of(row)));
        return new RowChange(first, second, kinds, List.copyOf(entries));
    }

    private static Set<ChangeKind> kinds(RosterRow first, RosterRow second) {
        Set<ChangeKind> kinds = EnumSet.noneOf(ChangeKind.class);
        if (first == null || second == null) {
            kinds.add(first == null ? ChangeKind.ONLY_AFTER : ChangeKind.ONLY_BEFORE);
            return kinds;
        }
        if (!first.slot().equals(second.slot()) || !first.carrier().equals(second.carrier())) {
            kinds.add(ChangeKind.ASKED);
        }
        add(kinds, first.answer(), second.answer());
        return kinds;
    }

    private static void add(Set<ChangeKind> kinds, Answer first, Answer second) {
        if (isReal(first.kind()) != isReal(second.kind())) {
            kinds.add(ChangeKind.KIND);
        }
        if (first.kind() != second.kind()
                || !first.implementation().equals(second.implementation())) {
            kinds.add(ChangeKind.CORE);
        }
        if (!around(first).equals(around(second))) {
            kinds.add(ChangeKind.DECORATORS);
        }
        if (!first.given().equals(second.given())) {
            kinds.add(ChangeKind.GIVEN);
        }
        if (!Objects.equals(lifetime(first), lifetime(second))) {
            kinds.add(ChangeKind.LIFETIME);
        }
        if (!members(first).equals(members(second))) {
            kinds.add(ChangeKind.MEMBERS);
        }
    }

    private static boolean isReal(AnswerKind kind) {
        return switch (kind) {
            case REAL, VALUE, FACTORY, COLLECTION -> true;
            case FAKE, STUB, MOCK, ABSENT, UNMET -> false;
        };
    }

    private static List<String> around(Answer answer) {
        return answer.around().stream()
                .map(decorator -> decorator.name() + ' ' + decorator.given())
                .toList();
    }

    private static String lifetime(Answer answer) {
        boolean hasInstance = answer.instance().isPresent();
        return answer.lifetime().map(choice -> choice.lifetime().word()).orElse("") + hasInstance;
    }

    /** All that members say, but for which instance they are. */
    private static List<String> members(Answer answer) {
        List<String> all = new ArrayList<>();
        for (Answer.Element element : answer.elements()) {
            all.add(element.decision());
        }
        return all;
    }

    /**
     * The rows that hold the same object as others in only one of the two rosters, of those that
     * are in both.
     */
    private Set<String> sharing() {
        Map<Holding, String> first = instances(rowsBefore);
        Map<Holding, String> second = instances(rowsAfter);
        first.keySet().retainAll(second.keySet());
        second.keySet().retainAll(first.keySet());
        Map<Holding, Integer> groupsBefore = groups(first);
        Map<Holding, Integer> groupsAfter = groups(second);
        Map<Integer, Set<Integer>> met = new HashMap<>();
        Map<Integer, Set<Integer>> metBack = new HashMap<>();
        groupsBefore.forEach(
                (holding, group) -> {
                    Integer other = groupsAfter.get(holding);
                    met.computeIfAbsent(group, key -> new TreeSet<>()).add(other);
                    metBack.computeIfAbsent(other, key -> new TreeSet<>()).add(group);
                });
        Set<String> rows = new TreeSet<>();
        groupsBefore.forEach(
                (holding, group) -> {
                    boolean isSplit = met.get(group).size() > 1;
                    boolean isJoined = metBack.get(groupsAfter.get(holding)).size() > 1;
                    if (isSplit || isJoined) {
                        rows.add(holding.row());
                    }
                });
        return rows;
    }

    private static Map<Holding, String> instances(Map<String, RosterRow> rows) {
        Map<Holding, String> found = new HashMap<>();
        rows.forEach((key, row) -> add(found, key, "", row.answer()));
        return found;
    }

    private static void add(Map<Holding, String> found, String row, String member, Answer answer) {
        answer.instance().ifPresent(label -> found.put(new Holding(row, member), label));
        int number = 0;
        for (Answer.Element element : answer.elements()) {
            add(found, row, member + '.' + number++, element.answer());
        }
    }

    private static Map<Holding, Integer> groups(Map<Holding, String> instances) {
        Map<String, Integer> numbers = new HashMap<>();
        Map<Holding, Integer> groups = new HashMap<>();
        instances.forEach(
                (holding, label) -> {
                    Integer known = numbers.get(label);
                    if (known == null) {
                        known = numbers.size();
                        numbers.put(label, known);
                    }
                    groups.put(holding, known);
                });
        return groups;
    }
}
