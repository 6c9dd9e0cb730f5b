package dev.patientharbor.rules;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.SupplyForm;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.types.FitResult;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.List;
import java.util.Optional;

/** Reports implementations and decorators that are none of their contract. */
final class FitRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        set.bindings()
                .filter(binding -> binding.fit().filter(fit -> !fit.fits()).isPresent())
                .forEach(binding -> reporter.report(binding, ofBinding(context, binding)));
        set.eachDecorator(
                (statement, decorator) -> {
                    if (decorator.fit().filter(fit -> !fit.fits()).isPresent()) {
                        reporter.report(statement, decorator, ofDecorator(context, decorator));
                    }
                });
        for (Wiring wiring : set.checked()) {
            for (int seat : wiring.aliases()) {
                checkAlias(context, wiring, seat);
            }
        }
    }

    /**
     * Checks what stands in for a slot: it must fit as it is handed out, by its outermost decorator
     * or its core.
     */
    private static void checkAlias(RuleContext context, Wiring wiring, int seat) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        Optional<ResolvedBinding> binding =
                wiring.outcome(seat).binding().filter(held -> held.target().isPresent());
        Optional<SlotOutcome> end =
                binding.flatMap(held -> wiring.answer(seat)).filter(SlotOutcome::isMet);
        if (end.isEmpty()) {
            return;
        }
        Slot target = set.slots().slot(wiring.pastAliases(seat).orElseThrow());
        Optional<ResolvedDecorator> layer = end.get().decorators().stream().findFirst();
        Optional<ClassType> outermost =
                (layer.isPresent()
                                ? layer.flatMap(ResolvedDecorator::blueprint)
                                : end.get().blueprint())
                        .flatMap(Blueprint::handsOut)
                        .or(() -> asClass(target.contract()));
        Slot wanted = set.slots().slot(seat);
        Optional<FitResult> fit = outermost.map(type -> set.fit(type, wanted.contract()));
        if (fit.filter(known -> !known.fits()).isPresent()) {
            reporter.report(
                    wiring,
                    List.of(seat),
                    finding(
                                    context.wording(),
                                    set.text(seat),
                                    wanted,
                                    outermost.get().name(),
                                    fit.get(),
                                    binding.get().declared().at())
                            .with("stands in", set.text(target)));
        }
    }

    private static Finding ofDecorator(RuleContext context, ResolvedDecorator decorator) {
        return finding(
                context.wording(),
                context.set().text(decorator.slot()),
                decorator.slot(),
                decorator.name().facts().orElseThrow().name(),
                decorator.fit().orElseThrow(),
                decorator.name().written().at());
    }

    private static Finding ofBinding(RuleContext context, ResolvedBinding binding) {
        ResolvedSet set = context.set();
        int slot = binding.slot().orElseThrow();
        if (binding.declared().supply().form() == SupplyForm.MEMBERS) {
            return ofMembers(set, binding);
        }
        return finding(
                context.wording(),
                set.text(slot),
                set.slots().slot(slot),
                binding.implementation()
                        .flatMap(NameLookup::facts)
                        .map(ClassFacts::name)
                        .orElseGet(() -> ofObject(binding.declared().supply())),
                binding.fit().orElseThrow(),
                binding.declared().at());
    }

    private static String ofObject(Supply supply) {
        return supply.handedIn()
                .flatMap(Supply.HandedIn::madeFor)
                .orElse("that was made at run time");
    }

    private static Finding ofMembers(ResolvedSet set, ResolvedBinding binding) {
        int slot = binding.slot().orElseThrow();
        String content = set.content(slot).text(set.names()::shortName);
        boolean isMany = !set.content(slot).equals(set.slots().slot(slot).contract());
        return Finding.of(
                        FindingKinds.DOES_NOT_FIT,
                        binding.declared().at(),
                        List.of(set.slots().slot(slot).text(), "members"),
                        isMany
                                ? "Not every member of "
                                        + set.text(slot)
                                        + " is a "
                                        + content
                                        + ", with a key if it stands in a map."
                                : set.text(slot) + " is no collection, so it has no members.")
                .with(
                        "members",
                        String.join(", ", binding.members().stream().map(set::text).toList()))
                .with(
                        "do",
                        isMany
                                ? "list slots whose contract is " + content + " or a class of it"
                                : "bind a class, or write List<" + content + "> or the like");
    }

    private static Optional<ClassType> asClass(TypeRef type) {
        return type instanceof ClassType named ? Optional.of(named) : Optional.empty();
    }

    private static Finding finding(
            FindingWording wording,
            String slotText,
            Slot slot,
            String className,
            FitResult fit,
            SourcePosition at) {
        String name = wording.shortName(className);
        String contract = slot.contract().text(wording::shortName);
        Finding finding =
                Finding.of(
                        FindingKinds.DOES_NOT_FIT,
                        at,
                        List.of(slot.text(), className),
                        "The class "
                                + name
                                + " is no "
                                + contract
                                + ", so it cannot fill "
                                + slotText
                                + ".");
        if (fit.reversed()) {
            return finding.with(
                            "looks like",
                            contract + " is a " + name + ": the two are the wrong way round")
                    .with(
                            "write",
                            wording.toWrite(Slot.of(className)) + ": " + wording.toWrite(slot));
        }
        if (!fit.missing().isEmpty()) {
            finding =
                    finding.with(
                            "not known",
                            "what "
                                    + FindingWording.list(fit.missing().stream().sorted().toList())
                                    + " is: not on the code path");
        }
        List<String> others = wording.implementations(slot.contract());
        return others.isEmpty()
                ? finding.with("do", "name a class that implements " + contract)
                : finding.with("in the code", FindingWording.list(wording.shortNames(others)));
    }
}
