package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** What is told while work goes on. */
class ProgressTest {

    private final ByteArrayOutputStream seen = new ByteArrayOutputStream();
    private final CountDownLatch asked = new CountDownLatch(3);

    @Test
    void long_work_tells_on_one_line_how_far_it_is_and_leaves_nothing_behind() throws Exception {
        ProgressLine line = line(Duration.ZERO);
        line.begin(this::count);
        line.begin(this::count);
        assertTrue(asked.await(1, TimeUnit.MINUTES), "it is asked again and again");
        line.end();
        line.end();
        List<String> states = List.of(seen().split("\r"));
        assertTrue(
                states.stream().anyMatch(it -> it.contains("4,711 class files read, 0:0")), seen());
        assertTrue(states.stream().allMatch(state -> state.length() < 60), seen());
        assertEquals(-1, seen().indexOf('\n'), seen());
        assertEquals("", states.get(states.size() - 1).strip(), seen());
    }

    @Test
    void short_work_and_work_that_nobody_watches_tells_nothing() {
        for (ProgressLine line : List.of(line(Duration.ofDays(1)), ProgressLine.none())) {
            line.begin(this::count);
            line.end();
        }
        assertEquals("", seen());
    }

    private ProgressLine line(Duration patience) {
        PrintStream terminal = new PrintStream(seen, true, StandardCharsets.UTF_8);
        return ProgressLine.on(terminal, 60, patience);
    }

    private long count() {
        asked.countDown();
        return 4711;
    }

    private String seen() {
        return seen.toString(StandardCharsets.UTF_8);
    }
}
