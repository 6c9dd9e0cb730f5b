package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.declared.ResolvedDemand;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.Demand;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;

/** Reports rules of profiles that do not hold. */
final class DemandRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        for (ResolvedProfile owner : context.set().profiles()) {
            Set<Demand> own = Collections.newSetFromMap(new IdentityHashMap<>());
            own.addAll(owner.declared().terms().demands());
            for (ResolvedDemand demand : owner.demands()) {
                for (NameLookup name : demand.names()) {
                    if (own.contains(demand.declared()) && name.facts().isEmpty()) {
                        context.reporter()
                                .report(owner, List.of(), NamesRule.finding(context.set(), name));
                    }
                }
            }
        }
        TouchesInPlans touches = new TouchesInPlans(context.set());
        for (Wiring wiring : context.set().checked()) {
            if (wiring.profile().demands().isEmpty()) {
                continue;
            }
            SuppliesByContract supplies = new SuppliesByContract(context.set(), wiring);
            for (ResolvedDemand demand : wiring.profile().demands()) {
                if (demand.names().stream().allMatch(name -> name.facts().isPresent())) {
                    new DemandInProfile(context, wiring, demand, supplies, touches).check();
                }
            }
        }
    }

    /** One rule in one profile. */
    private record DemandInProfile(
            RuleContext context,
            Wiring wiring,
            ResolvedDemand demand,
            SuppliesByContract supplies,
            TouchesInPlans touches) {

        void check() {
            Runnable check =
                    switch (demand.declared().kind()) {
                        case NO_STAND_INS ->
                                () ->
                                        everySupply(
                                                supplies.all(),
                                                slot -> true,
                                                AnswerKind::isStandIn,
                                                "is a stand-in");
                        case MUST_BE_REAL ->
                                () -> ofContract(AnswerKind::isStandIn, "must be real");
                        case NEVER_REAL ->
                                () -> ofContract(AnswerKind::isReal, "must never be real");
                        case KEYS -> () -> demand.declared().words().forEach(this::key);
                        case OUTERMOST -> this::outermost;
                        case LIFETIME -> this::lifetime;
                        case UNTOUCHED -> () -> touches.check(context, wiring, demand.declared());
                    };
            check.run();
        }

        private void ofContract(Predicate<AnswerKind> isWrong, String what) {
            everySupply(ofContract(), this::isOfContract, isWrong, what);
        }

        private List<SuppliesByContract.SlotSupply> ofContract() {
            return supplies.of(context.set().slots().slot(demand.slot().orElseThrow()).contract());
        }

        /** Whether a slot is of the demanded contract, and has the demanded key if there is one. */
        private boolean isOfContract(int slot) {
            Slot demanded = context.set().slots().slot(demand.slot().orElseThrow());
            Slot one = context.set().slots().slot(slot);
            return one.contract().equals(demanded.contract())
                    && (demanded.key().isEmpty() || demanded.key().equals(one.key()));
        }

        /** Each binding, used or not, and what else fills a slot, each once. */
        private void everySupply(
                List<SuppliesByContract.SlotSupply> candidates,
                Predicate<Integer> slots,
                Predicate<AnswerKind> breaks,
                String what) {
            TreeMap<Integer, SlotOutcome> outcomes = new TreeMap<>();
            for (SuppliesByContract.SlotSupply one : candidates) {
                int seat = one.slot();
                // What stands in for a slot that is held to the rule itself is reported there
                // alone.
                boolean toldThere =
                        one.isAlias() && wiring.pastAliases(seat).filter(slots::test).isPresent();
                if (slots.test(seat) && !toldThere) {
                    wiring.answer(seat).ifPresent(it -> outcomes.put(seat, it));
                }
            }
            outcomes.forEach(
                    (slot, outcome) -> {
                        if (outcome.isMet() && breaks.test(outcome.answer())) {
                            String supply =
                                    outcome.blueprint()
                                            .map(context.set()::maker)
                                            .orElseGet(() -> outcome.answer().word());
                            report(slot, outcome, what, supply);
                        }
                    });
        }

        private void report(int seat, SlotOutcome outcome, String what, String is) {
            SourcePosition at =
                    wiring.outcome(seat)
                            .binding()
                            .or(outcome::binding)
                            .map(binding -> binding.declared().at())
                            .or(
                                    () ->
                                            outcome.blueprint()
                                                    .map(
                                                            blueprint ->
                                                                    SourcePosition.classNamed(
                                                                            blueprint.className())))
                            .orElse(demand.declared().at());
            String message =
                    context.set().text(seat)
                            + " "
                            + what
                            + " in "
                            + profile()
                            + ", and it is "
                            + is
                            + ".";
            report(seat, at, message);
        }

        private String profile() {
            return wiring.profile().declared().name();
        }

        private void key(WrittenName key) {
            Slot contract = context.set().slots().slot(demand.slot().orElseThrow());
            Slot wanted = new Slot(contract.contract(), Optional.of(Key.named(key.text())));
            boolean served =
                    ofContract().stream()
                            .filter(SuppliesByContract.SlotSupply::isBound)
                            .map(SuppliesByContract.SlotSupply::slot)
                            .anyMatch(
                                    seat ->
                                            context.set().slots().slot(seat).equals(wanted)
                                                    && isServed(seat));
            boolean filledIn =
                    context.set()
                            .filledUnder(demand.slot().get())
                            .contains(context.set().text(wanted));
            if (!served && !filledIn) {
                report(
                        demand.slot().get(),
                        key.at(),
                        profile()
                                + " must have "
                                + context.set().text(wanted)
                                + ", and nothing fills it.");
            }
        }

        private boolean isServed(int seat) {
            return wiring.pastAliases(seat)
                    .map(wiring::outcome)
                    .filter(SlotOutcome::isMet)
                    .isPresent();
        }

        private void outermost() {
            int slot = demand.slot().orElseThrow();
            NameLookup wanted = demand.names().get(demand.names().size() - 1);
            List<ResolvedDecorator> layers = wiring.profile().decorators(slot);
            boolean holds =
                    !layers.isEmpty() && layers.get(0).name().facts().equals(wanted.facts());
            if (!holds) {
                report(
                        slot,
                        demand.declared().at(),
                        "The outermost decorator of "
                                + context.set().text(slot)
                                + " must be "
                                + wanted.written().text()
                                + " in "
                                + profile()
                                + ", and it is "
                                + (layers.isEmpty()
                                        ? "none"
                                        : context.set().names().shortName(layers.get(0).text()))
                                + ".");
            }
        }

        private void lifetime() {
            int seat = demand.slot().orElseThrow();
            Lifetime wanted = demand.declared().lifetime().orElseThrow();
            SlotOutcome outcome = wiring.outcome(seat);
            if (outcome.isMet()) {
                Lifetime is = context.set().lifetimes().of(outcome, wiring.profile()).lifetime();
                if (is != wanted) {
                    report(seat, outcome, "must be " + wanted.word(), is.word());
                }
            }
        }

        private void report(int slot, SourcePosition at, String message) {
            Demand declared = demand.declared();
            Finding finding =
                    Finding.of(
                                    FindingKinds.RULE_BROKEN,
                                    at,
                                    List.of(context.set().text(slot), declared.kind().toString()),
                                    message)
                            .with("rule", declared.at().text())
                            .with("do", "bind what the rule allows, or take the rule back there");
            context.reporter().report(wiring, List.of(slot), finding);
        }
    }
}
