package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.NearNames;
import dev.patientharbor.resolve.ResolvedBinding;
import dev.patientharbor.resolve.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.ValueFault;
import dev.patientharbor.values.Conversion.Problem;
import java.util.List;

/** Tells given values that are not set, do not convert, or have no parameter. */
final class ValueRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        for (ResolvedProfile owner : set.profiles()) {
            for (ResolvedBinding binding : owner.own()) {
                for (ValueFault fault : binding.valueFaults()) {
                    reporter.report(
                            owner,
                            profile -> Inheritance.holdsFor(binding, profile),
                            binding.slot().map(List::of).orElse(List.of()),
                            finding(set, binding, fault));
                }
            }
        }
    }

    private static Finding finding(ResolvedSet set, ResolvedBinding binding, ValueFault fault) {
        Problem problem = fault.problem();
        String what = what(set, binding, fault);
        String cause = set.text(binding.slot().orElseThrow()) + ' ' + what;
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

    private static String what(ResolvedSet set, ResolvedBinding binding, ValueFault fault) {
        String name =
                binding.blueprint()
                        .map(one -> set.names().shortName(one.className()))
                        .orElseGet(() -> set.text(binding.slot().orElseThrow()));
        return fault.need()
                .map(need -> name + " (" + new Wording(set).place(need) + ")")
                .orElse(name);
    }
}
