package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.plan.RosterRow;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a class asks for, read from its class file alone. */
class NeedsTest {

    private static final String PARTS =
            """
            import jakarta.inject.*;
            interface Gauge {}
            class Sonar implements Gauge {}
            interface Feed {}
            class Coast implements Feed {}
            class Calm implements Feed {}
            """;

    private static final String BOUND =
            """
            profiles:
              test: { bindings: { Gauge: Sonar, Feed@coast: Coast, Feed: Calm } }
            """;

    private static List<String> needs(String java, String entry) {
        Situation it = Situation.of(PARTS + java, "entry: [" + entry + "]\n" + BOUND);
        return it.verdict().roster("test").rows().stream()
                .map(
                        row ->
                                it.verdict().shortName(row.consumer())
                                        + " "
                                        + row.place().code()
                                        + " "
                                        + row.need()
                                        + " "
                                        + row.slot().text(it.verdict()::shortName))
                .toList();
    }

    @Test
    void n02_constructor_parameters_by_position_name_and_contract() {
        assertEquals(
                List.of(
                        "Desk constructor:0 inner Gauge",
                        "Desk constructor:1 outlook Feed@coast",
                        "Desk constructor:2 any Feed"),
                needs(
                        "class Desk { Desk(Gauge inner, @Named(\"coast\") Feed outlook,"
                                + " @Named(\"\") Feed any) {} }",
                        "Desk"));
    }

    @Test
    void n05_the_marked_constructor_of_several_is_used_and_either_name_space_marks() {
        for (String mark : List.of("@Inject", "@javax.inject.Inject")) {
            assertEquals(
                    List.of("Desk constructor:0 gauge Gauge"),
                    needs("class Desk { Desk() {} " + mark + " Desk(Gauge gauge) {} }", "Desk"));
        }
    }

    @Test
    void n03_fields_and_setters_superclass_first_with_overriding_as_the_standard_says() {
        assertEquals(
                List.of(
                        "Desk field:own own Gauge",
                        "Desk field:upper upper Feed",
                        "Desk method:setBoth(p.Gauge,p.Feed):0 gauge Gauge",
                        "Desk method:setBoth(p.Gauge,p.Feed):1 feed Feed@coast",
                        "Desk method:setKept(p.Gauge):0 gauge Gauge",
                        "Desk method:setUpper(p.Gauge):0 gauge Gauge"),
                needs(
                        """
                        abstract class Upper {
                            @Inject Feed upper;
                            @Inject void setUpper(Gauge gauge) {}
                            @Inject void setKept(Gauge gauge) {}
                            @Inject void setDropped(Gauge gauge) {}
                        }
                        class Desk extends Upper {
                            @Inject static Feed notForMe;
                            @Inject Gauge own;
                            Gauge unmarked;
                            @Inject @Override void setKept(Gauge gauge) {}
                            @Override void setDropped(Gauge gauge) {}
                            @Inject void setBoth(Gauge gauge, @Named("coast") Feed feed) {}
                        }
                        """,
                        "Desk"));
    }

    @Test
    void n03_each_place_is_told_to_people_as_what_it_is() {
        Situation it =
                Situation.of(
                        PARTS
                                + """
                                class Desk {
                                    Desk(Gauge a, Feed b) {}
                                    @Inject Gauge field;
                                    @Inject void setGauge(Gauge gauge) {}
                                    @Inject void open(Gauge gauge, Feed feed) {}
                                }
                                """,
                        "entry: [Desk]\n" + BOUND);
        assertEquals(
                List.of(
                        "constructor parameter 1",
                        "constructor parameter 2",
                        "field",
                        "method open, parameter 1",
                        "method open, parameter 2",
                        "setter setGauge"),
                it.verdict().roster("test").rows().stream()
                        .map(RosterRow::place)
                        .map(place -> place.words())
                        .toList());
    }

    @Test
    void
            decision_26_the_binding_s_word_beats_the_mark_and_one_open_constructor_beats_private_ones() {
        String java =
                PARTS
                        + """
                        class Marked { @Inject Marked(Gauge gauge) {} Marked(Feed feed) {} }
                        class Closed { private Closed(Gauge gauge) {} Closed(Feed feed) {} }
                        class Both { @Inject Both(Gauge gauge) {} @Inject Both(Feed feed) {} }
                        class Desk { Desk(Marked m, Closed c, Both b) {} }
                        """;
        Situation it =
                Situation.of(
                        java,
                        """
                        entry: [Desk]
                        profiles:
                          test:
                            bindings:
                              Gauge: Sonar               # <- unused-binding
                              Feed: Calm
                              Marked: { class: Marked, constructor: [Feed] }
                              Both: { class: Both, constructor: [p.Feed] }
                        """);
        it.tellsWhatIsMarked();
        assertEquals("real Calm", it.received("test", "Marked.feed"));
        assertEquals("real Calm", it.received("test", "Closed.feed"));
        assertEquals("real Calm", it.received("test", "Both.feed"));
        Situation unsaid =
                Situation.of(
                        java,
                        "entry: [Both]\n"
                                + "profiles: { test: { bindings: { Gauge: Sonar, Feed: Calm } } }");
        assertEquals(List.of("p.Both which-constructor"), List.copyOf(unsaid.told()));
    }

    @Test
    void decision_30_a_qualifier_is_a_key_with_its_members_and_never_the_name_it_looks_like() {
        String java =
                PARTS
                        + """
                        enum Shore { COAST, OPEN }
                        @Qualifier @java.lang.annotation.Retention(
                            java.lang.annotation.RetentionPolicy.RUNTIME)
                        @interface Zone { Shore value() default Shore.COAST; int depth() default 3; }
                        @Qualifier @java.lang.annotation.Retention(
                            java.lang.annotation.RetentionPolicy.RUNTIME)
                        @interface Tidal {}
                        class Desk {
                            Desk(@Zone(Shore.OPEN) Feed open, @Zone(depth = 5) Feed deep,
                                @Tidal Feed tidal, @Named("a b") Feed spaced) {}
                        }
                        """;
        Situation it =
                Situation.of(
                        java,
                        """
                        entry: [Desk]
                        profiles:
                          test:
                            bindings:
                              Feed@Zone(depth=3,value=OPEN): Coast
                              Feed@Zone(depth=5,value=COAST): Calm
                              Feed@Tidal(): Coast
                              'Feed@"a b"': Calm
                              'Feed@"Tidal"': Calm       # <- unused-binding
                        """);
        it.tellsWhatIsMarked();
        assertEquals(
                List.of(
                        "Desk.open: Feed@Zone(depth=3,value=OPEN) = real Coast",
                        "Desk.deep: Feed@Zone(depth=5,value=COAST) = real Calm",
                        "Desk.tidal: Feed@Tidal() = real Coast",
                        "Desk.spaced: Feed@\"a b\" = real Calm"),
                it.all("test"));
    }

    @Test
    void n08_type_arguments_make_two_contracts_also_through_supertypes_and_variables() {
        Situation it =
                Situation.of(
                        """
                        class Ship {} class Cargo {}
                        interface Parser<T> {}
                        interface Reader<T> {}
                        class ShipParser implements Parser<Ship> {}
                        abstract class Half<A, B> implements Reader<B> {}
                        class CargoReader extends Half<String, Cargo> {}
                        class General<T> implements Reader<T> { General(Parser<T> parser) {} }
                        class Desk { Desk(Reader<Ship> ships, Reader<Cargo> cargo) {} }
                        class Open<T> { Open(Reader<T> reader) {} }
                        class Wild { Wild(Reader<? extends Ship> some) {} }
                        """,
                        """
                        entry: [Desk]
                        profiles:
                          test:
                            bindings:
                              Reader<Ship>: General
                              Reader<Cargo>: CargoReader
                              Parser<Ship>: ShipParser
                          wrong:
                            bindings:
                              Reader<Ship>: CargoReader   # <- does-not-fit
                              Reader<Cargo>: CargoReader
                          lacking:
                            bindings:
                              Reader<Cargo>: General      # <- unmet-need
                              Reader<Ship>: { same-as: "Reader<Cargo>" }   # <- does-not-fit
                              Parser<Ship>: ShipParser    # <- unused-binding
                        """);
        it.tellsWhatIsMarked();
        assertEquals("real ShipParser", it.received("test", "General.parser"));
        assertTrue(
                it.finding("unmet-need").message().contains("Parser<Cargo>"),
                it.finding("unmet-need").message());
    }

    @Test
    void decision_31_an_open_need_takes_the_one_slot_that_fits() {
        String java =
                """
                class Ship {} class Ferry extends Ship {} class Cargo {}
                interface Reader<T> {}
                class FerryReader implements Reader<Ferry> {}
                class CargoReader implements Reader<Cargo> {}
                class AnyReader<T> implements Reader<T> {}
                @SuppressWarnings("rawtypes") class Raw { Raw(Reader reader) {} }
                class Wild { Wild(Reader<? extends Ship> reader) {} }
                class Exact { Exact(Reader<Ship> reader) {} }
                """;
        Situation it =
                Situation.of(
                        java,
                        """
                        entry: [Wild]
                        profiles:
                          test: { bindings: { Reader<Ferry>: FerryReader, Reader<Cargo>: CargoReader } } # <- unused-binding
                        """);
        it.tellsWhatIsMarked();
        assertEquals("real FerryReader", it.received("test", "Wild.reader"));
        Situation several =
                Situation.of(
                        java,
                        """
                        entry: [Raw, Exact]
                        profiles:
                          two:                            # <- two-candidates, unmet-need
                            bindings: { Reader<Ferry>: FerryReader, Reader<Cargo>: CargoReader }
                          raw: { bindings: { Reader: AnyReader } }
                        """);
        several.tellsWhatIsMarked();
        assertEquals("real AnyReader", several.received("raw", "Exact.reader"));
        assertEquals("Reader<Ferry>, Reader<Cargo>", several.detail("two-candidates", "slots"));
    }
}
