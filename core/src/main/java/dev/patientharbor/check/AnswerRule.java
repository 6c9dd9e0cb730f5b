package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.NearNames;
import dev.patientharbor.resolve.ResolvedBinding;
import dev.patientharbor.resolve.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.values.AnswerFault;
import java.util.List;

/** Tells canned answers that their contract cannot take. */
final class AnswerRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        for (ResolvedProfile owner : set.profiles()) {
            for (ResolvedBinding binding : owner.own()) {
                for (AnswerFault fault : binding.answerFaults()) {
                    reporter.report(
                            owner,
                            profile -> Inheritance.holdsFor(binding, profile),
                            binding.slot().map(List::of).orElse(List.of()),
                            finding(fault));
                }
            }
        }
    }

    private static Finding finding(AnswerFault fault) {
        if (!fault.unset().isEmpty()) {
            return Finding.of(
                            FindingKinds.VALUE_MISSING, fault.at(), fault.method(), fault.message())
                    .with("do", "set it, or give a default: ${" + fault.unset().get(0) + ":-…}");
        }
        Finding finding =
                Finding.of(FindingKinds.ANSWER_UNFIT, fault.at(), fault.method(), fault.message())
                        .withAny("did you mean", NearNames.of(fault.method(), fault.known()))
                        .withAny("known", fault.known());
        return finding.with("do", "answer as the contract does, or bind a class");
    }
}
