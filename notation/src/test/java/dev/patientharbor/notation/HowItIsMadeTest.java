package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

/** By which constructor or factory an object is made, of which values, and what is said of that. */
class HowItIsMadeTest {

    private static final String CODE =
            """
            import jakarta.inject.*;
            import java.util.*;
            interface Feed {}
            class Sea implements Feed { Sea() {} Sea(int port) {} Sea(int a, long b) {} Sea(String[] all) {} }
            class Named implements Feed { Named(Set<String> names) {} Named(String[] names) {} }
            class Retry implements Feed { Retry(Feed inner, int attempts) {} Retry(Feed inner) {} }
            class Feeds { static Feed at(int port, String host) { return null; } }
            class Closed implements Feed { private Closed() {} }
            class Open implements Feed { @Inject private Open() {} }
            class Desk { Desk(Feed feed) {} }
            class Count { Count(@jakarta.inject.Named("retries") int retries, @jakarta.inject.Named("hosts") String hosts) {} }
            """;

    @Test
    void a_private_constructor_is_used_only_if_it_is_named_or_marked() {
        Situation it =
                Situation.of(
                                CODE,
                                """
                                entry: [Desk]
                                profiles:
                                  closed:
                                    bindings:
                                      Feed: Closed                                  # <- cannot-be-built
                                  named: { bindings: { Feed: { class: Closed, constructor: [] } } }
                                  marked: { bindings: { Feed: Open } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                "Feed: { class: Closed, constructor: [] }     in place of its binding",
                it.detail("cannot-be-built", "write"));
    }

    @Test
    void marked_members_are_asked_for_though_no_constructor_is_chosen() {
        Situation it =
                Situation.of(
                        CODE
                                + "class Two { @Inject Feed field; Two(int a) {} Two(long b) {}"
                                + " @Inject void set(Feed set) {} }",
                        """
                        entry: [Two]
                        profiles: { test: { bindings: { Feed: mock } } }
                        """);
        assertEquals("which-constructor", it.finding("which-constructor").kind().id());
        assertEquals("mock", it.received("test", "Two.field"));
        assertEquals("mock", it.received("test", "Two.set"));
    }

    @Test
    void a_static_method_of_the_jdk_is_a_factory_like_any_other() {
        Situation it =
                Situation.of(
                                CODE + "class Watch { Watch(java.time.Clock clock) {} }",
                                """
                                entry: [Watch]
                                profiles:
                                  test: { bindings: { java.time.Clock: { factory: "java.time.Clock#systemUTC" } } }
                                  typo:
                                    bindings:
                                      java.time.Clock: { factory: "java.time.Clock#sistemUTC" }   # <- cannot-be-built
                                """)
                        .tellsWhatIsMarked();
        assertEquals("factory Clock#systemUTC", it.received("test", "Watch.clock"));
    }

    @Test
    void values_reach_constructors_factories_decorators_and_slots_of_primitives() {
        Situation it =
                Situation.of(
                                CODE,
                                """
                                entry: [Desk]
                                profiles:
                                  two: { bindings: { Feed: { class: Sea, with: [10, 500] } } }
                                  one: { bindings: { Feed: { class: Sea, with: { port: 25 } } } }
                                  none: { bindings: { Feed: { class: Sea, constructor: [] } } }
                                  array: { bindings: { Feed: { class: Named, constructor: ["String[]"], with: { names: [a] } } } }
                                  set: { bindings: { Feed: { class: Named, constructor: [Set<String>], with: { names: [a] } } } }
                                  factory: { bindings: { Feed: { factory: "Feeds#at", with: { port: 25, host: "${NO_SUCH:-here}" } } } }
                                  wrapped:
                                    bindings: { Feed: Open }
                                    decorators: { Feed: [{ class: Retry, with: { attempts: 3 } }, { class: Retry, constructor: [Feed] }] }
                                  wrong:
                                    bindings:
                                      Feed: { class: Sea, with: [a, b, c] }          # <- which-constructor
                                    decorators:
                                      Feed: [{ class: Retry, constructor: [Feed], with: { attempt: 3 } }]   # <- value-unfit
                                  vain:
                                    bindings:
                                      Feed: { mock: true, with: { port: 3 } }       # <- value-unfit
                                """)
                        .tellsWhatIsMarked();
        assertEquals("10, 500", it.row("two", "Desk.feed").answer().given());
        assertEquals("port: 25", it.row("one", "Desk.feed").answer().given());
        assertEquals("port: 25, host: ${NO_SUCH:-here}", given(it, "factory"));
        assertEquals("Retry > Retry > real Open", it.received("wrapped", "Desk.feed"));
        assertEquals(
                List.of("attempts: 3", "constructor: [Feed]"),
                it.row("wrapped", "Desk.feed").answer().around().stream()
                        .map(decorator -> decorator.given())
                        .toList());
        assertNotEquals(
                it.verdict().roster("array").fingerprint(),
                it.verdict().roster("set").fingerprint());
        Situation slots =
                Situation.of(
                                CODE,
                                """
                                entry: [Count]
                                profiles:
                                  test: { bindings: { int@retries: { value: 3 }, String@hosts: { value: a } } }
                                  wrong:
                                    bindings:
                                      int@retries: { value: x }   # <- value-unfit
                                      String@hosts: { value: a }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("value", slots.received("test", "Count.retries"));
        assertEquals("3", slots.row("test", "Count.retries").answer().given());
    }

    private static String given(Situation it, String profile) {
        return it.row(profile, "Desk.feed").answer().given();
    }

    @Test
    void the_fingerprint_tells_what_is_shared_from_what_is_made_twice() {
        Situation it =
                Situation.of(
                        CODE
                                + "class Pair { Pair(Feed a, @jakarta.inject.Named(\"b\") Feed b)"
                                + " {} }",
                        """
                        entry: [Pair]
                        profiles:
                          same: { bindings: { Feed: Open, Feed@b: { same-as: Feed } } }
                          twice: { bindings: { Feed: Open, Feed@b: Open } }
                          again: { bindings: { Feed@b: { same-as: Feed }, Feed: Open } }
                        """);
        String same = it.verdict().roster("same").fingerprint();
        assertNotEquals(same, it.verdict().roster("twice").fingerprint());
        assertEquals(same, it.verdict().roster("again").fingerprint());
    }
}
