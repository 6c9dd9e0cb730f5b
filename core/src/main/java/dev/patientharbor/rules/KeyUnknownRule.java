package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.NearNames;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.Inheritance;
import dev.patientharbor.ruling.Reporter;
import dev.patientharbor.ruling.Rule;
import dev.patientharbor.ruling.Wording;
import dev.patientharbor.wiring.Outcome;
import dev.patientharbor.wiring.Wiring;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Tells {@code same-as} of a slot that nothing fills. */
final class KeyUnknownRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        for (ResolvedProfile owner : set.profiles()) {
            for (ResolvedBinding binding : owner.own()) {
                if (binding.target().isPresent() && binding.slot().isPresent()) {
                    check(set, owner, binding, reporter);
                }
            }
        }
    }

    private static void check(
            ResolvedSet set, ResolvedProfile owner, ResolvedBinding binding, Reporter reporter) {
        int target = binding.target().orElseThrow();
        Predicate<ResolvedProfile> lacks =
                profile ->
                        Inheritance.holdsFor(binding, profile)
                                && !profile.lacksParents()
                                && set.wiring(profile)
                                        .filter(one -> leadsNowhere(set, one, binding))
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
                                                .filter(one -> one != binding)
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
                        .withAny("left out", new Wording(set).leftOut(target))
                        .with("do", "correct the slot, or bind it");
        reporter.report(owner, lacks, List.of(target, binding.slot().orElseThrow()), finding);
    }

    private static boolean isNothing(Wiring wiring, int slot) {
        Outcome.Kind kind = wiring.outcome(slot).kind();
        return kind == Outcome.Kind.UNMET || kind == Outcome.Kind.VALUE_MISSING;
    }

    /**
     * Whether what is the same as another slot has nothing there for somebody who asks for it; of
     * one that nobody asks for, whether no level binds that slot.
     */
    private static boolean leadsNowhere(ResolvedSet set, Wiring wiring, ResolvedBinding binding) {
        boolean isAsked = false;
        for (int alias : wiring.aliases()) {
            Outcome outcome = wiring.outcome(alias);
            if (outcome.binding().filter(one -> one == binding).isPresent()) {
                isAsked = true;
                if (isNothing(wiring, outcome.next().orElseThrow())) {
                    return true;
                }
            }
        }
        int target = binding.target().orElseThrow();
        return !isAsked
                && isNothing(wiring, wiring.aim(binding))
                && wiring.profile().bindings().stream()
                        .flatMap(one -> one.slot().stream())
                        .noneMatch(slot -> set.slots().plain(slot) == target);
    }

    /**
     * The seats of which this rule tells that nothing fills them in a wiring, so that no other rule
     * needs to.
     */
    static Set<Integer> told(Wiring wiring) {
        return wiring.aliases().stream()
                .map(wiring::outcome)
                .filter(one -> one.binding().isPresent())
                .flatMap(one -> one.next().stream())
                .filter(aim -> isNothing(wiring, aim))
                .collect(Collectors.toSet());
    }
}
