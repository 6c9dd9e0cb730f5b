package dev.patientharbor.rules;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.plan.NeedPlace.Kind;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.types.ValueTypes;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/**
 * Notes consumers that ask for a class of the code by itself, so that only it can be passed: once
 * for a set, and only of classes that no profile replaces.
 */
public final class CannotSwapRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        Map<String, TreeSet<String>> askedBy = new TreeMap<>();
        BitSet known = new BitSet();
        BitSet concrete = new BitSet();
        ValueTypes values = new ValueTypes(set.code());
        set.eachDistinctSeat(
                (wiring, seat) ->
                        wiring.outcome(seat)
                                .eachNeed(
                                        (consumer, need) -> {
                                            int slot = need.slot();
                                            if (!known.get(slot)) {
                                                known.set(slot);
                                                concrete.set(slot, isConcrete(set, values, slot));
                                            }
                                            if (concrete.get(slot) && !isOwn(consumer, need)) {
                                                askedBy.computeIfAbsent(
                                                                contract(set, slot),
                                                                key -> new TreeSet<>())
                                                        .add(consumer.className());
                                            }
                                        }));
        askedBy.keySet().removeIf(set.bindingsAnywhere()::isReplaced);
        askedBy.forEach((name, by) -> reporter.report(finding(set, name, List.copyOf(by))));
    }

    /** Returns whether a need is that of a factory for the object whose method it is. */
    private static boolean isOwn(Blueprint consumer, Need need) {
        return need.place().kind() == Kind.DECLARED && consumer.method().isPresent();
    }

    private static String contract(ResolvedSet set, int slot) {
        return SlotTable.className(set.content(slot));
    }

    private static boolean isConcrete(ResolvedSet set, ValueTypes values, int slot) {
        String name = contract(set, slot);
        Optional<ClassFacts> facts =
                set.code().inCode(name) ? set.code().find(name) : Optional.empty();
        return facts.filter(
                        found ->
                                !found.isInterface()
                                        && !found.isAbstract()
                                        && !found.isEnum()
                                        && !values.isValue(set.content(slot)))
                .isPresent();
    }

    private static Finding finding(ResolvedSet set, String name, List<String> consumers) {
        return Finding.of(FindingKinds.CANNOT_SWAP, set.declared().at(), name, name)
                .touching(consumers, List.of());
    }

    /** Whether it tells that a class is asked for, and not what {@link CastRule} tells. */
    private static boolean isOfClass(Finding finding) {
        return finding.kind() == FindingKinds.CANNOT_SWAP && finding.details().isEmpty();
    }

    /** Says once what was found of each class, by whatever side. */
    public static List<Finding> together(List<Finding> findings, UnaryOperator<String> shortName) {
        List<Finding> others = new ArrayList<>(findings);
        List<Finding> each = new ArrayList<>(findings);
        others.removeIf(CannotSwapRule::isOfClass);
        each.removeIf(finding -> !isOfClass(finding));
        if (each.isEmpty()) {
            return others;
        }
        Map<String, TreeSet<String>> asks = new TreeMap<>();
        for (Finding one : each) {
            for (String consumer : one.consumers()) {
                asks.computeIfAbsent(consumer, it -> new TreeSet<>())
                        .add(shortName.apply(one.cause()));
            }
        }
        List<String> said = new ArrayList<>();
        asks.forEach(
                (consumer, of) ->
                        said.add(shortName.apply(consumer) + " (" + String.join(", ", of) + ")"));
        List<String> classes = each.stream().map(Finding::cause).distinct().sorted().toList();
        int count = asks.size();
        others.add(
                Finding.of(
                                FindingKinds.CANNOT_SWAP,
                                each.get(0).at(),
                                classes,
                                count
                                        + (count == 1 ? " consumer asks" : " consumers ask")
                                        + " for classes rather than contracts: "
                                        + FindingWording.list(said)
                                        + ".")
                        .with(
                                "classes",
                                FindingWording.list(classes.stream().map(shortName).toList()))
                        .with("so", "only these classes, or subclasses of them, can be passed")
                        .with(
                                "do",
                                "have the consumers ask for interfaces that these classes"
                                        + " implement")
                        .touching(List.copyOf(asks.keySet()), List.of()));
        return others;
    }
}
