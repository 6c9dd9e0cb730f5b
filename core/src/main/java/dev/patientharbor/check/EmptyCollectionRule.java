package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.resolve.Outcome;
import dev.patientharbor.resolve.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Wiring;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** Tells collections without a member, unless the file says that they may have none. */
final class EmptyCollectionRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        Set<TypeRef> mayBeEmpty = set.emptyAllowed();
        Map<Integer, List<Wiring>> empty = new TreeMap<>();
        for (Wiring wiring : set.checked()) {
            for (int seat : wiring.unsound()) {
                boolean isEmpty =
                        wiring.outcome(seat).kind() == Outcome.Kind.COLLECTION
                                && !mayBeEmpty.contains(set.content(seat));
                if (isEmpty && !wiring.profile().lacksParents()) {
                    empty.computeIfAbsent(set.slots().plain(seat), one -> new ArrayList<>())
                            .add(wiring);
                }
            }
        }
        Wording wording = new Wording(set);
        empty.forEach((slot, wirings) -> report(set, wording, slot, wirings, reporter));
    }

    private static void report(
            ResolvedSet set, Wording wording, int slot, List<Wiring> wirings, Reporter reporter) {
        ResolvedProfile common = wording.common(wirings.stream().map(Wiring::profile).toList());
        TypeRef content = set.content(slot);
        String contract = content.text(wording::shortName);
        String toWrite = content.text(set.names()::toWrite);
        List<String> implementations = wording.implementations(content);
        for (Wiring wiring : wirings) {
            Impact.Touched touched = reporter.impact(wiring).of(List.of(slot));
            reporter.report(
                    wiring.profile(),
                    Finding.of(
                                    FindingKinds.EMPTY_COLLECTION,
                                    common.declared().at(),
                                    set.slots().slot(slot).text(),
                                    "Every "
                                            + contract
                                            + " is wanted as "
                                            + set.text(slot)
                                            + ", and none is bound.")
                            .withAny("in the code", wording.shortNames(implementations))
                            .with("reached by", wording.path(wiring, slot))
                            .with(
                                    "write",
                                    line(set, slot, toWrite, wording.firstToWrite(implementations))
                                            + "     under "
                                            + common.declared().name()
                                            + " › bindings, or may-be-empty: ["
                                            + toWrite
                                            + "] in the file")
                            .touching(touched.consumers(), touched.entries()));
        }
    }

    /** A collection with a key of its own is bound by its members; another one has all variants. */
    private static String line(ResolvedSet set, int slot, String content, String supply) {
        return set.slots().slot(slot).key().isPresent()
                ? new Wording(set).toWrite(set.slots().slot(slot)) + ": { members: [SLOT, …] }"
                : content + "@KEY: " + supply;
    }
}
