package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.report.TextLayout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Whole outputs on the port, kept as files under src/test/resources/expected. After a change that
 * is meant, read the difference that {@code mvn verify -Dpatientharbor.rewrite=true} makes.
 */
class ExpectedOutputTest {

    private static final Path EXPECTED = Path.of("src/test/resources/expected");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    check-port.txt      | 80  | check ../examples/port.harbor.yaml
                    check-broken.txt    | 100 | check ../examples/broken.harbor.yaml
                    roster-port.txt     | 120 | roster ../examples/port.harbor.yaml
                    roster-winter.txt   | 80  | roster ../examples/port.harbor.yaml --profile winter
                    tree-winter.txt     | 80  | roster ../examples/port.harbor.yaml --format tree --profile winter
                    coverage-port.txt   | 80  | roster ../examples/port.harbor.yaml --format coverage
                    check-office.txt    | 100 | check ../examples/first-day/office.harbor.yaml
                    roster-office.txt   | 100 | roster ../examples/first-day/office.harbor.yaml --profile test
                    coverage-office.txt | 100 | roster ../examples/first-day/office.harbor.yaml --format coverage
                    survey-seats.txt    | 80  | survey --code ../examples/target/classes --package gullwing.office --section interfaces,touches
                    survey-office.txt   | 100 | survey --code ../examples/target/classes --package gullwing.office
                    survey-office.json  | 100 | survey --code ../examples/target/classes --package gullwing.office --format json
                    survey-office.csv   | 100 | survey --code ../examples/target/classes --package gullwing.office --format csv
                    survey-office.md    | 100 | survey --code ../examples/target/classes --package gullwing.office --format markdown
                    check-port.json     | 80  | check ../examples/port.harbor.yaml --format json
                    check-port.sarif    | 80  | check ../examples/port.harbor.yaml --format sarif
                    check-port.xml      | 80  | check ../examples/port.harbor.yaml --format junit --profile live
                    check-broken.md     | 80  | check ../examples/broken.harbor.yaml --format markdown
                    observed-port.json  | 80  | roster ../examples/port.harbor.yaml --format json --observed ../examples/observed --profile live
                    roster-port.json    | 80  | roster ../examples/port.harbor.yaml --format json
                    roster-broken.json  | 80  | roster ../examples/broken.harbor.yaml --format json --profile gap,orphan,sound
                    """)
    void is_as_expected_to_the_byte(String name, int width, String line) throws IOException {
        String out = Ran.tool(TextLayout.plain(width), line.split(" ")).out();
        Path file = EXPECTED.resolve(name);
        if (Boolean.getBoolean("patientharbor.rewrite")) {
            Files.createDirectories(EXPECTED);
            Files.writeString(file, out);
        }
        assertEquals(Files.readString(file), out);
    }
}
