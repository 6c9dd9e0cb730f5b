package dev.patientharbor.comparing;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.LifetimeChoice;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;

/** Compares two rosters, row by row. For one thread. */
final class RosterComparer {

    private static final Comparator<RowChange> ORDER =
            Comparator.comparing(RowChange::kind).thenComparing(RowChange::row, RosterRow.ORDER);

    private final Roster before;
    private final Roster after;

    RosterComparer(Roster before, Roster after) {
        this.before = before;
        this.after = after;
    }

    RosterComparison compare() {
        List<RowPair> pairs = RowPair.pairs(before, after);
        Set<RowPair> sharing = new SharedObjects(pairs).differing();
        Map<RowPair, Set<ChangeKind>> differing = new LinkedHashMap<>();
        for (RowPair pair : pairs) {
            Set<ChangeKind> kinds = kinds(pair);
            if (sharing.contains(pair)) {
                kinds.add(ChangeKind.SHARING);
            }
            if (!kinds.isEmpty()) {
                differing.put(pair, kinds);
            }
        }
        return new RosterComparison(
                before.profile(),
                after.profile(),
                differing.isEmpty() ? List.of() : changes(differing),
                pairs.size() - differing.size(),
                before.eager() != after.eager());
    }

    private List<RowChange> changes(Map<RowPair, Set<ChangeKind>> differing) {
        FeelingEntries feltBefore = new FeelingEntries(before);
        FeelingEntries feltAfter = new FeelingEntries(after);
        List<RowChange> changes = new ArrayList<>();
        differing.forEach(
                (pair, kinds) -> {
                    TreeSet<String> entries = new TreeSet<>();
                    pair.before().ifPresent(row -> entries.addAll(feltBefore.of(row)));
                    pair.after().ifPresent(row -> entries.addAll(feltAfter.of(row)));
                    changes.add(
                            new RowChange(
                                    pair.before(), pair.after(), kinds, List.copyOf(entries)));
                });
        changes.sort(ORDER);
        return changes;
    }

    private static Set<ChangeKind> kinds(RowPair pair) {
        Set<ChangeKind> kinds = EnumSet.noneOf(ChangeKind.class);
        if (!pair.isOfBoth()) {
            kinds.add(pair.before().isPresent() ? ChangeKind.ONLY_BEFORE : ChangeKind.ONLY_AFTER);
            return kinds;
        }
        RosterRow first = pair.before().orElseThrow();
        RosterRow second = pair.after().orElseThrow();
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
        if (!isSameAround(first.around(), second.around())) {
            kinds.add(ChangeKind.DECORATORS);
        }
        if (!first.given().equals(second.given())) {
            kinds.add(ChangeKind.GIVEN);
        }
        if (!isSameLifetime(first, second)) {
            kinds.add(ChangeKind.LIFETIME);
        }
        if (!isSameMembers(first.elements(), second.elements())) {
            kinds.add(ChangeKind.MEMBERS);
        }
    }

    private static boolean isReal(AnswerKind kind) {
        return switch (kind) {
            case REAL, VALUE, FACTORY, COLLECTION -> true;
            case FAKE, STUB, MOCK, ABSENT, UNMET -> false;
        };
    }

    private static boolean isSameAround(List<Answer.Around> first, List<Answer.Around> second) {
        return isSame(first, second, each -> each.name() + ' ' + each.given());
    }

    /** Whether members say the same, but for which instance they are. */
    private static boolean isSameMembers(List<Answer.Element> first, List<Answer.Element> second) {
        return isSame(first, second, Answer.Element::decision);
    }

    private static <T> boolean isSame(List<T> first, List<T> second, Function<T, String> said) {
        return first.equals(second)
                || first.stream().map(said).toList().equals(second.stream().map(said).toList());
    }

    private static boolean isSameLifetime(Answer first, Answer second) {
        return first.instance().isPresent() == second.instance().isPresent()
                && first.lifetime()
                        .map(LifetimeChoice::lifetime)
                        .equals(second.lifetime().map(LifetimeChoice::lifetime));
    }
}
