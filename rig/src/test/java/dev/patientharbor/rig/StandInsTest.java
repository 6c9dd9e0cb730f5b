package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.notation.RecordingFiles;
import dev.patientharbor.standins.Call;
import java.io.UncheckedIOException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeMap;
import java.util.concurrent.CompletionStage;
import java.util.stream.BaseStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What stands in for a contract or around it: its answers, its failures, and what it saw. */
class StandInsTest {

    private static final Yard YARD =
            Yard.of(
                    """
                    import java.time.*;
                    import java.util.*;
                    import java.util.concurrent.*;
                    import java.util.stream.*;
                    import java.math.*;
                    enum Side { EAST }
                    record Span(int from, Duration lasts) {}
                    interface All {
                        int number(); Long box(); boolean flag(); char letter(); String text(); CharSequence chars();
                        BigDecimal exact(); Duration time(); int[] array(); String[][] grid();
                        Optional<String> maybe(); OptionalInt maybeInt(); Stream<String> stream(); IntStream ints();
                        List<String> list(); Set<String> set(); SortedMap<String, String> sorted(); Map<String, List<String>> map();
                        Iterable<String> all(); Iterator<String> each(); Collection<String> some();
                        CompletionStage<String> stage(); Future<String> future(); CompletableFuture<String> done();
                        Side side(); Object other(); void nothing();
                        default String own() { return "own " + text() + number(); }
                    }
                    interface Gauge<T> {
                        double level(int hour); double level(); List<Double> forecast(int hours, Side side);
                        Span span(); Map<Side, List<Span>> spans(); Optional<Span> maybe(); T reading(); T[] readings();
                        CompletionStage<T> later(); Stream<Integer> stream(); void reset(); String close(String[] names);
                        default String own() { return "own " + level(); }
                    }
                    interface Horn { String blow(String how); default void twice() { blow("a"); blow("b"); } }
                    class Brass implements Horn { public String blow(String how) {
                        if (how.equals("bad")) throw new IllegalArgumentException("bad"); return "brass " + how; } }
                    record Loud(Horn inner) implements Horn { public String blow(String how) { return "loud " + inner.blow(how); } }
                    record Desk(Gauge<Span> gauge, All all, Horn horn) {
                        public String work() { horn.twice(); return horn.blow("c"); }
                    }
                    """,
                    """
                    entry: [Desk]
                    profiles:
                      port:
                        bindings:
                          All: mock
                          Horn: Brass
                          Gauge<Span>:
                            stub:
                              level:
                                - { given: [6], answer: 2.5 }
                                - { given: [7], fails: java.io.UncheckedIOException, saying: out of range }
                                - { answers: [1.5, 1.25] }
                              forecast: { given: [2, EAST], answer: [1.0, 2] }
                              span: { answer: { from: 3, lasts: 90m } }
                              spans: { answer: { EAST: [{ from: 1, lasts: PT2S }] } }
                              maybe: { answer: { from: 4, lasts: 5s } }
                              reading: { answer: { from: 5, lasts: 200ms } }
                              readings: { answer: [{ from: 6, lasts: 1d }] }
                              later: { answer: { from: 7, lasts: 1h } }
                              stream: { answer: [1, 2] }
                              close: { given: [[a, b]], answer: closed }
                      spied:
                        extends: port
                        decorators:
                          Horn: [spy, Loud, spy]
                      drill:
                        extends: port
                        decorators:
                          Horn: [{ fail: { every: 3, with: java.io.UncheckedIOException, saying: no air } }]
                          All: [{ fail: { rate: 0.3, seed: 11 } }, { delay: 30ms }]
                    """);

    private static Object call(Object object, String method, Object... arguments) throws Throwable {
        for (Method one : object.getClass().getMethods()) {
            if (one.getName().equals(method) && one.getParameterCount() == arguments.length) {
                one.setAccessible(true);
                try {
                    return one.invoke(object, arguments);
                } catch (InvocationTargetException thrown) {
                    throw thrown.getCause();
                }
            }
        }
        throw new IllegalArgumentException(method);
    }

    private static String shown(Object value) throws Exception {
        if (value instanceof BaseStream<?, ?> stream) {
            List<Object> items = new ArrayList<>();
            stream.iterator().forEachRemaining(items::add);
            return items.toString();
        }
        if (value instanceof CompletionStage<?> stage) {
            return "done " + stage.toCompletableFuture().get();
        }
        if (value instanceof java.util.Iterator<?> items) {
            return "iterator " + items.hasNext();
        }
        return value instanceof Object[] || value != null && value.getClass().isArray()
                ? Arrays.deepToString(new Object[] {value})
                : value instanceof Character letter
                        ? "char " + (int) letter
                        : String.valueOf(value);
    }

    @Test
    void a_mock_answers_neutrally_and_runs_what_the_contract_does_itself() throws Throwable {
        try (Rig rig = YARD.rig("port")) {
            Object mock = rig.get(YARD.type("All"));
            TreeMap<String, String> answers = new TreeMap<>();
            for (Method method : YARD.type("All").getMethods()) {
                answers.put(method.getName(), shown(call(mock, method.getName())));
            }
            assertEquals(
                    "{all=[], array=[[]], box=0, chars=, done=done null, each=iterator false,"
                            + " exact=0, flag=false, future=done null, grid=[[]], ints=[],"
                            + " letter=char 0, list=[], map={}, maybe=Optional.empty,"
                            + " maybeInt=OptionalInt.empty, nothing=null, number=0, other=null,"
                            + " own=own 0, set=[], side=null, some=[], sorted={}, stage=done null,"
                            + " stream=[], text=, time=PT0S}",
                    answers.toString());
            assertEquals("mock of All", mock.toString());
            assertTrue(mock.equals(mock) && mock.hashCode() == System.identityHashCode(mock));
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            textBlock =
                    """
                    span; Span[from=3, lasts=PT1H30M]
                    spans; {EAST=[Span[from=1, lasts=PT2S]]}
                    maybe; Optional[Span[from=4, lasts=PT5S]]
                    reading; Span[from=5, lasts=PT0.2S]
                    readings; [[Span[from=6, lasts=PT24H]]]
                    later; done Span[from=7, lasts=PT1H]
                    stream; [1, 2]
                    reset; null
                    own; own 1.5
                    """)
    void a_stub_gives_its_canned_answers_as_the_contract_types_them(String method, String answer)
            throws Throwable {
        try (Rig rig = YARD.rig("port")) {
            assertEquals(answer, shown(call(gauge(rig), method)));
        }
    }

    private static Object gauge(Rig rig) {
        return Yard.call(rig.get(YARD.type("Desk")), "gauge");
    }

    @Test
    void canned_answers_go_by_arguments_and_in_order_and_fail_as_they_were_told() throws Throwable {
        try (Rig rig = YARD.rig("port")) {
            Object gauge = gauge(rig);
            assertEquals(2.5, call(gauge, "level", 6));
            assertEquals(1.5, call(gauge, "level", 5));
            assertEquals(1.25, call(gauge, "level", 5));
            assertEquals(1.25, call(gauge, "level", 5));
            assertEquals("closed", call(gauge, "close", (Object) new String[] {"a", "b"}));
            assertEquals(
                    "out of range",
                    assertThrows(UncheckedIOException.class, () -> call(gauge, "level", 7))
                            .getMessage());
            Object east = YARD.type("Side").getEnumConstants()[0];
            assertEquals(List.of(1.0, 2.0), call(gauge, "forecast", 2, east));
            assertEquals(
                    "the stub of Gauge<Span> (f:9:7) has no answer for forecast(3, EAST); it"
                            + " answers level, forecast, span, spans, maybe, reading, readings,"
                            + " later, stream, close",
                    assertThrows(
                                    UnsupportedOperationException.class,
                                    () -> call(gauge, "forecast", 3, east))
                            .getMessage());
        }
    }

    @Test
    void spies_see_each_layer_and_the_trace_tells_who_called_what_in_order() throws Throwable {
        try (Rig rig = YARD.rig("spied")) {
            Object desk = rig.get(YARD.type("Desk"));
            assertEquals("loud brass c", call(desk, "work"));
            assertThrows(
                    IllegalArgumentException.class,
                    () -> call(rig.get(YARD.type("Horn")), "blow", "bad"));
            String lines = rig.trace().toString();
            assertEquals(
                    """
                    Desk → Horn, Loud: twice()
                      Loud → Horn, real Brass: blow("a") = "brass a"
                      Loud → Horn, real Brass: blow("b") = "brass b"
                    Desk → Horn, Loud: blow("c") = "loud brass c"
                      Loud → Horn, real Brass: blow("c") = "brass c"
                    StandInsTest → Horn, Loud: blow("bad") threw java.lang.IllegalArgumentException: bad
                      Loud → Horn, real Brass: blow("bad") threw java.lang.IllegalArgumentException: bad
                    """
                            .strip(),
                    lines);
            List<Call> calls = rig.calls(YARD.type("Horn"));
            assertEquals("[twice(), blow(\"c\"), blow(\"bad\")]", calls.toString());
            assertEquals("p.Desk", calls.get(1).caller().orElseThrow());
            assertEquals(List.of(), rig.calls(YARD.type("All")));
        }
    }

    @Test
    void faults_come_on_the_calls_that_were_said_and_are_the_same_in_each_run() throws Throwable {
        List<String> runs = new ArrayList<>();
        for (int run = 0; run < 2; run++) {
            try (Rig rig = YARD.rig("drill")) {
                Object horn = rig.get(YARD.type("Horn"));
                Object all = rig.get(YARD.type("All"));
                StringBuilder seen = new StringBuilder();
                for (int i = 0; i < 9; i++) {
                    seen.append(outcome(horn, "blow", "a")).append(' ');
                }
                long start = System.nanoTime();
                for (int i = 0; i < 20; i++) {
                    seen.append(outcome(all, "flag")).append(' ');
                }
                assertTrue(System.nanoTime() - start >= 10 * 30_000_000L);
                runs.add(seen.toString());
            }
        }
        assertEquals(runs.get(0), runs.get(1));
        assertTrue(runs.get(0).startsWith("brass a brass a no air brass a brass a no air "));
        assertTrue(runs.get(0).contains(" false "));
        assertTrue(runs.get(0).contains("fails on purpose, as rate 0.3 seed 11 says"));
    }

    @Test
    void what_a_spy_saw_is_written_as_canned_answers_that_read_back_and_do_the_same()
            throws Throwable {
        Yard spied =
                Yard.of(
                        STATION,
                        """
                        entry: [Desk]
                        profiles:
                          real: { bindings: { Station: Deep }, decorators: { Station: [spy, spy] } }
                        """);
        String text;
        List<Object> seen = new ArrayList<>();
        try (Rig rig = spied.rig("real")) {
            Object station = rig.get(spied.type("Station"));
            ask(station, seen);
            text = RecordingFiles.text("recorded", List.of(), rig.recording(spied.type("Station")));
            assertTrue(
                    assertThrows(
                                    IllegalArgumentException.class,
                                    () -> rig.recording(spied.type("Desk")))
                            .getMessage()
                            .startsWith("nobody saw a call of Desk in real: decorate it with spy"));
        }
        Yard replayed =
                Yard.of(
                        STATION,
                        "entry: [Desk]\nprofiles:\n"
                                + text.substring(text.indexOf("  recorded:"))
                                + "  again: { extends: recorded }\n");
        List<Object> again = new ArrayList<>();
        try (Rig rig = replayed.rig("again")) {
            ask(rig.get(replayed.type("Station")), again);
        }
        assertEquals(seen.toString(), again.toString());
    }

    private static final String STATION =
            """
            import java.time.*; import java.util.*;
            record Reading(double level, Duration age, String by, List<String> notes) {}
            interface Station {
                int next(); Reading read(int hour, String who); Map<String, Integer> all(); String odd(); void reset();
            }
            class Deep implements Station {
                int n;
                public int next() { return ++n; }
                public Reading read(int hour, String who) {
                    if (hour > 20) throw new java.io.UncheckedIOException("too late: " + hour, new java.io.IOException());
                    return new Reading(hour / 4.0, Duration.ofMinutes(hour), who, List.of("yes", "no: maybe", "007"));
                }
                public Map<String, Integer> all() { return Map.of("a", 1); }
                public String odd() { return "${HOME} # '007' \\n 1e3"; }
                public void reset() {}
            }
            record Desk(Station station) {}
            """;

    private static void ask(Object station, List<Object> seen) throws Throwable {
        for (int i = 0; i < 4; i++) {
            seen.add(call(station, "next"));
        }
        call(station, "reset");
        seen.add(call(station, "read", 6, "ada"));
        seen.add(call(station, "read", 7, "true"));
        seen.add(outcome(station, "read", 21, "bert"));
        seen.add(call(station, "all"));
        seen.add(call(station, "odd"));
    }

    private static Object outcome(Object object, String method, Object... arguments) {
        try {
            return call(object, method, arguments);
        } catch (Throwable failure) {
            return failure.getMessage();
        }
    }

    @Test
    void a_mock_keeps_what_it_was_called_with() throws Throwable {
        try (Rig rig = YARD.rig("port")) {
            call(rig.get(YARD.type("All")), "own");
            assertEquals("[own(), text(), number()]", rig.calls(YARD.type("All")).toString());
            assertEquals("own 0", rig.calls(YARD.type("All")).get(0).answer().orElseThrow());
            assertNull(call(rig.get(YARD.type("All")), "side"));
        }
    }

    @Test
    void what_came_of_a_setting_is_used_and_never_shown() throws Throwable {
        System.setProperty("harbor.pass", "hunter2secret");
        System.setProperty("harbor.pin", "42");
        Yard yard =
                Yard.of(
                        "interface Safe { String word(String who); int pin(); String both(); }"
                                + " record Desk(Safe safe) {}",
                        """
                        entry: [Desk]
                        profiles: { t: { bindings: { Safe: { stub: {
                          word: { answer: "${harbor.pass}" }, pin: { answer: "${harbor.pin}" },
                          both: { answer: "is ${harbor.pass}!" } } } }, decorators: { Safe: [spy] } } }
                        """);
        try (Rig rig = yard.rig("t")) {
            Object safe = call(rig.get(yard.type("Desk")), "safe");
            assertEquals("hunter2secret", call(safe, "word", "ada"));
            assertEquals("is hunter2secret!", call(safe, "both"));
            assertEquals(42, call(safe, "pin"));
            call(safe, "word", "hunter2secret");
            String recorded =
                    RecordingFiles.text("seen", List.of(), rig.recording(yard.type("Safe")))
                            .strip();
            String shown =
                    String.join(
                            "\n",
                            rig.trace().toString(),
                            recorded,
                            yard.set().settings().toString(),
                            yard.plan("t").assembly().settings().toString());
            assertFalse(shown.contains("hunter2") || shown.contains("42"), shown);
            assertTrue(recorded.contains("answer: ${harbor.pass}"), recorded);
            assertTrue(rig.trace().toString().contains("= ${harbor.pin}"), shown);
        }
    }
}
