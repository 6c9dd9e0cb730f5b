package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.testing.JavaCode;
import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Corners of the open standard: what it forbids is told, and what it says is understood. */
class StandardCornersTest {

    private static final String MARKS =
            """
            import jakarta.inject.*;
            import java.lang.annotation.*;
            enum Water { COAST, SEA }
            @Qualifier @Retention(RetentionPolicy.RUNTIME) @interface Zone { Water value() default Water.COAST; int depth() default 3; }
            @Qualifier @Retention(RetentionPolicy.RUNTIME) @interface Deep {}
            @Qualifier @Retention(RetentionPolicy.RUNTIME) @interface Only { Water value(); }
            @Scope @Retention(RetentionPolicy.RUNTIME) @interface PerTide {}
            @Retention(RetentionPolicy.RUNTIME) @interface OtherScope {}
            @OtherScope @Retention(RetentionPolicy.RUNTIME) @interface PerShip {}
            interface Feed {}
            class Sea implements Feed {}
            """;

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            textBlock =
                    """
                    class D { D(@Named("") Feed a) {} }                     | p.D mark-unfit
                    class D { D(@Named(" ") Feed a) {} }                    | p.D mark-unfit
                    class D { D(@Named("x") @Deep Feed a) {} }              | p.D mark-unfit
                    class D { @Inject final Feed a = null; }                | p.D mark-unfit
                    class D { @Inject <T> void set(Feed a) {} }             | p.D mark-unfit
                    @Singleton @PerTide class D { D(Feed a) {} }            | p.D mark-unfit
                    @PerShip class D { D(Feed a) {} }                       | p.PerShip scope-unmapped
                    class D { D(@Deep Feed a) {} D(@Named("") Feed a, int b) {} @Inject void set() {} } |
                    """)
    void what_the_standard_forbids_is_told(String java, String told) {
        Situation it =
                Situation.of(
                        MARKS + java,
                        """
                        entry: [D]
                        profiles: { test: { bindings: { D: { class: D%s }, Feed: mock, Feed@x: mock, Feed@Deep: mock } } }
                        """
                                .formatted(java.contains("int b") ? ", constructor: [Feed]" : ""));
        TreeSet<String> seen = it.told();
        seen.removeIf(line -> line.endsWith("unused-binding"));
        assertEquals(told == null ? List.of() : List.of(told), List.copyOf(seen));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    @Zone                                | Zone
                    @Zone                                | Zone()
                    @Zone                                | Zone(COAST)
                    @Zone                                | Zone(value=COAST)
                    @Zone                                | 'Zone(depth=3,value=COAST)'
                    @Zone(depth = 4)                     | Zone(depth=4)
                    @Zone(value = Water.SEA, depth = 4)  | 'Zone(value=SEA,depth=4)'
                    @Zone(value = Water.SEA, depth = 4)  | 'Zone(depth=4, value=SEA)'
                    @Deep                                | Deep
                    @Deep                                | Deep()
                    @Only(Water.SEA)                     | Only(SEA)
                    @Only(Water.SEA)                     | Only(value=SEA)
                    @Named("Only")                       | Only
                    """)
    void a_qualifier_may_be_written_in_each_way_that_means_the_same(String mark, String key) {
        Situation.of(
                        MARKS + "class D { D(" + mark + " Feed a) {} }",
                        "entry: [D]\nprofiles: { test: { bindings: { \"Feed@"
                                + key
                                + "\": mock } } }")
                .tellsWhatIsMarked();
    }

    @Test
    void marked_static_members_are_asked_for_where_the_file_says_that_they_are_filled() {
        Situation it =
                Situation.of(
                                MARKS
                                        + """
                                        class Base { @Inject static Feed base; }
                                        class Mast extends Base { @Inject static Feed feed; @Inject static void set(@Named("x") Feed x) {} @Inject Feed own; }
                                        """,
                                """
                                consumers: { Mast: { statics: filled }, Sea: { statics: filled } }   # <- handler-unfit
                                profiles:
                                  test: { bindings: { Feed: Sea, Feed@x: mock } }
                                  less:   # <- unmet-need
                                    bindings: { Feed: Sea }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Sea", it.received("test", "Mast.feed"));
        assertEquals("real Sea", it.received("test", "Mast.base"));
        assertEquals("static field", it.row("test", "Mast.feed").place().words());
        assertEquals("static setter set", it.row("test", "Mast.x").place().words());
        assertTrue(it.finding("unmet-need").message().startsWith("Mast asks for Feed@x (static"));
    }

    /** Jakarta Dependency Injection: a method is not handed what a method that overrides it is. */
    @Test
    void a_method_of_its_package_alone_is_overridden_only_inside_of_it() {
        Situation it =
                Situation.of(
                                JavaCode.compileAnew(
                                        """
                                        package p;
                                        public class Base {
                                            @jakarta.inject.Inject void near(Runnable a) {}
                                            @jakarta.inject.Inject void far(Runnable b) {}
                                            @jakarta.inject.Inject protected void open(Runnable c) {}
                                        }
                                        package q;
                                        public class Other extends p.Base {
                                            void far(Runnable x) {}
                                            void near(Runnable x) {}
                                            protected void open(Runnable x) {}
                                        }
                                        package p;
                                        public class Same extends q.Other {
                                            void near(Runnable y) {}
                                        }
                                        """),
                                """
                                entry: [Same, q.Other]
                                profiles: { test: { bindings: { Runnable: mock } } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of("p.Same far", "q.Other far", "q.Other near"),
                it.verdict().roster("test").rows().stream()
                        .map(
                                row ->
                                        row.consumer()
                                                + " "
                                                + row.place().member().replaceAll("\\(.*", ""))
                        .sorted()
                        .toList());
    }

    @Test
    void a_member_and_its_namesake_in_a_superclass_have_rows_of_their_own() {
        Situation it =
                Situation.of(
                                MARKS
                                        + """
                                        class Base { @Inject @Named("a") Feed feed; @Inject private void set(@Named("a") Feed x) {} }
                                        class D extends Base { @Inject @Named("b") Feed feed; @Inject private void set(@Named("b") Feed x) {} }
                                        """,
                                """
                                entry: [D]
                                profiles: { test: { bindings: { Feed@a: Sea, Feed@b: mock } } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of(
                        "field mock",
                        "field of Base real",
                        "setter set of Base real",
                        "setter set mock"),
                it.verdict().roster("test").rows().stream()
                        .map(row -> row.place().words() + " " + row.answer().kind().word())
                        .toList());
    }
}
