package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.testing.JavaCode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Section 7.5: what is missing, or would fail, method by method. */
class MethodsTest {

    private static final String GAUGES =
            """
            import java.util.*;
            import java.util.function.*;
            interface Depth { double depth(); }
            interface Gauge extends Depth {
                double level();
                String unit(int digits);
                void reset();
                default int rate() { return 1; }
            }
            class Bad implements Gauge {
                public double depth() { throw new UnsupportedOperationException("depth " + this); }
                public double level() { return 1; }
                public String unit(int digits) { if (digits > 2) { throw new IllegalStateException(); } return "m"; }
                public void reset() { throw new IllegalStateException("never reset"); }
            }
            class Real implements Gauge {
                public double depth() { throw new UnsupportedOperationException(); }
                public double level() { return 1; }
                public String unit(int digits) { return "m"; }
                public void reset() {}
            }
            class Loud implements Gauge {
                private final Gauge inner;
                Loud(Gauge inner) { this.inner = inner; }
                public double depth() { return inner.depth(); }
                public double level() { return inner.level(); }
                public String unit(int digits) { return inner.unit(digits); }
                public void reset() { inner.reset(); }
            }
            class Desk {
                private final Gauge gauge;
                Desk(Gauge gauge) { this.gauge = gauge; }
                double sum() { gauge.reset(); return gauge.depth() + gauge.rate(); }
            }
            class Shed {
                private final Supplier<Gauge> gauge;
                Shed(Supplier<Gauge> gauge) { this.gauge = gauge; }
                List<String> units() { return List.of(1, 2).stream().map(gauge.get()::unit).toList(); }
            }
            class Hall {
                private final List<Gauge> all;
                Hall(List<Gauge> all) { this.all = all; }
                double first() { return all.get(0).level(); }
            }
            class Silent { Silent(Gauge gauge) {} }
            """;

    @Test
    void n7_5_a_call_that_a_stand_in_cannot_answer_is_told_with_those_who_make_it() {
        Situation it =
                Situation.of(
                        GAUGES,
                        """
                        entry: [Desk, Shed, Hall, Silent]
                        profiles:
                          none: { bindings: { Gauge: { stub: {} } } }    # <- unanswered-call
                          some: { bindings: { Gauge: { stub: { unit: m, level: 1 } } }, decorators: { Gauge: [Loud] } }  # <- unanswered-call
                          whole: { bindings: { Gauge: { stub: { unit: m, level: 1, depth: 4 } } } }
                          heir: { extends: whole, lifetime: fresh }
                          alias: { bindings: { Gauge: { same-as: Gauge@a }, Gauge@a: { stub: { unit: m, level: 1 } } } }  # <- unanswered-call
                          class: { bindings: { Gauge: { fake: Bad } } }  # <- unanswered-call
                          real: { bindings: { Gauge: Real } }
                          mock: { bindings: { Gauge: mock } }
                        """);
        it.tellsWhatIsMarked();
        assertEquals(
                List.of(
                        "The stub of Gauge has no answer for depth(), and Desk calls it.",
                        "The stub of Gauge has no answer for level(), and Hall calls it.",
                        "The stub of Gauge has no answer for unit(int), and Shed calls it."),
                messages(it, 0));
        assertEquals(
                List.of("The stub of Gauge has no answer for depth(), and Desk calls it."),
                messages(it, 1));
        assertEquals(
                List.of(
                        "Bad only throws in depth(), and Desk calls it.",
                        "Bad only throws in reset(), and Desk calls it."),
                messages(it, 5));
        assertTrue(it.verdict().complete("none"), "a warning: all is met");
    }

    @Test
    void n7_5_only_what_never_returns_is_told_whatever_it_would_return_and_behind_a_bridge_too() {
        Situation it =
                Situation.of(
                        """
                        interface Reader<T> { T read(); int count(); void reset(); long size(); float part(); T again(T one); }
                        class Stub implements Reader<String> {
                            public String read() { throw new IllegalStateException(); }
                            public int count() { return 1; }
                            public void reset() {}
                            public long size() { if (count() > 0) { throw new IllegalStateException(); } return 1; }
                            public float part() { while (true) { if (count() > 0) { throw new IllegalStateException(); } } }
                            public String again(String one) { return one; }
                        }
                        class Desk {
                            private final Reader<String> reader;
                            Desk(Reader<String> reader) { this.reader = reader; }
                            void all() {
                                reader.read(); reader.count(); reader.reset(); reader.size(); reader.part(); reader.again("");
                            }
                        }
                        """,
                        """
                        entry: [Desk]
                        profiles: { test: { bindings: { Reader<String>: { stub: Stub } } } }
                        """);
        assertEquals(
                List.of(
                        "Stub only throws in part(), and Desk calls it.",
                        "Stub only throws in read(), and Desk calls it."),
                messages(it, 0));
    }

    private static List<String> messages(Situation it, int profile) {
        return it.verdict().profiles().get(profile).findings().stream()
                .filter(finding -> finding.kind().id().equals("unanswered-call"))
                .map(finding -> finding.message())
                .toList();
    }

    @Test
    void n7_5_an_implementation_that_lacks_a_method_of_its_contract_is_told() throws Exception {
        Path classes =
                JavaCode.compileAnew(
                        """
                        package p;
                        interface Gauge<T> { T level(); }
                        abstract class Base implements Gauge<Double> { public abstract Double level(); }
                        class Old extends Base { public Double level() { return 1.0; } }
                        class Own implements Gauge<String> { public String level() { return ""; } public int unit(long[] of) { return 1; } }
                        class Around implements Gauge<Double> { Around(Gauge<Double> inner) {} public Double level() { return 1.0; } }
                        class Lost extends Gone { public Double level() { return 1.0; } }
                        abstract class Gone implements Gauge<Double> {}
                        interface Named { String name(); }
                        class Alone implements Named { public String name() { return ""; } }
                        class Desk { Desk(Gauge<Double> d, Gauge<String> s, Alone alone) {} }
                        """);
        JavaCode.compileInto(
                classes,
                """
                package p;
                interface Gauge<T> { T level(); int unit(long[] of); }
                """);
        JavaCode.compileInto(
                classes,
                """
                package p;
                interface Named { String name(); default int length() { return 1; } Named again(Named one); }
                """);
        Files.delete(classes.resolve("p/Gone.class"));
        Situation it =
                Situation.of(
                        classes,
                        """
                        entry: [Desk]
                        profiles:
                          old:
                            bindings:
                              Gauge<Double>: Old     # <- missing-method
                              Gauge<String>: Own
                            decorators: { Gauge<Double>: [Around] }   # <- missing-method
                          mock: { bindings: { Gauge<Double>: mock, Gauge<String>: { stub: Own } } }  # <- two-kinds
                        """);
        assertEquals(
                "Old has no unit(long[]), which Gauge asks for.",
                it.verdict().profiles().get(0).findings().stream()
                        .map(finding -> finding.message())
                        .filter(finding -> finding.startsWith("Old"))
                        .findFirst()
                        .orElse(""));
        assertTrue(
                it.told().contains("p.Alone missing-method"),
                "what supplies itself is held against its own contracts: " + it.told());
        assertFalse(it.verdict().complete("mock"), "it needs Alone too");
        assertEquals(
                List.of("7 missing-method", "9 missing-method"),
                it.told().stream().filter(line -> line.matches("\\d+ missing.*")).toList());
        JavaCode.compileInto(
                classes,
                """
                package p;
                interface Pair { int levelAa(); }
                class Alike implements Pair { public int levelAa() { return 1; } }
                class Asker { Asker(Pair pair) {} }
                """);
        JavaCode.compileInto(
                classes, "package p;\ninterface Pair { int levelAa(); int levelBB(); }");
        assertEquals("levelAa".hashCode(), "levelBB".hashCode());
        Situation alike =
                Situation.of(
                        classes,
                        """
                        entry: [Asker]
                        profiles:
                          test:
                            bindings:
                              Pair: Alike   # <- missing-method
                        """);
        alike.tellsWhatIsMarked();
        Situation lost =
                Situation.of(
                        classes,
                        "entry: [Lost]\nprofiles: { a: { bindings: { Gauge<Double>: Lost } } }");
        assertFalse(lost.told().toString().contains("missing-method"), lost.told().toString());
    }
}
