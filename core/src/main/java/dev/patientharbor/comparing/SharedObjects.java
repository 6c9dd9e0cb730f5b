package dev.patientharbor.comparing;

import dev.patientharbor.plan.Answer;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Tells which rows hold the same object as others in only one of two rosters. */
final class SharedObjects {

    private final List<RowPair> pairs;

    SharedObjects(List<RowPair> pairs) {
        this.pairs = pairs;
    }

    /** The two objects that a row, or a member of it, receives: their labels in the two rosters. */
    private interface LabelVisitor {
        void visit(RowPair row, String first, String second);
    }

    /** Returns the rows, of those that are in both. */
    Set<RowPair> differing() {
        Map<String, String> there = new HashMap<>();
        Map<String, String> back = new HashMap<>();
        Set<String> split = new HashSet<>();
        Set<String> joined = new HashSet<>();
        eachLabel(
                (row, first, second) -> {
                    pair(there, split, first, second);
                    pair(back, joined, second, first);
                });
        Set<RowPair> rows = new HashSet<>();
        if (!split.isEmpty() || !joined.isEmpty()) {
            eachLabel(
                    (row, first, second) -> {
                        if (split.contains(first) || joined.contains(second)) {
                            rows.add(row);
                        }
                    });
        }
        return rows;
    }

    /** Notes the other side of a label; a label with two other sides is one of several objects. */
    private static void pair(
            Map<String, String> others, Set<String> several, String label, String other) {
        String known = others.putIfAbsent(label, other);
        if (known != null && !known.equals(other)) {
            several.add(label);
        }
    }

    private void eachLabel(LabelVisitor visitor) {
        for (RowPair pair : pairs) {
            if (pair.isOfBoth()) {
                eachLabel(
                        pair,
                        pair.before().orElseThrow().answer(),
                        pair.after().orElseThrow().answer(),
                        visitor);
            }
        }
    }

    private static void eachLabel(RowPair row, Answer first, Answer second, LabelVisitor visitor) {
        Optional<String> one = first.instance();
        Optional<String> other = second.instance();
        if (one.isPresent() && other.isPresent()) {
            visitor.visit(row, one.get(), other.get());
        }
        List<Answer.Element> members = first.elements();
        List<Answer.Element> others = second.elements();
        for (int i = 0; i < Math.min(members.size(), others.size()); i++) {
            eachLabel(row, members.get(i).answer(), others.get(i).answer(), visitor);
        }
    }
}
