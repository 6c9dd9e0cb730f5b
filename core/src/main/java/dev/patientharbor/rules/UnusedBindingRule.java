package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.InheritanceCheck;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.texts.NameList;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * Reports bindings that no profile uses. Is silent where an object that cannot be built hides what
 * it would have asked for, and of bindings that have a fault of their own or are disputed among
 * parents.
 */
final class UnusedBindingRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        BitSet unsure = unsure(set);
        Set<ResolvedBinding> meant = meant(set);
        Set<SourcePosition> disputed =
                set.profiles().stream()
                        .flatMap(profile -> profile.clashes().stream())
                        .flatMap(clash -> clash.words().stream())
                        .collect(Collectors.toSet());
        Supplier<BitSet> asked = asked(set);
        BindingUsesByOwner uses = new BindingUsesByOwner(context);
        List<ResolvedProfile> all = List.copyOf(set.profiles());
        Set<ResolvedBinding> basis = Collections.newSetFromMap(new IdentityHashMap<>());
        for (int before = -1; before < basis.size(); ) {
            before = basis.size();
            // Mostly parents stand first: from the end all is found in one pass.
            for (int i = all.size() - 1; i >= 0; i--) {
                addBasis(uses, all.get(i), basis);
            }
        }
        for (ResolvedProfile owner : set.profiles()) {
            Set<ResolvedBinding> twice = new HashSet<>();
            owner.boundTwice().forEach(twice::addAll);
            for (ResolvedBinding binding : owner.ownBindings()) {
                boolean atFault =
                        !supplies(binding)
                                || binding.isBroken()
                                || twice.contains(binding)
                                || binding.slot().isEmpty()
                                || disputed.contains(binding.declared().at());
                if (!atFault
                        && !uses.isUsed(binding)
                        && !meant.contains(binding)
                        && !basis.contains(binding)
                        && !isRepeated(reporter.heirs(owner), binding)
                        && !unsure.get(owner.profileNumber())) {
                    reporter.report(owner, finding(context, reporter.heirs(owner), binding, asked));
                }
            }
        }
    }

    /** Adds the inherited binding of which a used change keeps a part. */
    private static void addBasis(
            BindingUsesByOwner uses, ResolvedProfile profile, Set<ResolvedBinding> basis) {
        profile.changedBindings()
                .forEach(
                        (change, inherited) -> {
                            if (basis.contains(change) || uses.isUsed(change)) {
                                basis.add(inherited);
                            }
                        });
    }

    /** Returns whether a binding could be used: one that removes, or leaves open, could not. */
    private static boolean supplies(ResolvedBinding binding) {
        return switch (binding.declared().supply().effect()) {
            case FILLS, LEAVES_EMPTY -> true;
            case REMOVES, LEAVES_OPEN, KEEPS -> false;
        };
    }

    /** Returns the profiles of which it is not known what all they would ask for. */
    private static BitSet unsure(ResolvedSet set) {
        BitSet unsure = new BitSet();
        for (Wiring wiring : set.checked()) {
            boolean hides =
                    wiring.unsound().stream().anyMatch(seat -> hidesNeeds(wiring.outcome(seat)));
            if (hides || wiring.entries().isEmpty()) {
                unsure.or(wiring.profile().lineage());
            }
            if (wiring.profile().lacksParents()) {
                // Any profile may be the parent that was meant.
                set.profiles().forEach(profile -> unsure.set(profile.profileNumber()));
            }
        }
        return unsure;
    }

    /** The bindings that may be meant by a slip in same-as: which of them is not known. */
    private static Set<ResolvedBinding> meant(ResolvedSet set) {
        Set<ResolvedBinding> meant = Collections.newSetFromMap(new IdentityHashMap<>());
        for (Wiring wiring : set.checked()) {
            Set<String> done = new HashSet<>();
            for (int alias : wiring.aliases()) {
                int aim = wiring.outcome(alias).next().orElseThrow();
                String contract = SlotTable.className(set.slots().slot(aim).contract());
                if (wiring.outcome(aim).kind() == SlotOutcome.Kind.UNMET && done.add(contract)) {
                    set.slots().ofSameClass(aim).stream()
                            .flatMap(slot -> wiring.profile().binding(slot).stream())
                            .forEach(meant::add);
                }
            }
        }
        return meant;
    }

    /** Whether a profile that inherits it uses the same words, its own or another parent's. */
    private static boolean isRepeated(List<Wiring> heirs, ResolvedBinding binding) {
        if (binding.slot().isEmpty()) {
            return false;
        }
        int seat = binding.slot().get();
        return heirs.stream()
                .filter(wiring -> wiring.isReached(seat))
                .flatMap(wiring -> wiring.profile().binding(seat).stream())
                .anyMatch(holds -> holds.declared().saysTheSameAs(binding.declared()));
    }

    private static boolean hidesNeeds(SlotOutcome outcome) {
        boolean unbuildable =
                outcome.blueprint().filter(blueprint -> blueprint.fault().isPresent()).isPresent();
        return unbuildable
                || outcome.kind() == SlotOutcome.Kind.BROKEN
                || outcome.kind() == SlotOutcome.Kind.SEVERAL;
    }

    /** The slots, in the whole profile, that are asked for at whatever level; counted once. */
    private static Supplier<BitSet> asked(ResolvedSet set) {
        BitSet asked = new BitSet();
        return () -> {
            if (asked.isEmpty()) {
                for (Wiring wiring : set.checked()) {
                    for (int i = 0; i < wiring.reachedSize(); i++) {
                        asked.set(set.slots().wholeSlot(wiring.reached(i)));
                    }
                }
            }
            return asked;
        };
    }

    private static Finding finding(
            RuleContext context,
            List<Wiring> inheriting,
            ResolvedBinding binding,
            Supplier<BitSet> asked) {
        ResolvedSet set = context.set();
        int slot = binding.slot().orElseThrow();
        List<ResolvedProfile> heirs = inheriting.stream().map(Wiring::profile).toList();
        List<String> replacedIn =
                heirs.stream()
                        .filter(heir -> !InheritanceCheck.holdsFor(binding, heir))
                        .map(heir -> heir.declared().name())
                        .toList();
        String text = set.text(slot);
        Finding finding =
                Finding.of(
                        FindingKinds.UNUSED_BINDING,
                        binding.declared().at(),
                        set.slots().slot(slot).text(),
                        "The binding of "
                                + text
                                + " to "
                                + context.wording().supply(binding)
                                + " is not reached by any entry consumer.");
        return finding.with(
                        "reason",
                        reason(heirs, replacedIn, asked.get().get(set.slots().wholeSlot(slot))))
                .with("do", "take it out, or add the consumer that needs it to entry");
    }

    private static String reason(
            List<ResolvedProfile> heirs, List<String> replacedIn, boolean isAsked) {
        if (heirs.isEmpty()) {
            return "no profile that is checked extends this one";
        }
        return replacedIn.size() == heirs.size()
                ? "bound again in every profile that inherits it: " + NameList.of(replacedIn)
                : isAsked
                        ? "whoever asks for it is out of its reach, or has a nearer binding"
                        : "no consumer asks for it";
    }
}
