package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * An application of records, sealed and package-private types gets the answers of its twin, which
 * does the same with plain public classes.
 */
class TodaysJavaTest {

    private static final Path SOURCES = Path.of("src/test/resources/lighthouse");

    @TempDir private static Path folder;

    private static final Map<String, Path> PROFILES = new HashMap<>();

    @BeforeAll
    static void compile() throws IOException {
        for (String twin : new String[] {"today", "plain"}) {
            Path own = Files.createDirectory(folder.resolve(twin));
            JavaCode.compileInto(
                    Files.createDirectory(own.resolve("classes")),
                    Files.readString(SOURCES.resolve(twin + ".txt")));
            String file = Files.readString(SOURCES.resolve("light.harbor.yaml"));
            PROFILES.put(twin, own.resolve("light.harbor.yaml"));
            Files.writeString(PROFILES.get(twin), "code: [classes]\n" + file);
        }
    }

    /** A command, and what it must say at least, so that two empty answers are not the same. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    check FILE                                   | Watch.java:, begin: new Doubled
                    check FILE --format json                     | "which-constructor"
                    check FILE --all-code                        | GasBeacon touches the network
                    check FILE --profile live --wired-by MAIN    | is handed PrintedAlmanac
                    roster FILE --format json                    | "gullwing.light.FogHorn$Silent"
                    roster FILE --format tree                    | Tower.Bell
                    roster FILE --consumer Roster                | Rota.Shift
                    roster FILE --format coverage --touches      | in no profile
                    roster FILE --format svg --profile live      | Kept
                    explain FILE FogHorn                         | DieselGenerator
                    explain FILE Watch                           | TideGauge
                    explain FILE GasBeacon                       | GasBeacon
                    compare FILE live test                       | Beacon.Dark
                    survey --code CODE                           | Beacon.Dark, ElectricBeacon
                    survey --code CODE --format json             | "gullwing.light.PrintedAlmanac"
                    draft --code CODE                            | Gauge<Tide>: TideGauge
                    draft --code CODE --from MAIN                | FogHorn: Doubled
                    """)
    void gets_the_answers_of_plain_classes(String command, String part) {
        String today = answer(command, "today");
        assertTrue(today.contains(part), today);
        assertEquals(answer(command, "plain"), today);
    }

    private static String answer(String command, String twin) {
        Path file = PROFILES.get(twin);
        String line =
                command.replace("FILE", file.toString())
                        .replace("CODE", file.resolveSibling("classes").toString())
                        .replace("MAIN", "gullwing.light.Lighthouse#main");
        Ran ran = Ran.line(line);
        return (ran.code() + "\n" + ran.out() + ran.err())
                .replace(folder.resolve(twin).toString(), "")
                .replace("/" + twin + "/", "/twin/")
                .replaceAll("(\\.java:|\"line\" : )\\d+", "$1")
                .replaceAll(" +", " ");
    }
}
