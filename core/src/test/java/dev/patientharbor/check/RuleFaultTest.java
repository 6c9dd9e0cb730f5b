package dev.patientharbor.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.code.MadeUpCode;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.CodeSide;
import dev.patientharbor.model.CheckCircumstances;
import dev.patientharbor.model.HouseMarks;
import dev.patientharbor.model.LevelStatements;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.ProfileTerms;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.rules.UnmetNeedRule;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.WrittenName;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A rule that fails hides nothing that the others found, and nobody calls the rest complete. */
public class RuleFaultTest {

    /** What is told where a rule did not come to its end, and another one found something. */
    public static Verdict ofFaultyRule() {
        CheckRule faulty =
                context -> {
                    throw new IllegalStateException("lost");
                };
        return check(List.of(faulty, new UnmetNeedRule()));
    }

    private static Verdict check(List<CheckRule> rules) {
        SourcePosition at = SourcePosition.startOf("f");
        CodePlaces code =
                MadeUpCode.places(
                        List.of(
                                MadeUpCode.classOf(
                                        "p.Desk",
                                        List.of(),
                                        List.of("Lp/Gauge;"),
                                        List.of("Lp/Gauge;"),
                                        List.of(""))));
        LevelStatements silence = new LevelStatements(List.of(), List.of(), List.of());
        SetDeclaration set =
                new SetDeclaration(
                        "faulty",
                        List.of(MadeUpCode.PLACE),
                        List.of(),
                        List.of(),
                        List.of(new WrittenName("p.Desk", at)),
                        List.of(),
                        List.of(),
                        Lifetime.SHARED,
                        HouseMarks.NONE,
                        List.of(),
                        List.of(),
                        Strictness.AS_IS,
                        List.of(),
                        List.of(
                                new Profile(
                                        "test",
                                        false,
                                        List.of(),
                                        ProfileTerms.NONE,
                                        silence,
                                        List.of(),
                                        at)),
                        at);
        return Checker.check(set, code, CodeSide.of(set, code), CheckCircumstances.NONE, rules);
    }

    @Test
    void the_other_rules_tell_theirs_and_the_fault_is_named() {
        CheckRule faulty =
                context -> {
                    throw new IllegalStateException("lost");
                };
        Verdict verdict = ofFaultyRule();
        assertEquals(
                List.of("unmet-need"),
                verdict.allFindings().stream().map(finding -> finding.kind().id()).toList());
        assertEquals(1, verdict.faults().size());
        assertEquals("lost", verdict.faults().get(0).cause().getMessage());
        assertFalse(check(List.of(faulty)).complete("test"));
        assertEquals(List.of(), check(List.of(new UnmetNeedRule())).faults());
        assertTrue(check(List.of()).complete("test"), "no rule, nothing told");
    }
}
