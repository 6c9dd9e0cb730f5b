package dev.patientharbor.rules;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.MethodFacts;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.InheritanceCheck;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.types.MissingMethods;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reports implementations that lack a method of the contract whose slot they fill. */
final class MissingMethodRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        KnownMethods known = new KnownMethods(new MissingMethods(set.code()), new HashMap<>());
        set.bindings()
                .filter(binding -> binding.slot().isPresent() && !binding.isBroken())
                .forEach(
                        binding ->
                                missing(context, known, binding)
                                        .ifPresent(finding -> reporter.report(binding, finding)));
        set.eachDecorator(
                (statement, decorator) ->
                        missing(
                                        context,
                                        known,
                                        decorator.slot(),
                                        decorator.blueprint(),
                                        decorator.name().written().at())
                                .ifPresent(
                                        finding ->
                                                reporter.report(
                                                        set.profile(statement.owner()),
                                                        heir ->
                                                                InheritanceCheck.holdsFor(
                                                                        statement, decorator, heir),
                                                        List.of(),
                                                        finding)));
        filledIn(context, known);
    }

    private static Optional<Finding> missing(
            RuleContext context, KnownMethods known, ResolvedBinding binding) {
        return missing(
                context,
                known,
                context.set().slots().slot(binding.slot().orElseThrow()),
                binding.blueprint(),
                binding.declared().at());
    }

    /** What classes fill by themselves. */
    private static void filledIn(RuleContext context, KnownMethods known) {
        context.set()
                .eachDistinctSeat(
                        (wiring, seat) -> {
                            SlotOutcome outcome = wiring.outcome(seat);
                            if (outcome.binding().isEmpty() && outcome.blueprint().isPresent()) {
                                Blueprint made = outcome.blueprint().get();
                                missing(
                                                context,
                                                known,
                                                context.set().slots().slot(seat),
                                                outcome.blueprint(),
                                                SourcePosition.classNamed(made.className()))
                                        .ifPresent(
                                                finding -> report(context, seat, outcome, finding));
                            }
                        });
    }

    private static void report(
            RuleContext context, int seat, SlotOutcome outcome, Finding finding) {
        FindingReporter reporter = context.reporter();
        for (Wiring wiring : context.set().checked()) {
            if (wiring.isReached(seat)
                    && wiring.outcome(seat).blueprint().equals(outcome.blueprint())) {
                reporter.report(wiring, List.of(seat), finding);
            }
        }
    }

    /** What is missing, worked out once for each class and contract. */
    private record KnownMethods(
            MissingMethods methods, Map<String, Map<String, List<String>>> byClass) {
        List<String> of(ClassFacts facts, String contract) {
            Map<String, List<String>> known = byClass.get(facts.name());
            if (known == null) {
                known = new HashMap<>(2);
                byClass.put(facts.name(), known);
            }
            List<String> missing = known.get(contract);
            if (missing == null) {
                missing = methods.of(facts, contract);
                known.put(contract, missing);
            }
            return missing;
        }
    }

    private static Optional<Finding> missing(
            RuleContext context,
            KnownMethods known,
            Slot slot,
            Optional<Blueprint> made,
            SourcePosition at) {
        if (made.isEmpty() || made.get().method().isPresent() || made.get().facts().isAbstract()) {
            return Optional.empty();
        }
        ClassFacts facts = made.get().facts();
        String contract = SlotTable.className(slot.contract());
        List<String> missing = known.of(facts, contract);
        if (missing.isEmpty()) {
            return Optional.empty();
        }
        FindingWording wording = context.wording();
        List<String> methods = new ArrayList<>();
        missing.forEach(key -> methods.add(wording.method(MethodFacts.of(contract, key))));
        String name = wording.shortName(facts.name());
        return Optional.of(
                Finding.of(
                                FindingKinds.MISSING_METHOD,
                                at,
                                List.of(facts.name(), contract),
                                name
                                        + " has no "
                                        + FindingWording.list(methods)
                                        + ", which "
                                        + wording.shortName(contract)
                                        + " asks for.")
                        .with("reason", "compiled against another version of the contract")
                        .with("do", "compile " + name + " anew, or bind another class"));
    }
}
