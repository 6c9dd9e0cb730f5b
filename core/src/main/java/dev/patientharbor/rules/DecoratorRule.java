package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.List;
import java.util.Optional;

/**
 * Reports decorators without one place for what they wrap, decorators around nothing, and drops of
 * what is not there.
 */
final class DecoratorRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        set.eachDecorator(
                (statement, decorator) ->
                        fault(context, decorator)
                                .ifPresent(fault -> reporter.report(statement, decorator, fault)));
        for (ResolvedProfile owner : set.profiles()) {
            for (ResolvedProfile.NeedlessDrop drop : owner.needlessDrops()) {
                reporter.report(owner, List.of(), dropsNothing(context, drop.dropped()));
            }
        }
        for (Wiring wiring : set.checked()) {
            for (int seat : wiring.profile().decoratedSlots()) {
                boolean everyKey = set.slots().slot(seat).key().filter(Key::isEvery).isPresent();
                if (everyKey && isAnyBound(set, wiring, seat)) {
                    continue;
                }
                if (!wiring.profile().decorators(seat).isEmpty()) {
                    checkWrapped(context, wiring, seat);
                }
            }
        }
    }

    private static boolean isAnyBound(ResolvedSet set, Wiring wiring, int slot) {
        return set.slots().ofSameClass(slot).stream()
                .anyMatch(
                        other ->
                                set.slots()
                                                .slot(other)
                                                .contract()
                                                .equals(set.slots().slot(slot).contract())
                                        && wiring.profile().binding(other).isPresent());
    }

    private static Optional<Finding> fault(RuleContext context, ResolvedDecorator decorator) {
        if (couldWrap(decorator) && !decorator.isUsable()) {
            return Optional.of(notADecorator(context, decorator));
        }
        return decorator
                .builtIn()
                .flatMap(BuiltIn::failure)
                .map(BuiltIn.Fail::with)
                .filter(with -> !isFailure(context.set(), with.text()))
                .map(
                        with ->
                                Finding.of(
                                                FindingKinds.VALUE_UNFIT,
                                                with.at(),
                                                List.of(
                                                        context.set().text(decorator.slot()),
                                                        "fail",
                                                        with.text()),
                                                context.wording().shortName(with.text())
                                                        + " is no exception, so nothing can fail"
                                                        + " with it.")
                                        .with("do", "name a class of java.lang.Throwable"));
    }

    /** Whether a class may be thrown; of an unknown one nothing is reported here. */
    private static boolean isFailure(ResolvedSet set, String className) {
        return set.code()
                .find(className)
                .map(facts -> set.fit(facts.asType(), TypeRef.of("java.lang.Throwable")).fits())
                .orElse(true);
    }

    /** Whether nothing else is wrong with it. */
    private static boolean couldWrap(ResolvedDecorator decorator) {
        return decorator.builtIn().isPresent()
                || decorator
                        .blueprint()
                        .filter(blueprint -> blueprint.fault().isEmpty())
                        .isPresent();
    }

    private static Finding notAroundClass(RuleContext context, ResolvedDecorator decorator) {
        String word = decorator.name().written().text();
        String contract = decorator.slot().contract().text(context.wording()::shortName);
        return Finding.of(
                        FindingKinds.NOT_A_DECORATOR,
                        decorator.name().written().at(),
                        List.of(context.set().text(decorator.slot()), word),
                        word
                                + " can stand around an interface that is not sealed, and "
                                + contract
                                + " is none.")
                .with(
                        "do",
                        "have the consumers ask for an interface that it implements, or take the"
                                + " decorator out");
    }

    private static Finding notADecorator(RuleContext context, ResolvedDecorator decorator) {
        if (decorator.builtIn().isPresent()) {
            return notAroundClass(context, decorator);
        }
        String name = context.wording().shortName(decorator.blueprint().orElseThrow().className());
        String contract = decorator.slot().contract().text(context.wording()::shortName);
        List<String> places = decorator.inner().stream().map(context.wording()::place).toList();
        String message =
                places.isEmpty()
                        ? name + " has no place for the " + contract + " that it should wrap."
                        : name
                                + " has "
                                + places.size()
                                + " places for the "
                                + contract
                                + " that it wraps; it may have one.";
        Finding finding =
                Finding.of(
                        FindingKinds.NOT_A_DECORATOR,
                        decorator.name().written().at(),
                        List.of(context.set().text(decorator.slot()), name),
                        message);
        return places.isEmpty()
                ? finding.with(
                        "do",
                        "give its constructor one parameter of the type "
                                + contract
                                + ", without a key")
                : finding.with("places", places).with("do", "give all but one of them a key");
    }

    private static Finding dropsNothing(RuleContext context, ResolvedDecorator dropped) {
        String name = context.wording().shortName(dropped.text());
        String slot = context.set().text(dropped.slot());
        return Finding.of(
                        FindingKinds.DROPS_NOTHING,
                        dropped.name().written().at(),
                        List.of(slot, name),
                        "The decorators that are inherited for "
                                + slot
                                + " have no "
                                + name
                                + " to drop.")
                .with("do", "take the name out of drop");
    }

    private static void checkWrapped(RuleContext context, Wiring wiring, int seat) {
        FindingReporter reporter = context.reporter();
        SlotOutcome outcome = wiring.outcome(seat);
        boolean alias = outcome.kind() == SlotOutcome.Kind.ALIAS && outcome.binding().isPresent();
        boolean nothing =
                outcome.kind() == SlotOutcome.Kind.UNMET
                        || outcome.kind() == SlotOutcome.Kind.NONE
                        || outcome.kind() == SlotOutcome.Kind.VALUE_MISSING;
        if (!alias && !nothing) {
            return;
        }
        SourcePosition at = wiring.profile().decorators(seat).get(0).name().written().at();
        String text = context.set().text(seat);
        Finding finding =
                Finding.of(
                        FindingKinds.WRAPS_NOTHING,
                        at,
                        text,
                        alias
                                ? text
                                        + " has decorators, but it is the same as "
                                        + context.set().text(outcome.next().orElseThrow())
                                        + ", which has its own."
                                : text + " has decorators, and nothing fills it.");
        reporter.report(
                wiring.profile(),
                finding.with(
                        "do",
                        alias
                                ? "move the decorators there"
                                : "bind " + text + ", or take the decorators away"));
    }
}
