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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Pages that show commands show what the tool prints. */
class PagesTest {

    private static final Pattern RUN =
            Pattern.compile("(?s)```text\n\\$ \\./patient-harbor ([^\n]*)\n(.*?)```");

    @ParameterizedTest
    @CsvSource({
        "first-day.md, 5",
        "compare.md, 1",
        "explain.md, 3",
        "commands.md, 16",
        "observed.md, 1"
    })
    void every_output_on_the_page_is_what_the_tool_prints(String name, int least)
            throws IOException {
        Path file = Path.of("../docs").resolve(name);
        String page = Files.readString(file);
        if (Boolean.getBoolean("patientharbor.rewrite")) {
            page = RUN.matcher(page).replaceAll(PagesTest::rewritten);
            Files.writeString(file, page);
        }
        var runs = RUN.matcher(page).results().toList();
        assertTrue(runs.size() >= least, "the page has its commands");
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
        return Ran.tool(TextLayout.plain(100), words(here))
                .out()
                .replace("../examples/", "examples/");
    }

    /** The words of a line as a shell takes them: what stands in single quotes is one. */
    private static String[] words(String line) {
        return Pattern.compile("'([^']*)'|(\\S+)")
                .matcher(line)
                .results()
                .map(word -> word.group(1) == null ? word.group(2) : word.group(1))
                .toArray(String[]::new);
    }
}
