package dev.patientharbor.check;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Supply;
import dev.patientharbor.plan.NeedPlace.Kind;
import dev.patientharbor.resolve.Blueprint;
import dev.patientharbor.resolve.Need;
import dev.patientharbor.resolve.ResolvedBinding;
import dev.patientharbor.resolve.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.SlotTable;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Notes consumers that ask for a class of the code by itself, so that only it can be passed: once
 * for a set, and only of classes that no profile replaces.
 */
final class CannotSwapRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        Map<String, TreeSet<String>> askedBy = new TreeMap<>();
        BitSet known = new BitSet();
        BitSet concrete = new BitSet();
        set.eachDistinctSeat(
                (wiring, seat) ->
                        wiring.outcome(seat)
                                .eachNeed(
                                        (consumer, need) -> {
                                            int slot = need.slot();
                                            if (!known.get(slot)) {
                                                known.set(slot);
                                                concrete.set(slot, isConcrete(set, slot));
                                            }
                                            if (concrete.get(slot) && !isOwn(consumer, need)) {
                                                askedBy.computeIfAbsent(
                                                                contract(set, slot),
                                                                one -> new TreeSet<>())
                                                        .add(consumer.className());
                                            }
                                        }));
        askedBy.keySet().removeAll(replaced(set));
        if (!askedBy.isEmpty()) {
            reporter.report(finding(set, askedBy));
        }
    }

    /** The classes that some profile binds to something else: a mock, a subclass, a value. */
    private static Set<String> replaced(ResolvedSet set) {
        Set<String> replaced = new HashSet<>();
        for (ResolvedProfile profile : set.profiles()) {
            for (ResolvedBinding binding : profile.own()) {
                if (binding.slot().isPresent()) {
                    String contract = contract(set, binding.slot().get());
                    boolean isItself =
                            binding.blueprint()
                                    .filter(one -> one.method().isEmpty())
                                    .filter(one -> one.className().equals(contract))
                                    .isPresent();
                    if (!isItself && !(binding.declared().supply() instanceof Supply.Inherited)) {
                        replaced.add(contract);
                    }
                }
            }
        }
        return replaced;
    }

    /** What a factory asks for is also the object whose method it is. */
    private static boolean isOwn(Blueprint consumer, Need need) {
        return need.place().kind() == Kind.DECLARED && consumer.method().isPresent();
    }

    private static String contract(ResolvedSet set, int slot) {
        return SlotTable.className(set.content(slot));
    }

    private static boolean isConcrete(ResolvedSet set, int slot) {
        String name = contract(set, slot);
        Optional<ClassFacts> facts =
                set.code().inCode(name) ? set.code().find(name) : Optional.empty();
        return facts.filter(
                        one ->
                                !one.isInterface()
                                        && !one.isAbstract()
                                        && !one.isEnum()
                                        && !one.isRecord())
                .isPresent();
    }

    private static Finding finding(ResolvedSet set, Map<String, TreeSet<String>> askedBy) {
        Map<String, TreeSet<String>> asks = new TreeMap<>();
        askedBy.forEach(
                (name, by) ->
                        by.forEach(
                                one -> asks.computeIfAbsent(one, it -> new TreeSet<>()).add(name)));
        List<String> consumers = List.copyOf(asks.keySet());
        List<String> classes = List.copyOf(askedBy.keySet());
        Wording wording = new Wording(set);
        List<String> each = new ArrayList<>();
        asks.forEach(
                (consumer, of) ->
                        each.add(
                                wording.shortName(consumer)
                                        + " ("
                                        + wording.list(wording.shortNames(List.copyOf(of)))
                                        + ")"));
        int count = consumers.size();
        return Finding.of(
                        FindingKinds.CANNOT_SWAP,
                        set.declared().at(),
                        classes,
                        count
                                + (count == 1 ? " consumer asks" : " consumers ask")
                                + " for classes rather than contracts: "
                                + wording.list(each)
                                + ".")
                .with("classes", wording.list(wording.shortNames(classes)))
                .with("so", "only these classes, or subclasses of them, can be passed")
                .with("do", "let those who ask for them ask for interfaces of them")
                .touching(consumers, List.of());
    }
}
