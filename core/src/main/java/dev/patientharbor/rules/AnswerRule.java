package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.texts.NearNames;
import dev.patientharbor.values.AnswerFault;

/** Reports canned answers that their contract cannot take. */
final class AnswerRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        FindingReporter reporter = context.reporter();
        context.set()
                .bindings()
                .forEach(
                        binding ->
                                binding.answerFaults()
                                        .forEach(
                                                fault -> reporter.report(binding, finding(fault))));
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
