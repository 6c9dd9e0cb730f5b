package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Severity;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** The settled cases that have no larger place of their own. */
class SmallPrintTest {

    private static final String PORT =
            """
            import jakarta.inject.*;
            import java.util.*;
            interface Clock {} class Wall implements Clock {} class Slow implements Clock {}
            interface Rota {} class Season implements Rota { Season(Clock clock) {} }
            class Loud implements Clock { Loud(Clock inner) {} }
            class Book {}
            class Desk { Desk(Rota rota, Clock clock) {} }
            """;

    @Test
    void decision_2_one_row_for_each_distinct_answer_equal_rows_merged() {
        Situation it =
                Situation.of(
                        PORT
                                + "class Shed { Shed(@Named(\"a\") Rota a, @Named(\"b\") Rota b,"
                                + " Rota c) {} }",
                        """
                        entry: [Desk, Shed]
                        areas: { crane: { members: [Shed] } }
                        profiles:
                          test:
                            bindings: { Rota: Season, Rota@a: Season, Rota@b: { same-as: Rota@a }, Clock: Wall }
                            within: { crane: { bindings: { Rota: Season, Clock: mock } } }
                        """);
        assertEquals(
                List.of(
                        "Season as Rota within null: real Wall",
                        "Season as Rota within crane: mock",
                        "Season as Rota@a within null: real Wall"),
                it.verdict().roster("test").rows().stream()
                        .filter(row -> row.consumer().equals("p.Season"))
                        .map(
                                row ->
                                        "Season as "
                                                + row.as()
                                                        .orElseThrow()
                                                        .text(it.verdict()::shortName)
                                                + " within "
                                                + row.within().orElse("null")
                                                + ": "
                                                + row.answer().kind().word()
                                                + row.answer()
                                                        .implementation()
                                                        .map(
                                                                name ->
                                                                        " "
                                                                                + it.verdict()
                                                                                        .shortName(
                                                                                                name))
                                                        .orElse(""))
                        .toList());
    }

    @Test
    void decision_3_places_count_from_0_for_programs_and_from_1_for_people() {
        Situation it =
                Situation.of(
                        PORT + "class Hall { @Inject void set(Rota rota, Clock clock) {} }",
                        """
                        entry: [Hall]
                        profiles: { test: { bindings: { Rota: Season, Clock: Wall } } }
                        """);
        assertEquals("method:set(p.Rota,p.Clock):1", it.row("test", "Hall.clock").place().code());
        assertEquals("method set, parameter 2", it.row("test", "Hall.clock").place().words());
        assertEquals("constructor:0", it.row("test", "Season.clock").place().code());
        assertEquals("constructor parameter 1", it.row("test", "Season.clock").place().words());
    }

    @Test
    void decision_14_what_is_an_error_a_warning_or_a_note_and_what_breaks_completeness() {
        List<String> warnings = new ArrayList<>();
        List<String> notes = new ArrayList<>();
        List<String> whole = new ArrayList<>();
        for (FindingKind kind : FindingKinds.all()) {
            if (kind.severity() == Severity.WARNING) {
                warnings.add(kind.id());
            } else if (kind.severity() == Severity.NOTE) {
                notes.add(kind.id());
            } else if (!kind.breaksCompleteness()) {
                whole.add(kind.id());
            }
        }
        assertEquals(
                List.of(
                        "unreadable-class",
                        "lookup-unseen",
                        "unanswered-call",
                        "unused-binding",
                        "says-nothing-new",
                        "wraps-nothing",
                        "drops-nothing",
                        "key-unfit",
                        "constant-unbound",
                        "hidden-by-narrower",
                        "scope-unmapped",
                        "pointless-mark",
                        "mark-unfit",
                        "two-kinds",
                        "made-two-ways",
                        "hard-wired",
                        "shared-state",
                        "overdue",
                        "suppresses-nothing"),
                warnings);
        assertEquals(
                List.of("shared-twice", "cannot-swap", "mock-of-class", "rule-loosened"), notes);
        assertEquals(
                List.of("outlives", "build-failed", "roster-changed", "wired-otherwise"),
                whole,
                "an error, and all is met nevertheless");
    }

    @Test
    void decision_22_layers_around_nothing_are_told_and_a_mock_or_a_factory_is_wrapped() {
        Situation it =
                Situation.of(
                                PORT
                                        + """
                                        class Clocks { static Clock wall() { return null; } }
                                        class Hall { Hall(Optional<Clock> clock) {} }
                                        """,
                                """
                                entry: [Hall]
                                profiles:
                                  mocked: { bindings: { Clock: mock }, decorators: { Clock: [Loud] } }
                                  made: { bindings: { Clock: { factory: "Clocks#wall" } }, decorators: { Clock: [Loud] } }
                                  none:
                                    bindings: { Clock: none }
                                    decorators:
                                      Clock: [Loud]               # <- wraps-nothing
                                  unbound:
                                    decorators:
                                      Clock: [Loud]               # <- wraps-nothing
                                """)
                        .tellsWhatIsMarked();
        assertEquals("Loud > mock", it.received("mocked", "Hall.clock"));
        assertEquals("Loud > factory Clocks#wall", it.received("made", "Hall.clock"));
        assertEquals("absent", it.received("none", "Hall.clock"));
        assertEquals("absent", it.received("unbound", "Hall.clock"));
    }

    @Test
    void decision_24_an_optional_class_supplies_itself_but_not_for_a_key_and_not_within_own() {
        Situation it =
                Situation.of(
                                PORT
                                        + "class Hall { Hall(Optional<Book> book, @Named(\"x\")"
                                        + " Optional<Book> key) {} }class Shed {"
                                        + " Shed(Optional<Book> book) {} }",
                                """
                                entry: [Hall, Shed]
                                areas: { crane: { members: [Shed] } }
                                profiles: { test: { within: { Shed: { reach: { book: own } } } } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Book", it.received("test", "Hall.book"));
        assertEquals("absent", it.received("test", "Hall.key"));
        assertEquals("absent", it.received("test", "Shed.book"));
    }

    @Test
    void decision_33_an_area_and_a_class_of_one_name_are_told_and_the_full_name_is_the_class() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Desk]
                                areas: { Desk: { members: [p.Season] } }
                                profiles:
                                  test:
                                    bindings: { Rota: Season }
                                    within:
                                      Desk: { bindings: { Clock: Slow } }     # <- ambiguous-name
                                      p.Desk: { bindings: { Clock: mock } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Slow", it.received("test", "Season.clock"));
        assertEquals("mock", it.received("test", "Desk.clock"));
    }

    @Test
    void
            decision_36_reserved_words_are_no_classes_and_what_is_left_to_fill_is_told_needed_or_not() {
        Situation it =
                Situation.of(
                                PORT
                                        + "class mock implements Clock {} class none implements"
                                        + " Clock {}",
                                """
                                entry: [Desk]
                                profiles:
                                  base:
                                    partial: true
                                    lifetime: fresh
                                    bindings: { Rota: to-fill, Clock: mock, Book: to-fill }
                                  open: { extends: base, bindings: { Rota: mock } }    # <- unmet-need
                                  full: { extends: base, bindings: { Rota: mock, Book: removed } }
                                  class: { extends: full, bindings: { Clock: p.mock } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("mock", it.received("full", "Desk.clock"));
        assertEquals("real mock", it.received("class", "Desk.clock"));
        assertEquals("fresh by the profile", it.lifetime("full", "Desk.clock"));
    }

    @Test
    void decision_38_a_partial_profile_is_listed_and_never_complete_or_incomplete() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Desk]
                                profiles:
                                  base:
                                    partial: true
                                    bindings:
                                      Clock: Wall
                                      Rota: Book                       # <- does-not-fit
                                  child: { extends: base }
                                  mended: { extends: base, bindings: { Rota: Season } }
                                """)
                        .tellsWhatIsMarked();
        assertTrue(it.verdict().profiles().get(0).isPartial());
        assertEquals(0, it.verdict().profiles().get(0).needs());
        assertFalse(it.verdict().complete("child"), "broken by what it inherits");
        assertEquals(List.of(), it.verdict().profiles().get(1).findings());
        assertTrue(it.verdict().complete("mended"));
    }

    @Test
    void of_some_profiles_alone_those_parents_are_shown_in_which_something_is_wrong() {
        Verdict verdict =
                Situation.of(
                                PORT,
                                """
                                entry: [Desk]
                                profiles:
                                  sound: { partial: true, bindings: { Clock: Wall } }
                                  wrong: { partial: true, extends: sound, bindings: { Rota: Book } }
                                  other: { partial: true, extends: sound, bindings: { Rota: Wall } }
                                  child: { extends: wrong }
                                  grandchild: { extends: child }
                                  stranger: { extends: other }
                                  whole: { extends: sound, bindings: { Rota: Season } }
                                """)
                        .verdict();
        Map<List<String>, List<String>> shown =
                Map.of(
                        List.of("child"), List.of("wrong", "child"),
                        List.of("grandchild"), List.of("wrong", "grandchild"),
                        List.of("whole"), List.of("whole"),
                        List.of("stranger", "child"),
                                List.of("wrong", "other", "child", "stranger"),
                        List.of("sound"), List.of("sound"));
        shown.forEach(
                (wanted, names) ->
                        assertEquals(
                                names,
                                verdict.only(wanted).profiles().stream()
                                        .map(ProfileVerdict::name)
                                        .toList()));
    }

    @Test
    void decision_39_what_changes_of_a_part_build_on_is_used() {
        Situation.of(
                        "class Horn { Horn(int channel, String sign) {} } class Desk { Desk(Horn"
                                + " horn) {} }",
                        """
                        entry: [Desk]
                        profiles:
                          last: { extends: middle, bindings: { Horn: { with: { channel: 2 } } } }
                          middle: { partial: true, extends: base, bindings: { Horn: { with: { sign: b } } } }
                          base: { partial: true, bindings: { Horn: { class: Horn, with: { sign: a, channel: 1 } } } }
                          other: { partial: true, extends: base, bindings: { Horn: { with: { sign: c } } } }   # <- unused-binding
                        """)
                .tellsWhatIsMarked();
    }

    @Test
    void n55_what_a_class_says_of_itself_is_seen_beside_what_is_listed_and_the_list_wins() {
        String feeds =
                """
                import jakarta.inject.*;
                interface Feed {} class Coast implements Feed {} %s class Calm implements Feed {}
                @Named interface Odd {}
                class Desk { Desk(Feed feed) {} }
                """;
        String yaml =
                """
                fill-in: [marked]
                entry: [Desk]
                profiles:
                  listed: { bindings: { Feed: Coast } }
                  bare: {}
                """;
        Situation it = Situation.of(feeds.formatted("@Singleton"), yaml);
        assertEquals(new TreeSet<>(List.of("p.Odd pointless-mark")), it.told());
        assertEquals("real Coast", it.received("listed", "Desk.feed"));
        assertEquals("real Calm", it.received("bare", "Desk.feed"));
        assertEquals(
                List.of("Calm p.Calm"),
                it.row("listed", "Desk.feed").answer().hides().stream()
                        .map(hidden -> hidden.supply() + ' ' + hidden.at().text())
                        .toList());
        Situation without = Situation.of(feeds.formatted(""), yaml);
        assertEquals(
                new TreeSet<>(List.of("7 unmet-need", "p.Odd pointless-mark")), without.told());
    }

    @Test
    void n59_moving_a_binding_one_level_up_changes_its_origin_and_its_instance_alone() {
        String yaml =
                """
                entry: [Desk, Shed]
                areas: { crane: { members: [Shed] } }
                profiles:
                  low: { bindings: { Rota: mock, Clock: Wall }, within: { crane: { bindings: { Clock: Wall } } } }
                  high: { bindings: { Rota: mock, Clock: Wall } }
                """;
        Situation it = Situation.of(PORT + "class Shed { Shed(Clock clock) {} }", yaml);
        assertEquals("f:6:80", it.row("low", "Shed.clock").answer().origin().orElseThrow().text());
        assertEquals("f:7:35", it.row("high", "Shed.clock").answer().origin().orElseThrow().text());
        assertEquals(it.received("low", "Shed.clock"), it.received("high", "Shed.clock"));
        assertNotEquals(it.instance("low", "Desk.clock"), it.instance("low", "Shed.clock"));
        assertEquals(it.instance("high", "Desk.clock"), it.instance("high", "Shed.clock"));
    }

    @Test
    void n71_a_fingerprint_changes_with_a_value_a_canned_answer_and_when_all_is_made() {
        Situation it =
                Situation.of(
                        "interface Gauge { int level(); } class Horn { Horn(int channel) {} } class"
                                + " Desk { Desk(Gauge gauge, Horn horn) {} }",
                        """
                        entry: [Desk]
                        profiles:
                          a: { bindings: { Gauge: { stub: { level: 1 } }, Horn: { class: Horn, with: { channel: 1 } } } }
                          same: { extends: a }
                          value: { extends: a, bindings: { Horn: { with: { channel: 2 } } } }
                          answer: { extends: a, bindings: { Gauge: { stub: { level: 2 } } } }
                          eager: { extends: a, eager: true }
                        """);
        TreeSet<String> all = new TreeSet<>();
        List.of("a", "same", "value", "answer", "eager")
                .forEach(name -> all.add(it.verdict().roster(name).fingerprint()));
        assertEquals(4, all.size());
        assertEquals(
                it.verdict().roster("a").fingerprint(), it.verdict().roster("same").fingerprint());
    }
}
