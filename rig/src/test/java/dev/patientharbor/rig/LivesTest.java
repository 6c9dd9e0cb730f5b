package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.lang.ref.WeakReference;
import java.lang.reflect.Field;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** When objects are made, how long they live, and how they end. */
class LivesTest {

    private static final Yard YARD =
            Yard.of(
                    """
                    import java.util.function.Supplier;
                    import jakarta.inject.*;
                    public class Log { public static final StringBuilder TEXT = new StringBuilder();
                        static void add(String word) { TEXT.append(' ').append(word); } }
                    interface Gauge {}
                    class Ends implements AutoCloseable {
                        Ends() { Log.add("+" + getClass().getSimpleName()); }
                        public void close() { Log.add("-" + getClass().getSimpleName()); }
                    }
                    class Sonar extends Ends implements Gauge { Sonar(Cable cable) {} }
                    class Cable extends Ends {}
                    class Levelled extends Ends implements Gauge { Levelled(Gauge inner) {} }
                    class Jammed extends Ends implements Gauge {
                        public void close() { super.close(); throw new IllegalStateException("jammed"); }
                    }
                    class Stuck extends Ends { Stuck(Cable cable) {}
                        public void close() { super.close(); throw new IllegalStateException("stuck"); } }
                    class Marked { Marked() { Log.add("+Marked"); } @jakarta.annotation.PreDestroy void end() { Log.add("-Marked"); } }
                    class Fails extends Ends implements Gauge { Fails(Cable cable) { throw new IllegalStateException("no"); } }
                    record Book(Cable cable) {}
                    class Tally extends Ends { final Cable cable; Tally(Cable cable) { this.cable = cable; } }
                    record Desk(Gauge gauge, Supplier<Tally> tally) {}
                    record Booth(Supplier<Tally> tally) {}
                    record Pair(Gauge gauge, Stuck stuck) {}
                    package jakarta.annotation;
                    @java.lang.annotation.Retention(java.lang.annotation.RetentionPolicy.RUNTIME)
                    public @interface PreDestroy {}
                    """,
                    """
                    entry: [Desk, Booth]
                    profiles:
                      lazy:
                        bindings:
                          Gauge: Sonar
                          Tally: { class: Tally, lifetime: scoped }
                          Marked: Marked
                        decorators: { Gauge: [Levelled] }
                      eager: { extends: lazy, eager: true }
                      half: { extends: eager, bindings: { Gauge: Fails } }
                      jammed:
                        extends: lazy
                        bindings: { Gauge: Jammed, Pair: Pair }
                        decorators: { Gauge: [] }
                    """);

    @Test
    void what_is_lazy_is_made_when_it_is_needed_and_closed_in_reverse_order() {
        Rig rig = YARD.rig("lazy");
        assertEquals("", YARD.log());
        assertEquals(List.of(), rig.created());
        rig.get(YARD.type("Desk"));
        rig.get(YARD.type("Desk"));
        assertEquals(3, rig.created().size(), "the desk, the gauge and its cable");
        assertEquals("+Cable +Sonar +Levelled", YARD.log());
        rig.get(YARD.type("Marked"));
        assertEquals("+Marked", YARD.log());
        rig.close();
        assertEquals("-Marked -Levelled -Sonar -Cable", YARD.log());
        rig.close();
        assertEquals("", YARD.log(), "closing again does nothing");
        for (String gone : List.of("Desk", "Marked", "Booth")) {
            assertThrows(IllegalStateException.class, () -> rig.get(YARD.type(gone)), gone);
        }
    }

    @Test
    void what_is_eager_is_made_at_the_start_and_a_half_built_rig_is_closed() {
        YARD.rig("eager").close();
        assertEquals(
                "+Cable +Sonar +Levelled -Levelled -Sonar -Cable",
                YARD.log(),
                "what no entry consumer leads to is left");
        assertTrue(
                assertThrows(RigException.class, () -> YARD.rig("half"))
                        .getMessage()
                        .startsWith("no Gauge in half: the constructor of p.Fails threw"));
        assertEquals("+Cable +Fails -Cable", YARD.log());
    }

    @Test
    void whatever_cannot_be_closed_all_else_is_and_every_failure_is_kept() {
        Rig rig = YARD.rig("jammed");
        rig.get(YARD.type("Pair"));
        YARD.log();
        RigException told = assertThrows(RigException.class, rig::close);
        assertEquals("-Stuck -Cable -Jammed", YARD.log());
        assertTrue(
                told.getMessage().startsWith("2 objects could not be closed in the rig of jammed"));
        assertEquals("stuck", told.getCause().getMessage());
        assertEquals("jammed", told.getSuppressed()[0].getMessage());
    }

    @Test
    @SuppressWarnings("unchecked")
    void a_scope_has_one_object_for_all_that_ask_in_it_and_the_next_scope_another()
            throws Exception {
        Class<?> tally = YARD.type("Tally");
        try (Rig rig = YARD.rig("lazy")) {
            Supplier<Object> ofDesk =
                    (Supplier<Object>) Yard.call(rig.get(YARD.type("Desk")), "tally");
            Supplier<Object> ofBooth =
                    (Supplier<Object>) Yard.call(rig.get(YARD.type("Booth")), "tally");
            assertEquals(
                    "no Tally in lazy: it lives in a scope, and none is open; open one with"
                            + " rig.openScope()\n  said at     f:8:7",
                    assertThrows(RigException.class, ofDesk::get).getMessage());
            YARD.log();
            Object first;
            try (Scope turn = rig.openScope()) {
                first = ofDesk.get();
                assertSame(first, ofBooth.get());
                assertSame(first, turn.get(tally));
                try (Scope inner = rig.openScope()) {
                    assertNotSame(first, ofDesk.get());
                    assertSame(ofDesk.get(), inner.get(tally));
                    assertSame(first, turn.call(ofDesk::get));
                }
                assertSame(first, rig.get(tally));
                assertSame(turn.get(YARD.type("Desk")), rig.get(YARD.type("Desk")));
            }
            assertEquals("+Tally +Tally -Tally -Tally", YARD.log(), "the cable is the rig's");
            Scope other = rig.openScope();
            assertNotSame(first, ofBooth.get());
            Object[] elsewhere = new Object[1];
            Thread thread = new Thread(() -> other.run(() -> elsewhere[0] = ofDesk.get()));
            thread.start();
            thread.join();
            assertSame(ofDesk.get(), elsewhere[0]);
            other.close();
            assertThrows(IllegalStateException.class, () -> other.get(tally));
            assertThrows(RigException.class, ofDesk::get);
        }
        YARD.log();
    }

    @Test
    @Timeout(60)
    void many_threads_receive_one_instance_of_what_is_shared_and_none_waits_for_ever()
            throws Exception {
        Yard knot =
                Yard.of(
                        """
                        import java.util.function.Supplier;
                        public class Knot {
                            public static class A { public A(Supplier<B> b, C c) {} }
                            public static class B { public B(Supplier<A> a, C c) {} }
                            public static class C { public C(Supplier<A> a, Supplier<B> b) {} }
                        }
                        """,
                        "entry: [Knot.A, Knot.B, Knot.C]\nprofiles: { t: {} }\n");
        List<Class<?>> types =
                List.of(knot.type("Knot$A"), knot.type("Knot$B"), knot.type("Knot$C"));
        int threads = 64;
        ExecutorService pool = Executors.newFixedThreadPool(threads);
        for (int round = 0; round < Integer.getInteger("patientharbor.rounds", 300); round++) {
            Rig rig = knot.rig("t");
            CountDownLatch start = new CountDownLatch(1);
            List<Future<List<Object>>> all = new ArrayList<>();
            for (int i = 0; i < threads; i++) {
                int first = i;
                all.add(
                        pool.submit(
                                () -> {
                                    start.await();
                                    List<Object> seen = new ArrayList<>();
                                    for (int j = 0; j < 3; j++) {
                                        seen.add(rig.get(types.get((first + j) % 3)));
                                    }
                                    return seen;
                                }));
            }
            start.countDown();
            Set<Object> distinct = Collections.newSetFromMap(new IdentityHashMap<>());
            for (Future<List<Object>> future : all) {
                distinct.addAll(future.get(30, TimeUnit.SECONDS));
            }
            assertEquals(3, distinct.size(), "round " + round);
        }
        pool.shutdownNow();
    }

    @Test
    @Timeout(60)
    void what_is_made_while_another_thread_closes_the_rig_is_closed_once() throws Exception {
        Yard slip =
                Yard.of(
                        """
                        import java.util.concurrent.atomic.AtomicInteger;
                        public class Slip {
                            public static final AtomicInteger OPEN = new AtomicInteger();
                            public static class Boat implements AutoCloseable {
                                private boolean closed;
                                public Boat() { OPEN.incrementAndGet(); }
                                public void close() { if (closed) throw new IllegalStateException("twice");
                                    closed = true; OPEN.decrementAndGet(); }
                            }
                            public static class Crane extends Boat {}
                            public static class Berth { public Berth(Boat boat) {} }
                        }
                        """,
                        """
                        entry: [Slip.Berth, Slip.Crane]
                        profiles: { t: { bindings: { Slip.Boat: { class: Slip.Boat, lifetime: fresh } } } }
                        """);
        List<Class<?>> types =
                List.of(slip.type("Slip$Boat"), slip.type("Slip$Crane"), slip.type("Slip$Berth"));
        AtomicInteger open = (AtomicInteger) slip.type("Slip").getField("OPEN").get(null);
        ExecutorService pool = Executors.newFixedThreadPool(types.size());
        for (int round = 0; round < 2000; round++) {
            Rig rig = slip.rig("t");
            CountDownLatch start = new CountDownLatch(types.size());
            List<Future<?>> all = new ArrayList<>();
            for (Class<?> type : types) {
                all.add(
                        pool.submit(
                                () -> {
                                    start.countDown();
                                    start.await();
                                    IllegalStateException closed =
                                            assertThrows(
                                                    IllegalStateException.class,
                                                    () -> {
                                                        while (true) {
                                                            rig.get(type);
                                                        }
                                                    });
                                    assertTrue(
                                            closed.getMessage().endsWith(" is closed"),
                                            closed::getMessage);
                                    return null;
                                }));
            }
            start.await();
            rig.close();
            for (Future<?> future : all) {
                future.get(30, TimeUnit.SECONDS);
            }
            assertEquals(0, open.get(), "round " + round);
        }
        pool.shutdownNow();
    }

    @Test
    void rigs_that_were_closed_and_forgotten_leave_nothing_behind() throws Exception {
        List<WeakReference<Object>> objects = new ArrayList<>();
        for (int i = 0; i < Integer.getInteger("patientharbor.rounds", 500); i++) {
            try (Rig rig = YARD.rig("lazy")) {
                Scope scope = rig.openScope(); // and nobody closes it
                objects.add(new WeakReference<>(scope.get(YARD.type("Tally"))));
                objects.add(new WeakReference<>(rig.get(YARD.type("Desk"))));
                objects.add(new WeakReference<>(rig));
            }
        }
        assertTrue(YARD.log().endsWith("-Tally -Levelled -Sonar -Cable"));
        for (int i = 0;
                i < 50 && objects.stream().anyMatch(reference -> reference.get() != null);
                i++) {
            System.gc();
            Thread.sleep(20);
        }
        assertEquals(0, objects.stream().filter(reference -> reference.get() != null).count());
    }

    @Test
    void a_chain_of_thousands_of_objects_needs_no_deep_stack() throws Exception {
        int links = 3_000;
        StringBuilder java = new StringBuilder("public class Far {\n");
        for (int i = 0; i < links; i++) {
            java.append("public static class L" + i + " { public L" + i)
                    .append("(L" + (i + 1) + " next) {} }\n");
        }
        java.append("public static boolean nested; public static class L" + links)
                .append(" { public L" + links + "() { nested = StackWalker.getInstance()")
                .append(".walk(all -> all.filter(one -> one.getMethodName().startsWith(\"L\"))")
                .append(".count()) > 200; } } }\n");
        Yard yard = Yard.of(java.toString(), "entry: [Far.L0]\nprofiles: { t: {} }\n");
        for (int rigs = 1; rigs <= 202; rigs++) {
            try (Rig rig = yard.rig("t")) {
                if (rigs == 1 || rigs > 200) {
                    Object[] made = new Object[1];
                    Thread shallow =
                            new Thread(
                                    null,
                                    () -> made[0] = rig.get(yard.type("Far$L0")),
                                    "",
                                    1 << 18);
                    shallow.start();
                    shallow.join();
                    assertEquals("L0", made[0].getClass().getSimpleName());
                    Field nested = yard.type("Far").getField("nested");
                    assertEquals(false, nested.get(null), "nor would one rig of many");
                }
            }
        }
    }

    @Test
    void an_object_that_is_being_made_cannot_close_its_rig_and_may_close_a_scope_of_its_own()
            throws Exception {
        Yard yard =
                Yard.of(
                        """
                        public class Quay implements AutoCloseable {
                            public static AutoCloseable around;
                            public static int closed;
                            public Quay(Rope rope) throws Exception { around.close(); }
                            public void close() { closed++; }
                            public static class Rope implements AutoCloseable { public void close() { closed++; } }
                        }
                        """,
                        "entry: [Quay]\nprofiles: { t: {} }\n");
        Field around = yard.type("Quay").getField("around");
        Rig rig = yard.rig("t");
        around.set(null, rig);
        RigException refused = assertThrows(RigException.class, () -> rig.get(yard.type("Quay")));
        assertTrue(refused.getMessage().contains("the rig of t cannot be closed by an object"));
        around.set(null, rig.openScope());
        rig.get(yard.type("Quay"));
        rig.close();
        assertEquals(2, yard.type("Quay").getField("closed").get(null));
    }
}
