package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Keys that implementations state themselves, by a method that returns a constant. */
class StatedKeysTest {

    private static final String FEEDS =
            """
            import jakarta.inject.*;
            import java.util.*;
            enum Zone { COAST, SEA }
            interface Feed { int zone(); default Zone place() { return Zone.COAST; } default String name() { return "x"; } }
            class Coast implements Feed { public int zone() { return 3; } public String name() { return "coast"; } }
            class Mud implements Feed { public int zone() { return 300; } public Zone place() { return Zone.SEA; } }
            class Sea implements Feed { public int zone() { return 70000; } public Zone place() { return Zone.COAST; } }
            class Other implements Feed { public int zone() { return 3; } }
            class Late implements Feed { int zone = 4; public int zone() { return zone; } }
            class Boxed extends Coast { Integer size() { return 7; } }
            class Again extends Coast { public int zone() { return "a".length(); } }
            class Desk { Desk(@Named("3") Feed near, Map<String, Feed> all) {} }
            """;

    @Test
    void n23_each_is_bound_under_the_key_that_it_states() {
        Situation it =
                Situation.of(
                                FEEDS + "class Hall { Hall(Map<Zone, Feed> feeds) {} }",
                                """
                                entry: [Desk, Hall]
                                may-be-empty: [Feed]
                                profiles:
                                  test: { bindings: { Feed@*: { keyed-by: zone, classes: [Coast, Mud, Sea] } } }  # <- key-unfit
                                  place: { bindings: { Feed@*: { keyed-by: place, classes: [Mud, Sea] }, Feed@3: mock } }  # <- key-unfit
                                  one: { extends: test, bindings: { Feed@300: removed } }
                                  inherited: { bindings: { Feed@*: { keyed-by: zone, classes: [Boxed], lifetime: fresh } } }  # <- key-unfit
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Coast", it.received("test", "Desk.near"));
        assertEquals(
                List.of("3 real Coast", "300 real Mud", "70000 real Sea"), elements(it, "test"));
        assertEquals(List.of("3 real Coast", "70000 real Sea"), elements(it, "one"));
        assertEquals(
                List.of("SEA", "COAST"),
                it.row("place", "Hall.feeds").answer().elements().stream()
                        .map(element -> element.key().orElseThrow().text())
                        .toList());
        assertEquals("real Boxed", it.received("inherited", "Desk.near"));
        assertEquals("fresh by the binding", it.lifetime("inherited", "Desk.near"));
    }

    private static List<String> elements(Situation it, String profile) {
        return it.row(profile, "Desk.all").answer().elements().stream()
                .map(
                        element ->
                                element.key().orElseThrow().text()
                                        + ' '
                                        + element.answer().kind().word()
                                        + ' '
                                        + it.verdict()
                                                .shortName(
                                                        element.answer()
                                                                .implementation()
                                                                .orElseThrow()))
                .toList();
    }

    @Test
    void a_line_to_write_is_quoted_where_its_key_would_break_the_file() {
        Situation it =
                Situation.of(
                        "import jakarta.inject.*; interface Feed {} class Coast implements Feed {}"
                            + " class Desk { Desk(Feed feed, @Named(\"a: b, c\") Feed odd) {} }",
                        """
                        entry: [Desk]
                        profiles:
                          test: { bindings: { 'Feed@"a: b, c"': Coast } }
                        """);
        assertEquals(
                "Feed: { same-as: 'Feed@\"a: b, c\"' }     under test › bindings",
                it.detail("unmet-need", "write"));
        Situation.of(
                        "import jakarta.inject.*; interface Feed {} class Coast implements Feed {}"
                            + " class Desk { Desk(Feed feed, @Named(\"a: b, c\") Feed odd) {} }",
                        """
                        entry: [Desk]
                        profiles:
                          test:
                            bindings:
                              'Feed@"a: b, c"': Coast
                              Feed: { same-as: 'Feed@"a: b, c"' }
                        """)
                .tellsWhatIsMarked();
    }

    @Test
    void n23_two_with_one_key_a_key_that_nobody_has_and_one_that_is_no_constant_are_told() {
        Situation it =
                Situation.of(
                                FEEDS,
                                """
                                entry: [Desk]
                                profiles:
                                  twice:
                                    bindings:
                                      Feed@*:
                                        keyed-by: zone
                                        classes:
                                          - Coast
                                          - Other       # <- two-candidates
                                  gap:                  # <- unmet-need
                                    bindings: { Feed@*: { keyed-by: zone, classes: [Mud, Sea] } }
                                  late:
                                    bindings:
                                      Feed@3: mock
                                      Feed@*:
                                        keyed-by: zone
                                        classes:
                                          - Late        # <- key-unstated
                                          - Again       # <- key-unstated
                                          - Lost        # <- unknown-class
                                  wrong:
                                    bindings:
                                      Feed@3: mock
                                      Feed@*: Coast                                 # <- malformed-file
                                      Feed: { keyed-by: zone, classes: [Coast] }    # <- malformed-file
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                "bound under another key: Feed@300, Feed@70000", it.detail("unmet-need", "reason"));
    }
}
