package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Each example of the page of concepts is answered as the page says. */
class ConceptsPageTest {

    private static final Pattern PAIR =
            Pattern.compile("(?s)```yaml\n((?:(?!```).)*?)```\n\n```text\n(\\w+)\n(.*?)```");

    @TempDir Path temp;

    /** A file, the command that reads it, and lines that stand in its answer, spaces folded. */
    record Example(String file, String command, List<String> answers) {
        @Override
        public String toString() {
            return answers.get(0);
        }
    }

    static List<Example> examples() throws IOException {
        String page = Files.readString(Path.of("../docs/concepts.md"));
        List<Example> examples = new ArrayList<>();
        Matcher pair = PAIR.matcher(page);
        while (pair.find()) {
            examples.add(new Example(pair.group(1), pair.group(2), pair.group(3).lines().toList()));
        }
        assertEquals(7, examples.size());
        return examples;
    }

    @ParameterizedTest
    @MethodSource("examples")
    void is_answered_as_the_page_says(Example example) throws IOException {
        Matcher head =
                Pattern.compile("(?s)```yaml\n(.*?)```")
                        .matcher(Files.readString(Path.of("../docs/concepts.md")));
        assertTrue(head.find());
        Path file = temp.resolve("it.harbor.yaml");
        String classes = Path.of("../examples/target/classes").toRealPath().toString();
        Files.writeString(
                file, head.group(1).replace("examples/target/classes", classes) + example.file());
        Ran ran = Ran.tool(example.command(), file.toString());
        String out = ran.out().replaceAll("\\s+", " ");
        for (String answer : example.answers()) {
            assertTrue(out.contains(answer), answer + "\n" + ran.out());
        }
    }
}
