package dev.patientharbor.rules;

import dev.patientharbor.ruling.CheckRule;
import java.time.LocalDate;
import java.util.List;

/**
 * All rules. A new rule is a class, a line here, and a section in docs/findings.md; a test fails if
 * one is missing.
 */
public final class RuleCatalog {

    private RuleCatalog() {}

    /**
     * @param today the day that {@code until} is compared with
     */
    public static List<CheckRule> all(LocalDate today) {
        return List.of(
                new EntryRule(),
                new ConsumerRule(),
                new OrderRule(),
                new LookupRule(),
                new ParentsRule(),
                new AreasRule(),
                new ReachRule(),
                new NamesRule(),
                new KeyUnknownRule(),
                new ChangeRule(),
                new TwoCandidatesRule(),
                new FitRule(),
                new BuildRule(),
                new DecoratorRule(),
                new UnmetNeedRule(),
                new EmptyCollectionRule(),
                new MapKeyRule(),
                new ValueMissingRule(),
                new ValueRule(),
                new AnswerRule(),
                new MissingMethodRule(),
                new UnansweredCallRule(),
                new StatedKeyRule(),
                new CycleRule(),
                new UnusedBindingRule(),
                new RepeatsRule(),
                new HiddenRule(),
                new OutlivesRule(),
                new ScopeRule(),
                new PointlessMarkRule(),
                new MarkRule(),
                new TwoKindsRule(),
                new SharedTwiceRule(),
                new MadeTwoWaysRule(),
                new CannotSwapRule(),
                new CastRule(),
                new HardWiredRule(),
                new SharedStateRule(),
                new MockRule(),
                new OverdueRule(today),
                new DemandRule(),
                new LooseningRule(),
                new ExpectationRule());
    }
}
