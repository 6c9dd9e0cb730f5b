package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.report.TextLayout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The page for the first day shows what the tool prints. */
class FirstDayPageTest {

    private static final Path PAGE = Path.of("../docs/first-day.md");
    private static final Pattern RUN =
            Pattern.compile("(?s)```text\n\\$ \\./patient-harbor ([^\n]*)\n(.*?)```");

    @Test
    void every_output_on_the_page_is_what_the_tool_prints() throws IOException {
        String page = Files.readString(PAGE);
        if (Boolean.getBoolean("patientharbor.rewrite")) {
            page = RUN.matcher(page).replaceAll(FirstDayPageTest::rewritten);
            Files.writeString(PAGE, page);
        }
        var runs = RUN.matcher(page).results().toList();
        assertTrue(runs.size() >= 4, "the page has its commands");
        for (MatchResult run : runs) {
            assertEquals(printed(run.group(1)), run.group(2), run.group(1));
        }
    }

    private static String rewritten(MatchResult run) {
        String text = "```text\n$ ./patient-harbor " + run.group(1) + '\n' + printed(run.group(1));
        return Matcher.quoteReplacement(text + "```");
    }

    /** Tests run in the folder of this module, one further in than the page says. */
    private static String printed(String line) {
        String here = line.replace("examples/", "../examples/");
        return Ran.tool(TextLayout.plain(100), here.split(" "))
                .out()
                .replace("../examples/", "examples/");
    }
}
