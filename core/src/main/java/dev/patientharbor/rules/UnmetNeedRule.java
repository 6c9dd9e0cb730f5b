package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FailureImpact;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.NameList;
import dev.patientharbor.texts.NearNames;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reports needs that nothing supplies, each slot once for all profiles that lack it, with the
 * reason. Is silent in a profile of which a parent is missing: what that would have supplied is not
 * known.
 */
public final class UnmetNeedRule implements CheckRule {

    /**
     * What lacks a supply in one way: a slot, where it was looked for if that was not everywhere,
     * and where it is bound to nothing.
     */
    private record Lack(int slot, List<String> lookedAt, String boundTo) {}

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        Map<Lack, Map<Wiring, List<Integer>>> lacking = new LinkedHashMap<>();
        for (Wiring wiring : set.checked()) {
            if (wiring.profile().lacksParents()) {
                continue;
            }
            Set<Integer> told = KeyUnknownRule.reportedSeats(wiring);
            for (int seat : wiring.unsound()) {
                if (isNothing(wiring, seat)
                        && !told.contains(seat)
                        && !context.wording().isBoundByUnknownName(wiring, seat)) {
                    lacking.computeIfAbsent(lack(set, wiring, seat), lack -> new LinkedHashMap<>())
                            .computeIfAbsent(wiring, each -> new ArrayList<>(1))
                            .add(seat);
                }
            }
        }
        BoundOutOfReach beyond = new BoundOutOfReach(set);
        lacking.forEach((lack, seats) -> report(context, beyond, lack, seats));
    }

    private static Lack lack(ResolvedSet set, Wiring wiring, int seat) {
        BindingLevel level = set.slots().level(seat);
        boolean everywhere = level.reachesWhole();
        String boundTo =
                wiring.outcome(seat)
                        .binding()
                        .map(binding -> " " + binding.declared().at().text())
                        .orElse("");
        return new Lack(
                set.slots().wholeSlot(seat), everywhere ? List.of() : set.lookedAt(level), boundTo);
    }

    /**
     * Returns whether nothing supplies it; an entry consumer that is but a value type is nothing
     * either.
     */
    private static boolean isNothing(Wiring wiring, int seat) {
        SlotOutcome.Kind kind = wiring.outcome(seat).kind();
        boolean leftOpen =
                kind == SlotOutcome.Kind.UNMET && wiring.outcome(seat).binding().isPresent();
        return kind == SlotOutcome.Kind.UNMET && !leftOpen
                || kind == SlotOutcome.Kind.NONE
                || kind == SlotOutcome.Kind.VALUE_MISSING && wiring.firstStep(seat).isEmpty();
    }

    private static void report(
            RuleContext context,
            BoundOutOfReach beyond,
            Lack lack,
            Map<Wiring, List<Integer>> seats) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        ResolvedProfile common =
                context.wording().common(seats.keySet().stream().map(Wiring::profile).toList());
        String where =
                (lack.lookedAt().isEmpty() ? "" : " in " + lack.lookedAt().get(0)) + lack.boundTo();
        Map.Entry<Wiring, List<Integer>> first = seats.entrySet().iterator().next();
        SourcePosition at =
                FindingWording.asker(
                        first.getKey(), first.getValue().get(0), common.declared().at());
        seats.forEach(
                (wiring, all) -> {
                    int seat = all.get(0);
                    FailureImpact.TouchedConsumers touched = reporter.impact(wiring).of(all);
                    Finding finding =
                            Finding.of(
                                            FindingKinds.UNMET_NEED,
                                            at,
                                            set.slots().slot(seat).text() + where,
                                            message(context, wiring, seat, touched))
                                    .about(List.of(set.slots().slot(seat).text()))
                                    .with("reason", reason(set, beyond, wiring, seat))
                                    .with("looked in", lookedIn(context, wiring, seat));
                    reporter.report(
                            wiring.profile(),
                            advised(context, wiring, seat, common, finding)
                                    .touching(touched.consumers(), touched.entries()));
                });
    }

    private static String message(
            RuleContext context, Wiring wiring, int seat, FailureImpact.TouchedConsumers touched) {
        String text = context.set().text(seat);
        Optional<Wiring.Step> step = wiring.firstStep(seat);
        if (step.isEmpty()) {
            return "The entry consumer "
                    + text
                    + " is no class that can be built, and nothing supplies it.";
        }
        int more = touched.consumers().size() - 1;
        String others =
                more > 0
                        ? " So "
                                + (more == 1
                                        ? "does 1 other consumer."
                                        : "do " + more + " other consumers.")
                        : "";
        return context.wording().shortName(step.get().consumer().className())
                + " asks for "
                + text
                + " ("
                + context.wording().place(step.get().need())
                + "), and nothing supplies it."
                + others;
    }

    /** The profiles, and the levels within them, nearest first. */
    private static String lookedIn(RuleContext context, Wiring wiring, int seat) {
        return context.wording().lineage(wiring.profile())
                + " ("
                + String.join(", then ", context.set().lookedAt(context.set().slots().level(seat)))
                + ")";
    }

    private static String reason(ResolvedSet set, BoundOutOfReach beyond, Wiring wiring, int seat) {
        if (wiring.outcome(seat).kind() == SlotOutcome.Kind.NONE) {
            return "bound to none at "
                    + wiring.outcome(seat).binding().orElseThrow().declared().at().text()
                    + ", and this need may not be absent";
        }
        int number = set.slots().wholeSlot(seat);
        List<String> outOfReach = beyond.of(wiring.profile(), seat);
        if (!outOfReach.isEmpty()) {
            return "out of reach: " + String.join(", ", outOfReach);
        }
        Slot slot = set.slots().slot(number);
        if (isAbsent(set, slot)) {
            return "class absent: "
                    + slot.contract().text()
                    + " is not on the code path"
                    + where(set, slot);
        }
        List<String> otherKeys = otherKeys(set, wiring.profile(), number);
        if (!otherKeys.isEmpty()) {
            return "bound under another key: " + String.join(", ", otherKeys);
        }
        List<String> filledIn =
                set.filledUnder(number).stream()
                        .filter(key -> !key.equals(set.text(number)))
                        .toList();
        if (!filledIn.isEmpty()) {
            return "filled in under another key: " + String.join(", ", filledIn);
        }
        List<String> elsewhere = set.bindingsAnywhere().profiles(slot);
        return elsewhere.isEmpty()
                ? "never bound"
                : "bound in another profile: " + NameList.of(elsewhere);
    }

    private static boolean isBound(ResolvedProfile profile, int slot) {
        return profile.binding(slot).filter(binding -> !binding.isBroken()).isPresent();
    }

    private static boolean isAbsent(ResolvedSet set, Slot slot) {
        return set.code().find(SlotTable.className(slot.contract())).isEmpty();
    }

    private static String where(ResolvedSet set, Slot slot) {
        String contract = SlotTable.className(slot.contract());
        List<String> elsewhere =
                set.side().whoSees(new WrittenName(contract, SourcePosition.classNamed(contract)));
        return elsewhere.isEmpty()
                ? ""
                : " of this side; it is on that of " + String.join(", ", elsewhere);
    }

    /** The slots of the same contract that are bound, the nearest key first. */
    private static List<String> otherKeys(ResolvedSet set, ResolvedProfile profile, int number) {
        List<Integer> others =
                set.slots().ofSameClass(number).stream()
                        .filter(other -> isBound(profile, other))
                        .filter(
                                other ->
                                        set.slots()
                                                .slot(other)
                                                .contract()
                                                .equals(set.slots().slot(number).contract()))
                        .toList();
        List<String> texts = new ArrayList<>(others.stream().map(set::text).toList());
        NearNames.of(set.text(number), texts).stream()
                .findFirst()
                .ifPresent(
                        near -> {
                            texts.remove(near);
                            texts.add(0, near);
                        });
        return texts;
    }

    private static Finding advised(
            RuleContext context,
            Wiring wiring,
            int number,
            ResolvedProfile common,
            Finding finding) {
        ResolvedSet set = context.set();
        FindingWording wording = context.wording();
        Slot slot = set.slots().slot(number);
        List<Optional<Key>> keys =
                set.slots().ofSameClass(number).stream()
                        .filter(other -> isBound(wiring.profile(), other))
                        .map(other -> set.slots().slot(other).key())
                        .filter(Optional::isPresent)
                        .toList();
        List<String> near =
                slot.key()
                        .map(
                                key ->
                                        NearNames.of(
                                                key.written(),
                                                keys.stream()
                                                        .map(other -> other.orElseThrow().written())
                                                        .toList()))
                        .orElse(List.of());
        Optional<Slot> sameAs =
                slot.key().isEmpty() && !keys.isEmpty()
                        ? Optional.of(new Slot(slot.contract(), keys.get(0)))
                        : Optional.empty();
        if (isAbsent(set, slot)) {
            return finding.with("reached by", wording.path(wiring, number))
                    .with("do", "add the folder or jar that has it to code");
        }
        Optional<String> line =
                context.lines().fill(slot, sameAs, common, place(set, wiring, number, common));
        return finding.withAny("did you mean", near)
                .with("in the code", inTheCode(wording, slot))
                .withAny("left out", wording.leftOut(number))
                .with("reached by", wording.path(wiring, number))
                .with(
                        line.isPresent() ? "write" : "do",
                        line.orElseGet(() -> context.lines().otherwise(slot)));
    }

    private static String inTheCode(FindingWording wording, Slot slot) {
        List<String> fit = wording.implementations(slot.contract());
        if (!fit.isEmpty()) {
            return FindingWording.list(wording.shortNames(fit));
        }
        List<String> unfit = wording.unfit(slot.contract());
        return unfit.isEmpty()
                ? "no class that implements it"
                : "none that can stand there: " + FindingWording.list(unfit);
    }

    /** Where a line is to stand so that this need sees it. */
    private static String place(ResolvedSet set, Wiring wiring, int seat, ResolvedProfile common) {
        String name = common.declared().name();
        BindingLevel level = set.slots().level(seat);
        Optional<ResolvedBinding> here = wiring.outcome(seat).binding();
        if (set.isDefinedInJava()) {
            return "in the profile " + name;
        }
        if (here.isPresent()) {
            return "in place of the line at " + here.get().declared().at().text();
        }
        return level.reachesWhole()
                ? "under " + name + " › bindings"
                : "under " + name + " › within › " + set.nearestName(level) + " › bindings";
    }
}
