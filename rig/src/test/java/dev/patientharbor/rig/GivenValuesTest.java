package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

/** Values that a profile gives reach constructors, factories, decorators, slots and statics. */
class GivenValuesTest {

    private static final Yard YARD =
            Yard.of(
                    """
                    import jakarta.inject.*;
                    interface Feed { String says(); }
                    record Sea(int from, long to) implements Feed {
                        Sea() { this(0, 0); }
                        public String says() { return from + "-" + to; } }
                    record Retry(Feed inner, int attempts) implements Feed {
                        public String says() { return attempts + "x " + inner.says(); } }
                    class Feeds {
                        static Feed at(Feed other, int port, String host) { return () -> host + ":" + port + " " + other.says(); } }
                    record Desk(Feed feed, @Named("made") Feed made, @Named("retries") int retries) {
                        public String all() { return feed.says() + ", " + made.says() + ", " + retries; } }
                    class Base { @Inject static Feed base; static int filled; }
                    class Mast extends Base { @Inject static void set(@Named("made") Feed it) { filled++; } }
                    class Bow { @Inject @Named("none") static Feed feed; }
                    """,
                    """
                    entry: [Desk]
                    consumers: { Mast: { statics: filled } }
                    profiles:
                      t:
                        bindings:
                          Feed: { class: Sea, with: [10, 500] }
                          Feed@made: { factory: "Feeds#at", with: { port: 25, host: "${NO_SUCH_HOST:-here}" } }
                          int@retries: { value: 3 }
                        decorators: { Feed: [{ class: Retry, with: { attempts: 4 } }] }
                    """);

    @Test
    void each_gets_what_the_profile_says() {
        try (Rig rig = YARD.rig("t")) {
            assertEquals(
                    "4x 10-500, here:25 4x 10-500, 3",
                    Yard.call(rig.get(YARD.type("Desk")), "all"));
        }
    }

    @Test
    void static_members_are_filled_once_and_a_missing_one_is_named() throws Exception {
        try (Rig rig = YARD.rig("t")) {
            rig.fillStatics(YARD.type("Mast"), YARD.type("Base"));
            rig.fillStatics(YARD.type("Mast"));
            var filled = YARD.type("Base").getDeclaredField("filled");
            filled.setAccessible(true);
            assertEquals(1, filled.get(null));
            String message =
                    assertThrows(
                                    IllegalArgumentException.class,
                                    () -> rig.fillStatics(YARD.type("Bow")))
                            .getMessage();
            assertTrue(
                    message.startsWith("the static field p.Bow.feed cannot be filled: "), message);
        }
    }
}
