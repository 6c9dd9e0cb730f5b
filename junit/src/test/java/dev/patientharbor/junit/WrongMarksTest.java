package dev.patientharbor.junit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.Rig;
import gullwing.port.PilotRota;
import gullwing.port.TideGauge;
import gullwing.port.WeatherFeed;
import gullwing.quay.ArrivalDesk;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;

/** Whoever marks a test wrongly is told what to do. */
class WrongMarksTest {

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    static class StaticField {
        @FromRig static Rig rig;

        @Test
        void nothing() {}
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    static class FinalField {
        @FromRig final Rig rig = null;

        @Test
        void nothing() {}
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile(value = "dock-test", oneRig = true)
    static class SwapsForAll {
        @SwappedIn private PilotRota rota;

        @Test
        void nothing() {}
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    static class UnknownKey {
        @FromRig("harbour")
        WeatherFeed feed;

        @Test
        void nothing() {}
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    @TestInstance(Lifecycle.PER_CLASS)
    static class TooEarly {
        TooEarly(PilotRota rota) {}

        @Test
        void nothing() {}
    }

    @UnderProfile("dock-test")
    static class Nowhere {
        @Test
        void nothing() {}
    }

    static final class Choosy implements Supplier<ProfileSet> {
        private final String file;

        Choosy(String file) {
            this.file = file;
        }

        @Override
        public ProfileSet get() {
            throw new IllegalStateException(file);
        }
    }

    @Harbor(from = Choosy.class)
    @UnderProfile("dock-test")
    static class NotMade {
        @Test
        void nothing() {}
    }

    @Harbor(ExtensionTest.PORT)
    static class NobodyUsesIt {
        @EachImplementation(Runnable.class)
        void of_what_no_profile_has(Runnable code) {}
    }

    @Harbor(ExtensionTest.PORT)
    static class WithoutParameter {
        @EachImplementation(WeatherFeed.class)
        void nothing() {}
    }

    @Harbor(ExtensionTest.PORT)
    static class FieldsWithoutProfile {
        @FromRig Rig rig;

        @Test
        void nothing() {}
    }

    @Harbor(ExtensionTest.PORT)
    static class ParameterWithoutProfile {
        @Test
        void nothing(PilotRota rota) {}
    }

    @Harbor("../nowhere/port.harbor.yaml")
    @UnderProfile("dock-test")
    static class WrongPath {
        @Test
        void nothing() {}
    }

    static final class OwnGauge implements TideGauge {
        @Override
        public double levelNow() {
            return 7;
        }
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    static class FakeWithoutSlot {
        @SwappedIn private final OwnGauge gauge = new OwnGauge();

        @Test
        void nothing() {}
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("live")
    static class Forbidden {
        @SwappedIn private PilotRota rota;

        @Test
        void nothing() {}
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    static class SetTooLate {
        @FromRig private ArrivalDesk desk;
        @SwappedIn private TideGauge gauge;

        @BeforeEach
        void set() {
            gauge = () -> 3;
        }

        @Test
        void nothing() {}
    }

    @Test
    void what_is_marked_wrongly_is_told_with_what_to_do() {
        Map<Class<?>, String> more =
                Map.of(
                        WithoutParameter.class, "has no parameter of that type: add one",
                        FieldsWithoutProfile.class,
                                "FieldsWithoutProfile has fields for what is in a rig, and no"
                                        + " profile is named: say by @UnderProfile",
                        ParameterWithoutProfile.class,
                                "asks for gullwing.port.PilotRota, and no profile is named: say by",
                        WrongPath.class, "; there is no *.harbor.yaml",
                        FakeWithoutSlot.class,
                                "it could fill TideGauge: write @SwappedIn(slot = \"TideGauge\")",
                        Forbidden.class,
                                "the field rota of dev.patientharbor.junit.WrongMarksTest.Forbidden"
                                        + " cannot be swapped in: ",
                        SetTooLate.class, "was set after the rig of the test was built");
        Map<Class<?>, String> expected =
                Map.of(
                        StaticField.class, "is marked with @FromRig, so it must not be static",
                        FinalField.class, "is marked with @FromRig, so it must not be final",
                        SwapsForAll.class, "and this rig is there before the test: take oneRig out",
                        UnknownKey.class, "its keys are coast, estuary, offshore",
                        TooEarly.class, "or as a field marked with @FromRig.",
                        Nowhere.class, "say which one by @Harbor(\"FILE\")",
                        NotMade.class, "must have a constructor without parameters",
                        NobodyUsesIt.class,
                                "no profile uses an implementation of java.lang.Runnable");
        Stream.concat(expected.entrySet().stream(), more.entrySet().stream())
                .forEach(entry -> assertTold(entry.getKey(), entry.getValue()));
    }

    private static void assertTold(Class<?> sample, String message) {
        List<String> told = ExtensionTest.failures(ExtensionTest.run(sample));
        assertEquals(1, told.size(), sample.getSimpleName() + " " + told);
        assertTrue(told.get(0).contains(message), told.get(0));
    }
}
