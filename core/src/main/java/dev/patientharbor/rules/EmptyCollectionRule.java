package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.Key;
import dev.patientharbor.model.ShortName;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.FailureImpact;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.Rule;
import dev.patientharbor.ruling.RuleContext;
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
final class EmptyCollectionRule implements Rule {

    @Override
    public void check(RuleContext context) {
        Set<TypeRef> mayBeEmpty = context.set().emptyAllowed();
        Map<Integer, List<Wiring>> empty = new TreeMap<>();
        for (Wiring wiring : context.set().checked()) {
            for (int seat : wiring.unsound()) {
                boolean isEmpty =
                        wiring.outcome(seat).kind() == SlotOutcome.Kind.COLLECTION
                                && !mayBeEmpty.contains(context.set().content(seat));
                if (isEmpty
                        && !wiring.profile().lacksParents()
                        && !context.wording().isBoundByUnknownName(wiring, seat)) {
                    empty.computeIfAbsent(
                                    context.set().slots().wholeSlot(seat), key -> new ArrayList<>())
                            .add(wiring);
                }
            }
        }
        empty.forEach((slot, wirings) -> report(context, slot, wirings));
    }

    private static void report(RuleContext context, int seat, List<Wiring> wirings) {
        FindingWording wording = context.wording();
        ResolvedProfile common = wording.common(wirings.stream().map(Wiring::profile).toList());
        TypeRef content = context.set().content(seat);
        String contract = content.text(wording::shortName);
        String toWrite = content.text(context.set().names()::toWrite);
        List<String> implementations = wording.implementations(content);
        boolean isAbsent = context.set().code().find(SlotTable.className(content)).isEmpty();
        for (Wiring wiring : wirings) {
            FailureImpact.TouchedConsumers touched =
                    context.reporter().impact(wiring).of(List.of(seat));
            context.reporter()
                    .report(
                            wiring.profile(),
                            Finding.of(
                                            FindingKinds.EMPTY_COLLECTION,
                                            common.declared().at(),
                                            context.set().slots().slot(seat).text(),
                                            "Every "
                                                    + contract
                                                    + " is wanted as "
                                                    + context.set().text(seat)
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
                                                            + "] in the file")
                                    .touching(touched.consumers(), touched.entries()));
        }
    }

    /** A collection with a key of its own is bound by its members; another one has all variants. */
    private static Optional<String> line(
            RuleContext context, int slot, TypeRef content, ResolvedProfile profile) {
        FindingWording wording = context.wording();
        if (context.set().slots().slot(slot).key().isPresent()) {
            return Optional.of(
                    wording.toWrite(context.set().slots().slot(slot)) + ": { members: [SLOT, …] }");
        }
        Slot plain = new Slot(content, Optional.empty());
        Optional<String> supply = context.lines().supplies(plain, profile).stream().findFirst();
        Slot member =
                context.set().isMap(slot)
                        ? new Slot(
                                content,
                                Optional.of(key(context.set(), slot, supply.orElse("first"))))
                        : plain;
        return supply.map(other -> wording.toWrite(member) + ": " + other);
    }

    /** A key that the map has a place for: a constant, else after the class. */
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
