package dev.patientharbor.check;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Where;
import dev.patientharbor.plan.NeedPlace.Kind;
import dev.patientharbor.resolve.Blueprint;
import dev.patientharbor.resolve.Need;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.SlotTable;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;

/** Notes consumers that ask for a class of the code by itself, so that only it can be passed. */
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
        askedBy.forEach(
                (name, consumers) -> reporter.report(finding(set, name, List.copyOf(consumers))));
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

    private static Finding finding(ResolvedSet set, String name, List<String> consumers) {
        String first = set.names().shortName(consumers.get(0));
        int others = consumers.size() - 1;
        String who =
                others == 0
                        ? first + " asks"
                        : first + " and " + others + (others == 1 ? " other ask" : " others ask");
        return Finding.of(
                        FindingKinds.CANNOT_SWAP,
                        Where.classNamed(name),
                        name,
                        who
                                + " for the class "
                                + set.names().shortName(name)
                                + ", not for a contract: it cannot be swapped.")
                .with("do", "let those who ask for it ask for an interface of it")
                .touching(consumers, List.of());
    }
}
