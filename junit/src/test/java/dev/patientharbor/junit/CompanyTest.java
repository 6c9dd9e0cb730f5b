package dev.patientharbor.junit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.rig.Rig;
import gullwing.crane.CraneShed;
import gullwing.port.BerthLedger;
import gullwing.port.PilotRota;
import gullwing.port.TideGauge;
import gullwing.quay.ArrivalDesk;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInfo;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** In the company of others: who resolves which parameter, who sets which field, and when. */
class CompanyTest {

    private static void assertAllWell(Class<?> sample, int tests) {
        var results = ExtensionTest.run(sample);
        assertEquals(List.of(), ExtensionTest.failures(results));
        results.testEvents().assertStatistics(it -> it.succeeded(tests));
        for (Rig rig : RIGS) {
            assertThrows(IllegalStateException.class, () -> rig.get(TideGauge.class), "closed");
        }
        RIGS.clear();
    }

    private static final Set<Rig> RIGS = java.util.concurrent.ConcurrentHashMap.newKeySet();

    /** Marks parameters of somebody else's. */
    @Retention(RetentionPolicy.RUNTIME)
    @interface Theirs {}

    static final class TheirResolver implements ParameterResolver {
        @Override
        public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
            return parameter.isAnnotated(Theirs.class);
        }

        @Override
        public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
            return (TideGauge) () -> 42;
        }
    }

    static final class HouseResolver implements ParameterResolver {
        @Override
        public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
            return parameter.getParameter().getType() == TideGauge.class
                    && !parameter.isAnnotated(FromRig.class);
        }

        @Override
        public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
            return (TideGauge) () -> 43;
        }
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    @ExtendWith(TheirResolver.class)
    static class Arguments {
        static Stream<TideGauge> gauges() {
            return Stream.of(() -> 1, () -> 2);
        }

        @ParameterizedTest
        @MethodSource("gauges")
        void arguments_are_no_objects_of_the_rig(
                TideGauge gauge, @FromRig("coast") gullwing.port.WeatherFeed feed, Rig rig) {
            assertNotSame(rig.get(TideGauge.class), gauge);
            assertNotNull(feed);
            RIGS.add(rig);
        }

        @Test
        void what_carries_a_mark_of_another_is_that_one_s(
                @Theirs TideGauge theirs, TideGauge ours, TestInfo info) {
            assertEquals(42, theirs.levelNow());
            assertEquals(2.40, ours.levelNow());
            assertNotNull(info);
        }

        @RepeatedTest(2)
        void each_repetition_has_a_rig(Rig rig, RepetitionInfo info) {
            assertTrue(RIGS.add(rig));
            assertNotNull(info);
        }
    }

    @Harbor(value = ExtensionTest.PORT, onlyMarked = true)
    @UnderProfile("dock-test")
    @ExtendWith(HouseResolver.class)
    static class House {
        @Test
        void only_what_is_marked_is_ours(TideGauge theirs, @FromRig TideGauge ours) {
            assertEquals(43, theirs.levelNow());
            assertEquals(2.40, ours.levelNow());
        }
    }

    /** Sets fields, as one that is registered after ours does. */
    static final class FieldSetter implements BeforeEachCallback {
        @Override
        public void beforeEach(ExtensionContext context) {
            ((SetLater) context.getRequiredTestInstance()).byExtension = () -> 8;
        }
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    @ExtendWith(FieldSetter.class)
    static class SetLater {
        @SwappedIn TideGauge byExtension;
        @SwappedIn private PilotRota bySetUp;

        @BeforeEach
        void set(TestInfo info) {
            bySetUp = () -> "Ada";
        }

        @Test
        void fields_count_that_are_set_before_the_test(Rig rig) {
            assertSame(byExtension, rig.received(CraneShed.class, "gauge").outermost());
            assertSame(bySetUp, rig.received(ArrivalDesk.class, "rota").innermost());
        }
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    static class Parameters {
        @FromRig private gullwing.port.WeatherFeed[] feeds;

        @SwappedIn(slot = "TideGauge")
        private final WrongMarksTest.OwnGauge own = new WrongMarksTest.OwnGauge();

        @Test
        void a_parameter_is_a_mock_that_is_swapped_in(
                ArrivalDesk desk, @SwappedIn PilotRota rota, Rig rig) {
            desk.arrive("GULL");
            assertSame(rota, rig.received(ArrivalDesk.class, "rota").innermost());
            assertEquals(1, rig.calls(PilotRota.class).size());
            assertEquals(rig.all(gullwing.port.WeatherFeed.class), List.of(feeds));
            assertSame(own, rig.received(CraneShed.class, "gauge").outermost());
        }
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    static class Constructed {
        private final BerthLedger ledger;

        Constructed(BerthLedger ledger) {
            this.ledger = ledger;
        }

        @Test
        void the_constructor_is_given_what_the_test_has(Rig rig) {
            assertSame(ledger, rig.get(BerthLedger.class));
            RIGS.add(rig);
        }

        @Test
        void and_another_test_another(Rig rig) {
            assertSame(ledger, rig.get(BerthLedger.class));
            assertTrue(RIGS.add(rig));
        }

        @Nested
        class Inner {
            private final Rig mine;

            Inner(Rig rig) {
                mine = rig;
            }

            @Test
            void one_rig_for_both_constructors(Rig rig) {
                assertSame(mine, rig);
                assertSame(ledger, rig.get(BerthLedger.class));
            }
        }
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile(value = "dock-test", oneRig = true)
    @TestInstance(Lifecycle.PER_CLASS)
    static class BeforeAllOfThem {
        @FromRig private BerthLedger ledger;

        @BeforeAll
        void fields_and_parameters_are_there(Rig rig) {
            assertSame(ledger, rig.get(BerthLedger.class));
            RIGS.add(rig);
        }

        @Test
        void one(Rig rig) {
            assertTrue(RIGS.contains(rig));
        }

        @Test
        void two(Rig rig) {
            assertTrue(RIGS.contains(rig));
        }
    }

    @UnderEachProfile({"dock-test", "winter"})
    @Harbor(ExtensionTest.PORT)
    static class UnderEach {
        @FromRig Rig rig;

        @Test
        void plain() {
            ExtensionTest.SEEN.add("plain " + rig.profile());
        }

        @RepeatedTest(2)
        void repeated(Rig same) {
            assertSame(same, rig);
            ExtensionTest.SEEN.add("repeated " + rig.profile());
        }

        @ParameterizedTest
        @ValueSource(ints = {1, 2})
        void parameterized(int number) {
            ExtensionTest.SEEN.add("parameterized " + number + " " + rig.profile());
        }
    }

    @Test
    void everyone_gets_what_is_his_and_every_rig_is_closed() {
        assertAllWell(Arguments.class, 5);
        assertAllWell(House.class, 1);
        assertAllWell(SetLater.class, 1);
        assertAllWell(Parameters.class, 1);
        assertAllWell(Constructed.class, 3);
        assertAllWell(BeforeAllOfThem.class, 2);
        assertAllWell(UnderEach.class, 10);
        assertEquals(
                "[parameterized 1 dock-test, parameterized 1 winter, parameterized 2 dock-test,"
                    + " parameterized 2 winter, plain dock-test, plain winter, repeated dock-test,"
                    + " repeated winter]",
                new TreeSet<>(ExtensionTest.SEEN).toString());
    }

    private static final CountDownLatch BOTH = new CountDownLatch(2);

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    @TestInstance(Lifecycle.PER_CLASS)
    @Execution(ExecutionMode.CONCURRENT)
    static class AtOnce {
        @FromRig private Rig rig;

        @Test
        void one(Rig own) throws InterruptedException {
            see(own);
        }

        @Test
        void two(Rig own) throws InterruptedException {
            see(own);
        }

        private void see(Rig own) throws InterruptedException {
            BOTH.countDown();
            BOTH.await(3, TimeUnit.SECONDS);
            assertSame(own, rig, "never another test's");
        }
    }

    @Test
    void tests_that_share_an_object_and_run_at_once_are_refused_and_see_nothing_of_each_other() {
        for (String told : ExtensionTest.failures(ExtensionTest.run(AtOnce.class))) {
            assertTrue(told.contains("run at the same time in one object"), told);
        }
    }
}
