package dev.patientharbor.junit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.Rig;
import gullwing.port.PilotRota;
import gullwing.port.WeatherFeed;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

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

    @Test
    void what_is_marked_wrongly_is_told_with_what_to_do() {
        Map<Class<?>, String> expected =
                Map.of(
                        StaticField.class, "is marked with @FromRig, so it must not be static",
                        FinalField.class, "is marked with @FromRig, so it must not be final",
                        SwapsForAll.class,
                                "@UnderProfile asks for one rig for all: take oneRig out",
                        UnknownKey.class, "its keys are coast, estuary, offshore",
                        TooEarly.class, "or as a field marked with @FromRig.",
                        Nowhere.class, "say which one by @Harbor(\"FILE\")",
                        NotMade.class, "must have a constructor without parameters",
                        NobodyUsesIt.class,
                                "no profile uses an implementation of java.lang.Runnable");
        expected.forEach(
                (sample, message) -> {
                    List<String> told = ExtensionTest.failures(ExtensionTest.run(sample));
                    assertEquals(1, told.size(), sample.getSimpleName() + " " + told);
                    assertTrue(told.get(0).contains(message), told.get(0));
                });
    }
}
