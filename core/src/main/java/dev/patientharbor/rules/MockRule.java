package dev.patientharbor.rules;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.SupplyForm;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Reports mocks and canned stubs of sealed contracts, of which nobody can make another one; and
 * notes mocks of classes, once for a set.
 */
final class MockRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        FindingReporter reporter = context.reporter();
        TreeSet<String> classes = new TreeSet<>();
        context.set().bindings().forEach(binding -> check(context, binding, classes));
        if (!classes.isEmpty()) {
            reporter.report(ofClasses(context, List.copyOf(classes)));
        }
    }

    private static void check(RuleContext context, ResolvedBinding binding, Set<String> classes) {
        FindingReporter reporter = context.reporter();
        Supply supply = binding.declared().supply();
        boolean isMock = supply.form() == SupplyForm.MOCK;
        Optional<ClassFacts> contract =
                isOfContract(supply) ? contract(context.set(), binding) : Optional.empty();
        if (contract.isEmpty()) {
            return;
        }
        ClassFacts facts = contract.get();
        if (facts.isSealed() || !facts.isInterface() && !isMock) {
            reporter.report(binding, cannot(context, binding, facts));
        } else if (!facts.isInterface()) {
            classes.add(facts.name());
        }
    }

    /** Whether an object is made from the contract alone. */
    private static boolean isOfContract(Supply supply) {
        return switch (supply.form()) {
            case MOCK, ANSWERS -> true;
            case CLASS, FACTORY, VALUE, OBJECT, CALL, STATED_KEYS, MEMBERS, SAME_AS -> false;
            case NONE, INHERITED, REMOVED, TO_FILL -> false;
        };
    }

    private static Optional<ClassFacts> contract(ResolvedSet set, ResolvedBinding binding) {
        return binding.slot()
                .map(slot -> SlotTable.className(set.slots().slot(slot).contract()))
                .flatMap(set.code()::find);
    }

    private static Finding cannot(RuleContext context, ResolvedBinding binding, ClassFacts facts) {
        String name = context.set().names().shortName(facts.name());
        return Finding.of(
                        FindingKinds.CANNOT_BE_BUILT,
                        binding.declared().at(),
                        facts.name(),
                        name
                                + (facts.isSealed()
                                        ? " is sealed: only the classes that it names can be made."
                                        : " is a class: canned answers can be given for an"
                                                + " interface alone."))
                .withAny(
                        "in the code",
                        context.wording()
                                .shortNames(
                                        context.wording()
                                                .implementations(
                                                        context.set()
                                                                .slots()
                                                                .slot(binding.slot().orElseThrow())
                                                                .contract())))
                .with("do", "bind one of its classes, or a value or a factory that gives one");
    }

    private static Finding ofClasses(RuleContext context, List<String> classes) {
        FindingWording wording = context.wording();
        String names = FindingWording.list(wording.shortNames(classes));
        return Finding.of(
                        FindingKinds.MOCK_OF_CLASS,
                        context.set().declared().at(),
                        classes,
                        names
                                + (classes.size() == 1 ? " is a class" : " are classes")
                                + " and bound to mock: such mocks are made where the module"
                                + " patient-harbor-mockito is on the class path of the tests.")
                .with("do", "add patient-harbor-mockito to the tests, or bind a class");
    }
}
