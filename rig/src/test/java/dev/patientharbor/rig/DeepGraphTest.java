package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.profiles.Supplies;
import dev.patientharbor.profiles.SupplyDefinition;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

/** What a rig does far down, whatever kind of need, maker or decorator leads there. */
class DeepGraphTest {

    private static final int LINKS = 700;

    /** A chain of which each link leads to the next in another way. */
    private static Yard chain() {
        StringBuilder java =
                new StringBuilder(
                        """
                        class Deepest { static long frames; }
                        class Makers {
                        """);
        StringBuilder classes = new StringBuilder();
        StringBuilder bindings = new StringBuilder();
        StringBuilder decorators = new StringBuilder();
        for (int i = 0; i < LINKS; i++) {
            String next = "N" + (i + 1);
            classes.append("interface N" + i + " {}\n");
            String needs = next + " next";
            String binding = "N" + i + ": L" + i;
            switch (i % 7) {
                case 1 -> needs = "java.util.Optional<" + next + "> next";
                case 2 -> {
                    needs = "";
                    classes.append(
                            "class D%1$d implements N%1$d { D%1$d(N%1$d inner, %2$s next) {} }\n"
                                    .formatted(i, next));
                    decorators.append("      N" + i + ": [D" + i + "]\n");
                }
                case 3 -> {
                    java.append(
                            "static N%1$d m%1$d(%2$s next) { return new L%1$d(next); }\n"
                                    .formatted(i, next));
                    binding = "N" + i + ": { factory: \"Makers#m" + i + "\" }";
                }
                case 4 -> {
                    needs = "";
                    classes.append(
                            "class F%1$d { F%1$d(%2$s next) {} N%1$d make() { return new L%1$d(); } }\n"
                                    .formatted(i, next));
                    binding = "N" + i + ": { factory: \"F" + i + "#make\" }";
                }
                case 5 -> {
                    classes.append("interface A" + i + " extends N" + i + " {}\n");
                    binding = "A" + i + ": L" + i + "\n      N" + i + ": { same-as: A" + i + " }";
                }
                default -> {}
            }
            classes.append(
                    "class L%1$d implements %3$s%1$d { L%1$d(%2$s) {} }\n"
                            .formatted(i, needs, i % 7 == 5 ? "A" : "N"));
            bindings.append("      " + binding + "\n");
        }
        java.append("}\n").append(classes);
        java.append("interface N" + LINKS + " {}\n");
        java.append(
                "class Last implements N"
                        + LINKS
                        + " { Last() { Deepest.frames ="
                        + " StackWalker.getInstance().walk(java.util.stream.Stream::count); } }\n");
        return Yard.of(
                java.toString(),
                "entry: [N0]\nprofiles:\n  t:\n    bindings:\n"
                        + bindings
                        + "      N"
                        + LINKS
                        + ": Last\n    decorators:\n"
                        + decorators);
    }

    @Test
    void no_way_to_the_next_object_needs_a_deep_stack() throws ReflectiveOperationException {
        Yard yard = chain();
        try (Rig rig = yard.rig("t")) {
            assertEquals("L0", rig.get(yard.type("N0")).getClass().getSimpleName());
            var frames = yard.type("Deepest").getDeclaredField("frames");
            frames.setAccessible(true);
            long deep = frames.getLong(null);
            assertTrue(deep > 100 && deep < 4 * LINKS, deep + " frames for " + LINKS + " objects");
        }
    }

    private static final Yard YARD =
            Yard.of(
                    """
                    import java.util.*;
                    public class Log { public static final StringBuilder TEXT = new StringBuilder(); }
                    interface Gauge {} interface Pump {} interface Lamp {} interface Crane {}
                    class Bad { static { if (true) throw new IllegalStateException("unlit"); } }
                    class Bulb extends Bad implements Lamp {}
                    class Dim implements Lamp { static { if (true) throw new RuntimeException("no trace", null, false, false) {}; } }
                    class Old { @jakarta.annotation.PreDestroy private void over() { Log.TEXT.append(" old"); } }
                    class Tank extends Old implements Gauge, AutoCloseable {
                        @jakarta.annotation.PreDestroy private void end() { Log.TEXT.append(" tank"); }
                        public void close() { Log.TEXT.append(" closed"); throw new IllegalStateException("stuck"); } }
                    record Hook(Gauge gauge) implements Crane {}
                    record Arm(@jakarta.inject.Named("raw") Crane inner, Gauge gauge) implements Crane {}
                    record Ring(Crane inner, Gauge gauge) implements Crane {}
                    record Dock(Gauge gauge, Pump pump, Crane crane, List<? super Integer> heights) {}
                    class Bench { Bench(Gauge gauge) {} }
                    record Hall(Bench bench, Crane crane, Lamp lamp) {}
                    package jakarta.annotation;
                    @java.lang.annotation.Retention(java.lang.annotation.RetentionPolicy.RUNTIME)
                    public @interface PreDestroy {}
                    """,
                    """
                    entry: [Dock, Hall]
                    may-be-empty: [Integer]
                    profiles:
                      t: { bindings: { Gauge: Tank, Pump: mock, Crane: Hook, Lamp: mock } }
                      scoped:
                        bindings: { Gauge: mock, Pump: mock, Crane: { class: Arm, lifetime: scoped }, Crane@raw: Hook, Lamp: mock }
                        decorators: { Crane@raw: [Ring] }
                      fail: { extends: t, eager: true, bindings: { Lamp: Bulb } }
                      mute: { extends: fail, bindings: { Lamp: Dim } }
                    """);

    @Test
    void what_throws_is_named_by_whose_code_it_was() {
        Map<SupplyDefinition, String> expected =
                Map.of(
                        Supplies.madeBy(
                                () -> {
                                    throw new IllegalStateException("dry");
                                }),
                        "the code that makes it threw java.lang.IllegalStateException: dry",
                        Supplies.madeBy(() -> null),
                        "the code that makes it gave null",
                        Supplies.madeBy(() -> "tide"),
                        "the code that makes it gave an object of java.lang.String, which is no"
                                + " p.Gauge");
        expected.forEach(
                (supply, told) -> {
                    try (Rig rig = YARD.rig(YARD.plan("t").swap(YARD.type("Gauge"), supply))) {
                        String message =
                                assertThrows(RigException.class, () -> rig.get(YARD.type("Dock")))
                                        .getMessage();
                        assertTrue(message.contains(", Gauge swapped: " + told + "\n"), message);
                    }
                });
    }

    @Test
    void what_fails_at_the_start_closes_what_was_made_and_keeps_both_failures() {
        YARD.log();
        RigException failure = assertThrows(RigException.class, () -> YARD.rig("fail"));
        assertTrue(
                failure.getMessage()
                        .startsWith(
                                "no Lamp in fail: the static initialiser of p.Bad threw"
                                        + " java.lang.IllegalStateException: unlit"),
                failure.getMessage());
        assertEquals("closed tank old", YARD.log(), "private methods with a mark are among it");
        assertEquals(1, failure.getSuppressed().length);
        assertTrue(failure.getSuppressed()[0].getMessage().contains("stuck"));
        String mute = assertThrows(RigException.class, () -> YARD.rig("mute")).getMessage();
        assertTrue(
                mute.startsWith("no Lamp in mute: the static initialiser of p.Dim threw "), mute);
    }

    @Test
    void another_thread_may_ask_a_rig_after_it_was_closed() throws Exception {
        Rig rig = YARD.rig("t");
        Supplier<?> gauge = rig.later(YARD.type("Gauge"));
        gauge.get();
        assertThrows(RigException.class, rig::close);
        CompletableFuture.runAsync(rig::close).get(20, TimeUnit.SECONDS);
        CompletableFuture.runAsync(() -> assertThrows(IllegalStateException.class, gauge::get))
                .get(20, TimeUnit.SECONDS);
    }

    @Test
    void a_contract_with_type_arguments_is_asked_for_and_printed_as_java_says_it() {
        Contract<List<? super Integer>> heights = new Contract<>() {};
        assertEquals("java.util.List<? super java.lang.Integer>", heights.toString());
        try (Rig rig = YARD.rig("t")) {
            assertEquals(List.of(), rig.get(heights));
        } catch (RigException stuck) {
            assertTrue(stuck.getMessage().contains("closed"), stuck.getMessage());
        }
    }

    @Test
    void what_lives_in_a_scope_shows_the_layers_of_what_it_holds_of_the_rig() {
        Rig rig = YARD.rig("scoped");
        try (Scope scope = rig.openScope()) {
            Object crane = scope.get(YARD.type("Crane"));
            assertEquals(
                    List.of("Ring", "Hook"),
                    rig.received(YARD.type("Arm"), "inner").layers().stream()
                            .map(layer -> layer.getClass().getSimpleName())
                            .toList());
            assertEquals("Arm", crane.getClass().getSimpleName());
        }
    }
}
