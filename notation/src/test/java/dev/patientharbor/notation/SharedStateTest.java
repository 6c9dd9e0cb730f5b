package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.TreeSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Consumers that use an object of which there is one for the whole program. */
class SharedStateTest {

    private static final String AROUND =
            """
            import java.util.*;
            interface Tide { int now(); }
            class Book {
                private static final Book INSTANCE = new Book();
                private final Map<String, Integer> ships = new HashMap<>();
                static Book instance() { return INSTANCE; }
                void note(String ship) { ships.merge(ship, 1, Integer::sum); }
            }
            class Index { static final Index ONE = new Index(); private final Book book = new Book(); void note() { book.note(""); } }
            class Lazy { private static Lazy it; static Lazy it() { if (it == null) it = new Lazy(); return it; } }
            class Registry {
                static final Map<String, String> ALL = new HashMap<>();
                static void put(String name) { ALL.put(name, name); }
                static String find(String name) { return look(name); }
                private static String look(String name) { return ALL.get(name); }
                static String plain(String name) { return name.strip(); }
            }
            class Open { static final List<String> BOARD = new ArrayList<>(); static final Set<String> KEPT = new HashSet<>(); static { KEPT.add(""); } }
            class Painter { Painter(Tide tide) {} void paint() { Open.BOARD.add(""); } }
            enum Wire { MAIN; private int sent; void send() { sent++; } }
            enum Colour { RED; private final int code = 1; int code() { return code; } }
            record Tariff(int rate) { static final Tariff HOUSE = new Tariff(2); static final int[] STEPS = { 1, 2 }; }
            class Disk { static final Disk DISK = new Disk(); boolean has() { return new java.io.File("x").exists(); } }
            """;

    /** The body of the consumer Desk, and what it is told to use. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            textBlock =
                    """
                    void go() { Book.instance().note(""); }                                                             | Book.instance(): its field ships changes
                    Runnable go() { return () -> Book.instance().note(""); }                                            | Book.instance(): its field ships changes
                    Runnable go() { return new Runnable() { public void run() { Book.instance().note(""); } }; }        | Book.instance(): its field ships changes
                    void go() { Index.ONE.note(); }                                                                     | Index.ONE: its field book: its field ships changes
                    Object go() { return Lazy.it(); }                                                                   | Lazy.it(): the field can be set again
                    void go() { Registry.put(""); }                                                                     | Registry.put(): what is in it changes
                    String go() { return Registry.find(""); }                                                           | Registry.find(): what is in it changes
                    int go() { return Open.BOARD.size(); }                                                              | Open.BOARD: what is in it changes
                    void go() { Wire.MAIN.send(); }                                                                     | Wire.MAIN: its field sent changes
                    boolean go() { return Disk.DISK.has(); }                                                            | Disk.DISK: it touches files
                    private static final Map<String, String> SEEN = new HashMap<>(); void go() { SEEN.put("", ""); }    | SEEN, a static field: what is in it changes
                    private static final int[] HITS = new int[2]; void go() { HITS[0]++; }                              | HITS, a static field: what is in it changes
                    private static final StringBuilder LOG = new StringBuilder(); void go() { LOG.append("x"); }        | LOG, a static field: what is in it changes
                    private static int count; void go() { count++; }                                                    | count, a static field: the field can be set again
                    String go() { return Registry.plain(""); }                                                          | ``
                    int go() { return Open.KEPT.size(); }                                                               | ``
                    int go() { return Colour.RED.code() + Tariff.HOUSE.rate() + Tariff.STEPS[0]; }                      | ``
                    private static final Map<String, String> WORDS = new HashMap<>(Map.of("", "")); Object go() { return WORDS.get(""); } | ``
                    private static final String NAME = "x"; private static final Object LOCK = new Object(); Object go() { return NAME + LOCK; } | ``
                    """)
    void are_told_if_its_state_changes_or_it_reaches_outside(String body, String expected) {
        Situation it =
                Situation.of(
                        AROUND + "class Desk {\nDesk(Tide tide) {}\n" + body + "\n}\n",
                        """
                        entry: [Desk, Painter]
                        profiles: { test: { bindings: { Tide: mock } } }
                        """);
        TreeSet<String> told = new TreeSet<>();
        it.verdict().allFindings().stream()
                .filter(finding -> finding.kind().id().equals("shared-state"))
                .filter(finding -> finding.consumers().contains("p.Desk"))
                .forEach(
                        finding ->
                                told.add(
                                        finding.message()
                                                        .replaceAll("^Desk uses |: its state.*", "")
                                                + finding.details().stream()
                                                        .filter(
                                                                each ->
                                                                        each.label()
                                                                                .equals("state"))
                                                        .map(
                                                                each ->
                                                                        each.text()
                                                                                .replaceAll(
                                                                                        "^[^:]*",
                                                                                        ""))
                                                        .findFirst()
                                                        .orElse("")));
        assertEquals(expected, String.join("\n", told));
    }
}
