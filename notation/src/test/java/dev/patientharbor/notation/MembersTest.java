package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

/** What is in a collection: of a key, of listed members, and of what it is itself made of. */
class MembersTest {

    private static final String PORT =
            """
            import jakarta.inject.*;
            import java.util.*;
            import java.util.function.Supplier;
            interface Check {} class Tide implements Check {} class Wind implements Check {}
            class Fog implements Check {}
            class All implements Check { All(List<Check> checks) {} }
            class Desk { Desk(@Named("sea") Set<Check> sea, @Named("all") Map<String, Supplier<Check>> map) {} }
            class Hall { Hall(Check check, List<Check> checks) {} }
            """;

    private static List<String> elements(Situation it, String profile, String need) {
        return it.row(profile, need).answer().elements().stream()
                .map(
                        element ->
                                element.key().map(key -> key.text() + " ").orElse("")
                                        + element.carrier().map(word -> word + " of ").orElse("")
                                        + it.verdict()
                                                .shortName(
                                                        element.answer()
                                                                .implementation()
                                                                .orElse("nothing")))
                .toList();
    }

    @Test
    void a_collection_with_a_key_has_the_listed_members_or_what_is_bound_under_that_key() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Desk]
                                profiles:
                                  listed:
                                    bindings:
                                      Check@t: Tide
                                      Set<Check>@sea: { members: [Wind, Check@t] }
                                      "Map<String,Supplier<Check>>@all": { members: [Check@t, Check@f] }
                                      Check@f: { same-as: Check@t }
                                  keyed: { bindings: { Check@sea: Tide, Check@all: Wind, Check@other: Fog } }  # <- unused-binding
                                  empty:                                         # <- empty-collection
                                    bindings: { Check@all: Wind }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(List.of("Wind", "t Tide"), elements(it, "listed", "Desk.sea"));
        assertEquals(
                List.of("t Supplier of Tide", "f Supplier of Tide"),
                elements(it, "listed", "Desk.map"));
        assertEquals(List.of("sea Tide"), elements(it, "keyed", "Desk.sea"));
        assertEquals(List.of("all Supplier of Wind"), elements(it, "keyed", "Desk.map"));
        assertEquals(
                "Set<Check>@sea: { members: [SLOT, …] }     under empty › bindings, or"
                        + " may-be-empty: [Check] in the file",
                it.detail("empty-collection", "write"));
    }

    @Test
    void members_must_fit_and_a_slot_that_is_no_collection_has_none() {
        Situation.of(
                        PORT,
                        """
                        entry: [Desk]
                        may-be-empty: [Check, Chequer]                           # <- unknown-class
                        profiles:
                          test:
                            bindings:
                              Set<Check>@sea: { members: [Desk] }                # <- does-not-fit
                              "Map<String,Supplier<Check>>@all": { members: [Tide] }  # <- does-not-fit
                          none:
                            bindings:
                              Check: { members: [Tide] }                         # <- does-not-fit
                              Set<Check>@sea: { members: [Tide, Tyde] }          # <- unknown-class
                          twice:
                            bindings: { Set<Check>@sea: { members: [Tide], class: Tide } }  # <- does-not-fit, malformed-file
                        """)
                .tellsWhatIsMarked();
    }

    @Test
    void what_is_made_of_many_is_none_of_them() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Hall]
                                areas: { hall: { members: [Hall] } }
                                profiles:
                                  test: { bindings: { Check: All, Check@t: Tide, Check@w: Wind } }
                                  area:
                                    bindings: { Check@t: Tide }
                                    within: { hall: { bindings: { Check: All, Check@w: Wind } } }
                                  alone: { bindings: { Check: All } }     # <- empty-collection
                                """)
                        .tellsWhatIsMarked();
        assertEquals(List.of("t Tide", "w Wind"), elements(it, "test", "All.checks"));
        assertEquals(List.of("All", "t Tide", "w Wind"), elements(it, "test", "Hall.checks"));
        assertEquals(List.of("t Tide", "w Wind"), elements(it, "area", "All.checks"));
        assertEquals(List.of("t Tide", "All", "w Wind"), elements(it, "area", "Hall.checks"));
    }

    @Test
    void what_fills_itself_in_and_is_made_of_many_is_none_of_them() {
        Situation it =
                Situation.of(
                                """
                                import jakarta.inject.*;
                                import java.util.*;
                                interface Check {} @Named("t") class Tide implements Check {} @Named("w") class Wind implements Check {}
                                @Singleton class All implements Check { @Inject All(Set<Check> checks) {} }
                                class Hall { Hall(Check check) {} }
                                """,
                                """
                                entry: [Hall]
                                fill-in: [marked]
                                profiles: { test: {} }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real All", it.received("test", "Hall.check"));
        assertEquals(List.of("t Tide", "w Wind"), elements(it, "test", "All.checks"));
    }

    @Test
    void decision_31_a_raw_consumer_asks_for_what_its_type_parameters_allow() {
        Situation it =
                Situation.of(
                                """
                                import java.util.*;
                                interface Store {} class Disk implements Store {}
                                interface Reader<T> {} class ShipReader implements Reader<String> {}
                                class Base<S extends Store> { @jakarta.inject.Inject S store; }
                                class Desk<S extends Store, R extends Reader<?>, X> extends Base<S> {
                                    Desk(S store, Optional<S> maybe, List<? extends S> all, R reader, Reader<X> any) {}
                                }
                                """,
                                """
                                entry: [Desk]
                                profiles:
                                  test: { bindings: { Store: Disk, Reader<String>: ShipReader } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of(
                        "Desk.store: Store = real Disk",
                        "Desk.maybe: Store = real Disk",
                        "Desk.all: Store = collection",
                        "Desk.reader: Reader<?> = real ShipReader",
                        "Desk.any: Reader<?> = real ShipReader",
                        "Desk.store: Store = real Disk"),
                it.all("test"));
    }

    @Test
    void decision_27_an_optional_value_without_one_is_absent_and_may_be_given_as_it_is() {
        Situation it =
                Situation.of(
                        """
                        import java.util.*;
                        class Horn { Horn(String name, Optional<Integer> pitch, Optional<String> note) {} }
                        """,
                        """
                        entry: [Horn]
                        profiles:
                          test: { bindings: { Horn: { class: Horn, with: { name: a, pitch: 3 } } } }
                          wrong:
                            bindings:
                              Horn: { class: Horn, with: { name: a, pitch: high } }   # <- value-unfit
                          none: {}
                        """);
        assertEquals(List.of("Horn.note: String = absent"), it.all("test"));
        assertEquals(
                "Horn: { class: Horn, with: { name: … } }     under none › bindings",
                it.detail("value-missing", "write"));
    }
}
