package dev.patientharbor.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.MadeUpCode;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.CheckCircumstances;
import dev.patientharbor.model.HouseMarks;
import dev.patientharbor.model.LevelStatements;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.ProfileTerms;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.WrittenName;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Graphs as deep as no application's: no stack overflows, and no crawl. */
class DeepGraphsTest {

    private static final int LINKS = 100_000;
    private static final Duration SOON = Duration.ofSeconds(60);

    private static Verdict check(boolean circle) {
        List<ClassFacts> classes = new ArrayList<>();
        for (int i = 0; i < LINKS; i++) {
            boolean last = i == LINKS - 1;
            List<String> next =
                    last && !circle ? List.of() : List.of("Lp/L" + (last ? 0 : i + 1) + ";");
            classes.add(
                    MadeUpCode.classOf(
                            "p.L" + i, List.of(), next, next, next.isEmpty() ? next : List.of("")));
        }
        SourcePosition at = SourcePosition.startOf("f");
        Profile profile =
                new Profile(
                        "test",
                        false,
                        List.of(),
                        ProfileTerms.NONE,
                        new LevelStatements(List.of(), List.of(), List.of()),
                        List.of(),
                        at);
        SetDeclaration set =
                new SetDeclaration(
                        "deep",
                        List.of(MadeUpCode.PLACE),
                        List.of(),
                        List.of(),
                        List.of(new WrittenName("p.L0", at)),
                        List.of(),
                        List.of(),
                        Lifetime.SHARED,
                        HouseMarks.NONE,
                        List.of(),
                        List.of(),
                        Strictness.AS_IS,
                        List.of(),
                        List.of(profile),
                        at);
        return Checker.check(set, MadeUpCode.places(classes), CheckCircumstances.NONE);
    }

    /** What is told; that all links are classes is noted a hundred thousand times. */
    private static List<Finding> told(Verdict verdict) {
        return verdict.allFindings().stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .toList();
    }

    @Test
    void a_chain_of_a_hundred_thousand_links_is_complete() {
        assertTimeoutPreemptively(
                SOON,
                () -> {
                    Verdict verdict = check(false);
                    assertEquals(List.of(), told(verdict));
                    assertEquals(LINKS - 1, verdict.profiles().get(0).needs());
                    assertEquals(LINKS - 1, verdict.roster("test").rows().size());
                });
    }

    @Test
    void a_circle_of_a_hundred_thousand_links_is_one_finding_with_a_path_that_can_be_read() {
        assertTimeoutPreemptively(
                SOON,
                () -> {
                    List<Finding> findings = told(check(true));
                    assertEquals(1, findings.size());
                    assertEquals("cycle", findings.get(0).kind().id());
                    assertEquals(LINKS, findings.get(0).consumers().size());
                    assertTrue(findings.get(0).details().get(0).text().length() < 2000);
                });
    }
}
