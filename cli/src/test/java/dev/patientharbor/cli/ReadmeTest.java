package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.report.TextLayout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The README says the truth. */
class ReadmeTest {

    @Test
    void the_first_profile_file_gives_the_answers_that_stand_below_it(@TempDir Path temp)
            throws IOException {
        String page = Files.readString(Path.of("../README.md"));
        Matcher yaml = Pattern.compile("(?s)```yaml\n(.*?)```").matcher(page);
        assertTrue(yaml.find());
        Path file = temp.resolve("first.harbor.yaml");
        Files.writeString(file, yaml.group(1));
        Ran ran =
                Ran.tool(
                        TextLayout.plain(120),
                        "roster",
                        file.toString(),
                        "--code",
                        "../examples/target/classes");
        assertEquals(0, ran.code(), ran.out() + ran.err());
        List<String> answers =
                page.substring(page.indexOf("then answers"))
                        .lines()
                        .skip(1)
                        .takeWhile(line -> line.isBlank() || line.startsWith("    "))
                        .filter(line -> !line.isBlank())
                        .map(line -> line.substring(4))
                        .toList();
        assertEquals(7, answers.size());
        for (String answer : answers) {
            assertTrue(ran.out().lines().anyMatch(answer::equals), answer + "\n" + ran.out());
        }
    }

    @Test
    void every_picture_is_linked_and_every_link_leads_somewhere() throws IOException {
        String page = Files.readString(Path.of("../README.md"));
        Matcher link = Pattern.compile("\\]\\(([^)]+)\\)").matcher(page);
        while (link.find()) {
            assertTrue(Files.exists(Path.of("..").resolve(link.group(1))), link.group(1));
        }
        try (var pictures = Files.newDirectoryStream(Path.of("../docs/screenshots"), "*.png")) {
            pictures.forEach(
                    path ->
                            assertTrue(
                                    page.contains(path.getFileName().toString()), path.toString()));
        }
    }
}
