package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.InheritanceCheck;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.texts.NearNames;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Reports {@code same-as} of a slot that nothing fills. */
final class KeyUnknownRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        for (ResolvedProfile owner : context.set().profiles()) {
            for (ResolvedBinding binding : owner.ownBindings()) {
                if (binding.target().isPresent() && binding.slot().isPresent()) {
                    check(context, owner, binding);
                }
            }
        }
    }

    private static void check(RuleContext context, ResolvedProfile owner, ResolvedBinding binding) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        int target = binding.target().orElseThrow();
        Predicate<ResolvedProfile> lacks =
                profile ->
                        InheritanceCheck.holdsFor(binding, profile)
                                && !profile.lacksParents()
                                && set.wiring(profile)
                                        .filter(wiring -> leadsNowhere(set, wiring, binding))
                                        .isPresent();
        List<ResolvedProfile> lacking =
                set.checked().stream().map(Wiring::profile).filter(lacks).toList();
        if (lacking.isEmpty()) {
            return;
        }
        List<String> filled = set.filledUnder(target);
        List<String> bound =
                set.slots().ofSameClass(target).stream()
                        .filter(
                                other ->
                                        lacking.get(0)
                                                .binding(other)
                                                .filter(held -> held != binding)
                                                .isPresent())
                        .map(set::text)
                        .toList();
        Finding finding =
                Finding.of(
                                FindingKinds.KEY_UNKNOWN,
                                binding.declared().at(),
                                set.slots().slot(target).text(),
                                set.text(binding.slot().orElseThrow())
                                        + " is the same as "
                                        + set.text(target)
                                        + ", and nothing fills that.")
                        .withAny(
                                "did you mean",
                                NearNames.of(
                                        set.text(target),
                                        Stream.concat(bound.stream(), filled.stream())
                                                .distinct()
                                                .toList()))
                        .with(
                                "bound",
                                bound.isEmpty()
                                        ? "nothing of that contract"
                                        : String.join(", ", bound))
                        .withAny("filled in", filled)
                        .withAny("left out", context.wording().leftOut(target))
                        .with("do", "correct the slot, or bind it");
        reporter.report(owner, lacks, List.of(target, binding.slot().orElseThrow()), finding);
    }

    private static boolean isNothing(Wiring wiring, int seat) {
        SlotOutcome.Kind kind = wiring.outcome(seat).kind();
        return kind == SlotOutcome.Kind.UNMET || kind == SlotOutcome.Kind.VALUE_MISSING;
    }

    /**
     * Whether what is the same as another slot has nothing there for somebody who asks for it; of
     * one that nobody asks for, whether no level binds that slot.
     */
    private static boolean leadsNowhere(ResolvedSet set, Wiring wiring, ResolvedBinding binding) {
        boolean isAsked = false;
        for (int alias : wiring.aliases()) {
            SlotOutcome outcome = wiring.outcome(alias);
            if (outcome.binding().filter(held -> held == binding).isPresent()) {
                isAsked = true;
                if (isNothing(wiring, outcome.next().orElseThrow())) {
                    return true;
                }
            }
        }
        int target = binding.target().orElseThrow();
        return !isAsked
                && isNothing(wiring, wiring.aliasSeat(binding))
                && wiring.profile().bindings().stream()
                        .flatMap(held -> held.slot().stream())
                        .noneMatch(slot -> set.slots().wholeSlot(slot) == target);
    }

    /**
     * Returns the seats that this rule reports as filled by nothing, so that no other rule needs
     * to.
     */
    static Set<Integer> reportedSeats(Wiring wiring) {
        return wiring.aliases().stream()
                .map(wiring::outcome)
                .filter(outcome -> outcome.binding().isPresent())
                .flatMap(outcome -> outcome.next().stream())
                .filter(aim -> isNothing(wiring, aim))
                .collect(Collectors.toSet());
    }
}
