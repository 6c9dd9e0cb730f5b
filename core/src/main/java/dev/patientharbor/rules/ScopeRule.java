package dev.patientharbor.rules;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.wiring.SlotOutcome;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;

/** Reports scope marks on classes that are used, where the file does not say what they mean. */
final class ScopeRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        Map<String, TreeSet<String>> byMark = new TreeMap<>();
        set.eachDistinctSeat(
                (wiring, seat) -> {
                    SlotOutcome outcome = wiring.outcome(seat);
                    boolean said =
                            outcome.binding()
                                    .flatMap(binding -> binding.declared().lifetime())
                                    .isPresent();
                    if (!said) {
                        outcome.blueprint()
                                .filter(blueprint -> blueprint.method().isEmpty())
                                .ifPresent(blueprint -> collect(set, blueprint.facts(), byMark));
                    }
                });
        byMark.forEach(
                (mark, classes) -> reporter.report(finding(set, mark, List.copyOf(classes))));
    }

    private static void collect(
            ResolvedSet set, ClassFacts facts, Map<String, TreeSet<String>> byMark) {
        for (String mark : set.lifetimes().unmapped(facts)) {
            byMark.computeIfAbsent(mark, key -> new TreeSet<>()).add(facts.name());
        }
    }

    private static Finding finding(ResolvedSet set, String mark, List<String> classes) {
        String name = set.names().shortName(mark);
        return Finding.of(
                        FindingKinds.SCOPE_UNMAPPED,
                        SourcePosition.classNamed(mark),
                        mark,
                        "Nothing says what the scope mark " + name + " means.")
                .with(
                        "marked",
                        String.join(", ", classes.stream().map(set.names()::shortName).toList()))
                .with("so", "these live as if they had no mark")
                .with("write", "marks: { scope: { " + mark + ": scoped } }     in the file");
    }
}
