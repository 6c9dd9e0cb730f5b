package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.texts.ShortName;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** Reports collections without a member, unless the file says that they may have none. */
final class EmptyCollectionRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        Set<TypeRef> mayBeEmpty = set.emptyAllowed();
        Map<Integer, List<Wiring>> empty = new TreeMap<>();
        for (Wiring wiring : set.checked()) {
            for (int seat : wiring.unsound()) {
                boolean isEmpty =
                        wiring.outcome(seat).kind() == SlotOutcome.Kind.COLLECTION
                                && !mayBeEmpty.contains(set.content(seat));
                if (isEmpty
                        && !wiring.profile().lacksParents()
                        && !context.wording().isBoundByUnknownName(wiring, seat)) {
                    empty.computeIfAbsent(set.slots().wholeSlot(seat), key -> new ArrayList<>())
                            .add(wiring);
                }
            }
        }
        empty.forEach((slot, wirings) -> report(context, slot, wirings));
    }

    private static void report(RuleContext context, int seat, List<Wiring> wirings) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        FindingWording wording = context.wording();
        ResolvedProfile common = wording.common(wirings.stream().map(Wiring::profile).toList());
        TypeRef content = set.content(seat);
        String contract = content.text(wording::shortName);
        String toWrite = content.text(set.names()::toWrite);
        List<String> implementations = wording.implementations(content);
        boolean isAbsent = set.code().find(SlotTable.className(content)).isEmpty();
        for (Wiring wiring : wirings) {
            reporter.report(
                    wiring,
                    List.of(seat),
                    Finding.of(
                                    FindingKinds.EMPTY_COLLECTION,
                                    common.declared().at(),
                                    set.slots().slot(seat).text(),
                                    "Every "
                                            + contract
                                            + " is wanted as "
                                            + set.text(seat)
                                            + ", and none is bound.")
                            .withAny("in the code", wording.shortNames(implementations))
                            .with("reached by", wording.path(wiring, seat))
                            .with(
                                    isAbsent ? "do" : "write",
                                    isAbsent
                                            ? "add the folder or jar that has "
                                                    + content.text()
                                                    + " to code: it is not on the code path"
                                            : line(context, seat, content, common)
                                                            .map(
                                                                    line ->
                                                                            line
                                                                                    + "     under"
                                                                                    + " "
                                                                                    + common.declared()
                                                                                            .name()
                                                                                    + " › bindings,"
                                                                                    + " or ")
                                                            .orElse("")
                                                    + "may-be-empty: ["
                                                    + toWrite
                                                    + "] in the file"));
        }
    }

    /**
     * Returns the line that would fill it: a collection with a key of its own is bound by its
     * members; another one has all variants.
     */
    private static Optional<String> line(
            RuleContext context, int slot, TypeRef content, ResolvedProfile profile) {
        ResolvedSet set = context.set();
        FindingWording wording = context.wording();
        if (set.slots().slot(slot).key().isPresent()) {
            return Optional.of(
                    wording.toWrite(set.slots().slot(slot)) + ": { members: [SLOT, …] }");
        }
        Slot plain = new Slot(content, Optional.empty());
        Optional<String> supply = context.lines().supplies(plain, profile).stream().findFirst();
        Slot member =
                set.isMap(slot)
                        ? new Slot(content, Optional.of(key(set, slot, supply.orElse("first"))))
                        : plain;
        return supply.map(other -> wording.toWrite(member) + ": " + other);
    }

    /** Returns a key that the map has a place for: a constant, else one after the class. */
    private static Key key(ResolvedSet set, int map, String supply) {
        String name = ShortName.of(supply);
        return set.mapKeys(map)
                .flatMap(all -> all.stream().findFirst())
                .map(Key::named)
                .orElseGet(
                        () ->
                                Key.named(
                                        name.matches("\\w+")
                                                ? name.substring(0, 1).toLowerCase(Locale.ROOT)
                                                        + name.substring(1)
                                                : "first"));
    }
}
