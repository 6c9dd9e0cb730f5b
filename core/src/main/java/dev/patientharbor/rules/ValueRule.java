package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.declared.ValueFault;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.SupplyEffect;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.texts.NearNames;
import dev.patientharbor.values.ConversionCheck.Problem;
import java.util.List;

/** Reports given values that are not set, do not convert, or have no parameter. */
final class ValueRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        FindingReporter reporter = context.reporter();
        context.set().bindings().forEach(binding -> check(context, binding));
        context.set()
                .eachDecorator(
                        (statement, decorator) -> {
                            for (ValueFault fault : decorator.valueFaults()) {
                                reporter.report(
                                        statement, decorator, finding(context, decorator, fault));
                            }
                        });
    }

    private static void check(RuleContext context, ResolvedBinding binding) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        if (givesInVain(binding.declared()) && binding.slot().isPresent()) {
            reporter.report(set.profile(binding.owner()), List.of(), inVain(context, binding));
        }
        for (ValueFault fault : binding.valueFaults()) {
            reporter.report(
                    binding,
                    finding(set, valueText(context, binding, fault), slot(set, binding), fault));
        }
    }

    private static Finding finding(
            RuleContext context, ResolvedDecorator decorator, ValueFault fault) {
        ResolvedSet set = context.set();
        String name = set.maker(decorator.blueprint().orElseThrow());
        return finding(set, valueText(context, name, fault), set.text(decorator.slot()), fault);
    }

    /** Whether values or a constructor are named for what takes neither. */
    private static boolean givesInVain(Binding binding) {
        boolean gives = !binding.with().isEmpty() || binding.constructor().isPresent();
        boolean takes =
                binding.supply().className().isPresent()
                        || binding.supply().effect() == SupplyEffect.KEEPS;
        return gives && !takes;
    }

    private static Finding inVain(RuleContext context, ResolvedBinding binding) {
        Binding declared = binding.declared();
        String word = declared.with().isEmpty() ? "constructor" : "with";
        return Finding.of(
                        FindingKinds.VALUE_UNFIT,
                        declared.at(),
                        List.of(slot(context.set(), binding), word),
                        slot(context.set(), binding)
                                + " is bound to "
                                + context.wording().supply(binding)
                                + ", which has no parameters, so that "
                                + word
                                + " says nothing.")
                .with("do", "take " + word + " out, or bind a class or a factory");
    }

    private static String slot(ResolvedSet set, ResolvedBinding binding) {
        return set.text(binding.slot().orElseThrow());
    }

    private static Finding finding(ResolvedSet set, String what, String slot, ValueFault fault) {
        Problem problem = fault.problem();
        List<String> cause = List.of(slot, what);
        if (!fault.unknown().isEmpty()) {
            return Finding.of(
                            FindingKinds.VALUE_UNFIT,
                            problem.at(),
                            cause,
                            what + " has no parameter " + fault.unknown() + " to give a value to.")
                    .withAny("did you mean", NearNames.of(fault.unknown(), fault.parameters()))
                    .with(
                            "parameters",
                            fault.parameters().isEmpty()
                                    ? "none"
                                    : String.join(", ", fault.parameters()));
        }
        if (!problem.unset().isEmpty()) {
            String names = String.join(", ", problem.unset());
            return Finding.of(
                            FindingKinds.VALUE_MISSING,
                            problem.at(),
                            cause,
                            what + ": the setting " + names + " is not set.")
                    .with("written", problem.shown())
                    .with(
                            "looked in",
                            "system properties, the environment, then the files under settings")
                    .with("do", "set it, or give a default: ${" + problem.unset().get(0) + ":-…}");
        }
        return Finding.of(
                        FindingKinds.VALUE_UNFIT,
                        problem.at(),
                        cause,
                        what + ": " + problem.shown() + " is not " + wanted(set, problem) + ".")
                .with("do", "write " + wanted(set, problem));
    }

    private static String wanted(ResolvedSet set, Problem problem) {
        String wanted = problem.wanted();
        boolean isType = wanted.indexOf(' ') < 0;
        if (!isType) {
            return wanted;
        }
        String name = set.names().shortName(wanted);
        return ("aeiouAEIOU".indexOf(name.charAt(0)) < 0 ? "a " : "an ") + name;
    }

    private static String valueText(
            RuleContext context, ResolvedBinding binding, ValueFault fault) {
        String name =
                binding.blueprint()
                        .map(context.set()::maker)
                        .orElseGet(() -> slot(context.set(), binding));
        return valueText(context, name, fault);
    }

    private static String valueText(RuleContext context, String name, ValueFault fault) {
        return fault.need()
                .map(need -> name + " (" + context.wording().place(need) + ")")
                .orElse(name);
    }
}
