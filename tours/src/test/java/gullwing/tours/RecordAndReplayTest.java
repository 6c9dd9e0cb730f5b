package gullwing.tours;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The tours print what the page about them shows; what was heard is what is played again. */
class RecordAndReplayTest {

    private static String output(String tour) throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        PrintStream before = System.out;
        System.setOut(new PrintStream(bytes, true, StandardCharsets.UTF_8));
        try {
            Class.forName("gullwing.tours." + tour)
                    .getMethod("main", String[].class)
                    .invoke(null, (Object) new String[0]);
        } finally {
            System.setOut(before);
        }
        return bytes.toString(StandardCharsets.UTF_8);
    }

    @Test
    void the_stub_says_what_the_sonar_said() throws Exception {
        List<String> lines = output("RecordAndReplay").lines().toList();
        int again = lines.indexOf("played again, without a sonar:");
        assertEquals(lines.subList(1, 4), lines.subList(again + 1, again + 4));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "SwapForATest",
                "ForecastByKey",
                "FeesInOrder",
                "StormDrill",
                "RecordAndReplay"
            })
    void the_page_shows_what_the_tour_prints(String tour) throws Exception {
        String page = Files.readString(Path.of("../docs/tours.md"));
        String shown = output(tour).stripTrailing().indent(4);
        assertTrue(page.contains(tour), tour + " is not on the page");
        assertTrue(page.contains(shown), "the page does not show:\n" + shown);
    }
}
