package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A real shell completes what is typed. */
class CompletionTest {

    @TempDir private Path folder;

    private Set<String> completed(String typed) throws Exception {
        assumeTrue(Files.exists(Path.of("/bin/bash")), "no bash");
        Path script = folder.resolve("completion.sh");
        Files.writeString(script, Ran.tool("completion").out());
        String[] words = ("patient-harbor " + typed).split(" ", -1);
        Process shell =
                new ProcessBuilder(
                                "/bin/bash",
                                "-c",
                                "source '"
                                        + script
                                        + "'; COMP_WORDS=("
                                        + String.join(
                                                " ",
                                                Arrays.stream(words)
                                                        .map(word -> "'" + word + "'")
                                                        .toList())
                                        + "); COMP_CWORD="
                                        + (words.length - 1)
                                        + "; _complete_patient-harbor 2>/dev/null; printf '%s\\n"
                                        + "' \"${COMPREPLY[@]}\"")
                        .redirectErrorStream(true)
                        .start();
        String said = new String(shell.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertEquals(0, shell.waitFor(), said);
        return new TreeSet<>(said.lines().map(String::strip).toList());
    }

    @ParameterizedTest
    @CsvSource({
        "ros, roster",
        "co, compare completion",
        "check --fo, --format",
        "check --format s, sarif",
        "roster --format m, matrix markdown mermaid",
        "compare --on, --only"
    })
    void what_is_typed_is_completed(String typed, String wanted) throws Exception {
        assertEquals(new TreeSet<>(Arrays.asList(wanted.split(" "))), completed(typed));
    }

    @Test
    void every_command_is_offered() throws Exception {
        Set<String> offered = completed("");
        for (ToolCommand command : ToolCommand.values()) {
            assertTrue(offered.contains(command.word()), command.word() + " of " + offered);
        }
    }
}
