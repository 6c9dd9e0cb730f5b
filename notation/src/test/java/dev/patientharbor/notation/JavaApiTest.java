package dev.patientharbor.notation;

import static dev.patientharbor.profiles.Supplies.madeBy;
import static dev.patientharbor.profiles.Supplies.mock;
import static dev.patientharbor.profiles.Supplies.object;
import static dev.patientharbor.profiles.Supplies.real;
import static dev.patientharbor.profiles.Supplies.sameAs;
import static dev.patientharbor.profiles.Supplies.value;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.IncompleteProfileException;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.Lifetime;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What only Java can say, and how the door for Java answers. */
class JavaApiTest {

    /** A contract of this test's own, with its consumer. */
    interface Horn {
        String sound();
    }

    static final class BrassHorn implements Horn {
        @Override
        public String sound() {
            return "deep";
        }
    }

    static final class Tower {
        Tower(Horn horn) {
            throw new IllegalStateException("check runs no constructor: " + horn);
        }
    }

    @Test
    void values_of_the_caller_are_values_as_a_file_gives_them() {
        ProfileSet set =
                ProfileSet.define(
                        "values",
                        it -> {
                            it.entry(Shelf.class);
                            it.setting("unit", "m");
                            it.profile(
                                    "sound",
                                    p ->
                                            p.fill(
                                                    Shelf.class,
                                                    real(Shelf.class)
                                                            .with("tags", List.of("a", "$b"))
                                                            .with("sizes", new int[] {1, 2})
                                                            .with("ages", Map.of("x", 3))
                                                            .with("unit", "${unit}")
                                                            .with("wait", Duration.ofSeconds(2))
                                                            .with("kind", AnswerKind.REAL)));
                        });
        assertEquals(Set.of(), JavaSaysTheSameTest.told(set.check()));
        set.check().requireNothing(Severity.WARNING);
    }

    /** Takes values of many kinds. */
    static final class Shelf {
        Shelf(
                List<String> tags,
                int[] sizes,
                Map<String, Integer> ages,
                String unit,
                Duration wait,
                AnswerKind kind) {}
    }

    @Test
    void findings_name_the_line_of_the_caller_and_read_like_the_commands() {
        int first = here() + 2;
        ProfileSet set =
                ProfileSet.define(
                        "tower",
                        it -> {
                            it.entry(Tower.class);
                            it.profile("silent", silent -> {});
                            it.profile("wrong", wrong -> wrong.fill(Horn.class, real("BrassHrn")));
                            it.profile("text", text -> text.fill(Horn.class, value("loud")));
                            it.packages(JavaApiTest.class.getName());
                        });
        List<Finding> found = set.check().allFindings();
        assertEquals(
                List.of(
                        "JavaApiTest.java:" + (first + 4) + " unmet-need",
                        "JavaApiTest.java:" + (first + 5) + " unknown-class",
                        "JavaApiTest.java:" + (first + 6) + " value-unfit"),
                found.stream()
                        .map(finding -> finding.at().text() + ' ' + finding.kind().id())
                        .toList());
        IncompleteProfileException told =
                assertThrows(IncompleteProfileException.class, () -> set.plan("silent"));
        assertEquals(
                """
                this profile is not complete: silent

                error unmet-need · JavaApiTest.java:LINE
                  Tower asks for Horn (constructor parameter 1, horn), and nothing supplies it.
                  reason        bound in another profile: wrong, text
                  looked in     silent (whole profile)
                  in the code   BrassHorn
                  reached by    Tower → Horn
                  write         fill(Horn.class, real(BrassHorn.class))     in the profile silent
                """
                        .replace("LINE", "" + (first + 4)),
                told.getMessage().replaceAll("JavaApiTest\\.(?=[A-Z])", ""));
        assertEquals(1, told.findings().size());
        assertThrows(IncompleteProfileException.class, () -> set.check().requireComplete("silent"));
        assertTrue(
                assertThrows(
                                IllegalStateException.class,
                                () -> set.check().requireNothing(Severity.ERROR))
                        .getMessage()
                        .contains("error unknown-class"));
    }

    private static int here() {
        return StackWalker.getInstance()
                .walk(frames -> frames.skip(1).findFirst().orElseThrow().getLineNumber());
    }

    @Test
    void objects_and_pieces_of_code_are_handed_in_and_nothing_of_them_runs() {
        Horn lambda = () -> "lambda";
        ProfileSet set =
                ProfileSet.define(
                        "tower",
                        it -> {
                            it.entry(Tower.class);
                            it.profile("object", p -> p.fill(Horn.class, object(new BrassHorn())));
                            it.profile("fake", p -> p.fill(Horn.class, object(lambda).asFake()));
                            it.profile(
                                    "made",
                                    p ->
                                            p.fill(
                                                    Horn.class,
                                                    madeBy(
                                                                    () -> {
                                                                        throw new AssertionError();
                                                                    })
                                                            .lifetime(Lifetime.FRESH)));
                            it.profile("strict", p -> p.extend("fake"));
                            it.profile("unfit", p -> p.fill(Horn.class, object("a text")));
                        });
        assertEquals(
                List.of("value BrassHorn", "fake", "factory", "fake"),
                List.of("object", "fake", "made", "strict").stream()
                        .map(profile -> set.roster(profile).of(Tower.class).need("horn").received())
                        .toList());
        Verdict verdict = set.check();
        assertTrue(verdict.complete("object") && verdict.complete("fake"));
        assertFalse(verdict.complete("unfit"));
        assertEquals(
                "The class String is no JavaApiTest.Horn, so it cannot fill JavaApiTest.Horn.",
                verdict.allFindings().stream()
                        .filter(finding -> finding.kind().id().equals("does-not-fit"))
                        .map(Finding::message)
                        .findFirst()
                        .orElseThrow());
        assertEquals(AnswerKind.FACTORY, set.roster("made").of(Tower.class).need("horn").kind());
    }

    @Test
    void strictness_and_grounds_are_said_in_java_too() {
        LocalDate day = LocalDate.of(2026, 3, 31);
        ProfileSet set =
                ProfileSet.define(
                        "tower",
                        it -> {
                            it.entry(Tower.class);
                            it.severity("overdue", Severity.ERROR);
                            it.suppress(
                                    "unmet-need",
                                    "Horn",
                                    new Grounds(
                                            Optional.of("it is in repair"),
                                            Optional.empty(),
                                            Optional.empty()));
                            it.profile("none", none -> {});
                            it.profile("fake", p -> p.fill(Horn.class, mock().until(day)));
                            it.packages(JavaApiTest.class.getName());
                        });
        assertEquals(List.of(), JavaSaysTheSameTest.told(set.check(day)).stream().toList());
        assertEquals(1, JavaSaysTheSameTest.told(set.check(day.plusDays(1))).size());
        assertFalse(set.check(day).complete("none"));
        assertThrows(IllegalStateException.class, () -> set.check(day).requireComplete());
        assertThrows(
                IllegalStateException.class,
                () -> set.check(day.plusDays(1)).requireNothing(Severity.ERROR));
    }

    @Test
    void whoever_calls_it_wrongly_is_told_what_would_be_right() {
        ProfileSet set = ProfileSet.define("port", JavaSaysTheSameTest::port);
        Map<Callable<?>, String> wrong =
                Map.of(
                        () -> set.plan("wintre"), "did you mean winter?",
                        () -> set.plan("base"), "base is partial",
                        () -> set.roster("live").of("ArivalDesk"), "near: ArrivalDesk",
                        () -> set.roster("live").of(Horn.class), "there is no consumer",
                        () -> set.roster("live").of("ArrivalDesk").need("leger"),
                                "did you mean ledger?",
                        () -> mock().asFake(), "use fake(…) or stub(…)",
                        () -> sameAs("a b"), "a b is not a slot",
                        () ->
                                        ProfileSet.define(
                                                "twice",
                                                it -> {
                                                    it.profile("a", a -> {});
                                                    it.profile("a", a -> {});
                                                }),
                                "there is a profile a already",
                        () -> ProfileSet.define("x", it -> it.severity("unmet", Severity.NOTE)),
                                "there is no finding of the id unmet",
                        () -> ProfileSet.define("x", it -> it.marksLookup("find")),
                                "find is not a method");
        wrong.forEach(
                (call, message) -> {
                    RuntimeException told = assertThrows(RuntimeException.class, call::call);
                    assertTrue(told.getMessage().contains(message), told.getMessage());
                });
    }

    @Test
    void several_threads_get_the_same_verdict_of_code_that_is_read_once() throws Exception {
        ProfileSet set = ProfileSet.define("port", JavaSaysTheSameTest::port);
        ExecutorService pool = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Verdict>> calls =
                    IntStream.range(0, 32).mapToObj(i -> (Callable<Verdict>) set::check).toList();
            Set<Verdict> verdicts = new java.util.HashSet<>();
            for (var future : pool.invokeAll(calls)) {
                verdicts.add(future.get());
            }
            assertEquals(1, verdicts.size());
        } finally {
            pool.shutdownNow();
        }
    }
}
