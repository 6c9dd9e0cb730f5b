package dev.patientharbor.rules;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class RuleCatalogTest {

    @Test
    void every_rule_that_there_is_is_run_and_each_once() throws Exception {
        List<String> written;
        try (Stream<Path> files = Files.list(Path.of("src/main/java/dev/patientharbor/rules"))) {
            written =
                    files.filter(file -> isRule(file))
                            .map(file -> file.getFileName().toString().replace(".java", ""))
                            .sorted()
                            .toList();
        }
        assertEquals(
                written,
                RuleCatalog.all(LocalDate.EPOCH).stream()
                        .map(rule -> rule.getClass().getSimpleName())
                        .sorted()
                        .toList());
    }

    private static boolean isRule(Path file) {
        try {
            return Files.readString(file).contains(" implements CheckRule {");
        } catch (IOException fault) {
            throw new IllegalStateException(fault);
        }
    }
}
