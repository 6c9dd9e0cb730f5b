import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;

import dev.patientharbor.junit.CompleteProfiles;
import dev.patientharbor.junit.EachImplementation;
import dev.patientharbor.junit.EachProfile;
import dev.patientharbor.junit.FromRig;
import dev.patientharbor.junit.Harbor;
import dev.patientharbor.junit.SwappedIn;
import dev.patientharbor.junit.UnderProfile;
import dev.patientharbor.rig.Rig;
import gullwing.port.BerthLedger;
import gullwing.port.PilotRota;
import gullwing.port.TideGauge;
import gullwing.port.WeatherFeed;
import gullwing.quay.ArrivalDesk;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.ClassOrderer;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestClassOrder;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What every supported version of JUnit must do alike; run by {@code versions.sh} with each. */
@TestClassOrder(ClassOrderer.OrderAnnotation.class)
class UnderAnyVersionTest {

    private static final List<Rig> SEEN = new ArrayList<>();

    private static void assertClosed(int howMany) {
        assertEquals(howMany, SEEN.size());
        for (Rig rig : SEEN) {
            assertThrows(IllegalStateException.class, () -> rig.get(TideGauge.class));
        }
        SEEN.clear();
    }

    @Nested
    @Order(2)
    @Harbor("port.harbor.yaml")
    @UnderProfile("dock-test")
    class OwnRigs {
        @FromRig BerthLedger ledger;
        @SwappedIn PilotRota rota;

        @Test
        void fields_and_parameters(ArrivalDesk desk, Rig rig) {
            SEEN.add(rig);
            desk.arrive("GULL");
            assertSame(ledger, rig.get(BerthLedger.class));
            assertSame(rota, rig.received(ArrivalDesk.class, "rota").innermost());
        }

        @RepeatedTest(2)
        void repeated(Rig rig) {
            SEEN.add(rig);
        }

        @ParameterizedTest
        @ValueSource(ints = {1, 2})
        void parameterized(int number, @FromRig TideGauge gauge, Rig rig) {
            SEEN.add(rig);
            assertEquals(2.40, gauge.levelNow());
        }

        @EachProfile({"dock-test", "winter"})
        void each_profile(Rig rig) {
            SEEN.add(rig);
        }

        @EachImplementation(WeatherFeed.class)
        void each_implementation(WeatherFeed feed) {
            assertFalse(feed.outlook().isEmpty());
        }
    }

    @Nested
    @Order(3)
    class Afterwards {
        @Test
        void each_rig_was_closed() {
            assertClosed(7);
        }
    }

    @Nested
    @Order(4)
    @Harbor("port.harbor.yaml")
    @UnderProfile(value = "dock-test", oneRig = true)
    @TestInstance(TestInstance.Lifecycle.PER_CLASS)
    class OneForAll {
        @FromRig BerthLedger ledger;

        @BeforeAll
        void all(Rig rig) {
            SEEN.add(rig);
            assertSame(ledger, rig.get(BerthLedger.class));
        }

        @Test
        void one(Rig rig) {
            assertSame(SEEN.get(0), rig);
        }

        @Test
        void two(Rig rig) {
            assertSame(SEEN.get(0), rig);
        }
    }

    @Nested
    @Order(5)
    class AfterAll {
        @Test
        void the_one_rig_was_closed() {
            assertClosed(1);
        }
    }

    @Nested
    @Order(6)
    @Harbor("port.harbor.yaml")
    @UnderProfile("dock-test")
    class Constructed {
        private final BerthLedger ledger;

        Constructed(BerthLedger ledger) {
            this.ledger = ledger;
        }

        @Test
        void one(Rig rig) {
            SEEN.add(rig);
            assertSame(ledger, rig.get(BerthLedger.class));
        }

        @Test
        void two(Rig rig) {
            SEEN.forEach(other -> assertNotSame(other, rig));
            SEEN.add(rig);
            assertSame(ledger, rig.get(BerthLedger.class));
        }
    }

    @Nested
    @Order(7)
    class AtTheEnd {
        @Test
        void those_of_constructors_were_closed() {
            assertClosed(2);
        }
    }

    @Nested
    @Order(8)
    @Harbor("port.harbor.yaml")
    class Complete implements CompleteProfiles {}
}
