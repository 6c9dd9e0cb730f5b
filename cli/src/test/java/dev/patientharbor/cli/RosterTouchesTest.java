package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What of the profiles reaches outside, beside who receives what. */
class RosterTouchesTest {

    private static final String OFFICE = "../examples/first-day/office.harbor.yaml";

    @ParameterizedTest
    @ValueSource(strings = {"text", "tree", "coverage"})
    void people_read_it_below_with_the_profiles_and_the_way(String format) {
        String plain = Ran.tool("roster", OFFICE, "--format", format).out();
        String out = Ran.tool("roster", OFFICE, "--format", format, "--touches").out();
        assertTrue(out.startsWith(plain), out);
        String added = out.substring(plain.length());
        assertTrue(
                added.contains(
                        "  PostMailer · in live\n"
                            + "    network       PostMailer.send → PostOffice.handIn → Socket.new ·"
                            + " PostOffice.java:19\n"),
                added);
        assertTrue(added.contains("  OverdueJob · in live, test\n"), added);
        assertFalse(added.contains("SeatFinder"), added);
    }

    @Test
    void programs_read_it_when_they_ask() throws IOException {
        JsonNode asked =
                new ObjectMapper()
                        .readTree(
                                Ran.tool("roster", OFFICE, "--format", "json", "--touches").out());
        List<String> all = new ArrayList<>();
        asked.get("touches")
                .forEach(
                        each ->
                                all.add(
                                        each.get("class").asText()
                                                + ' '
                                                + each.get("touches").asText()
                                                + ' '
                                                + each.get("at").asText()));
        assertEquals(
                List.of(
                        "gullwing.office.FileBookingStore files FileBookingStore.java:24",
                        "gullwing.office.OverdueJob network PostOffice.java:19",
                        "gullwing.office.PostMailer network PostOffice.java:19",
                        "gullwing.office.WallCalendar clock WallCalendar.java:9"),
                all);
        String plain = Ran.tool("roster", OFFICE, "--format", "json").out();
        assertFalse(new ObjectMapper().readTree(plain).has("touches"), plain);
    }

    @Test
    void nothing_is_said_where_nothing_is_reached() {
        Ran ran =
                Ran.tool(
                        "roster",
                        OFFICE,
                        "--profile",
                        "test",
                        "--code",
                        "../examples/target/classes",
                        "--touches");
        assertFalse(ran.out().contains("PostMailer · in"), ran.out());
        assertTrue(ran.out().contains("OverdueJob · in test"), ran.out());
    }
}
