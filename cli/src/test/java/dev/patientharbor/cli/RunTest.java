package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.observing.ObservedFiles;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.observing.ObservedUse;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Programs of the user's under a profile, and what they leave behind of what they used. */
class RunTest {

    private static final String PORT = "../examples/port.harbor.yaml";

    private static final List<String> EXAMPLES =
            List.of(
                    "dock-test ArrivalDesk",
                    "dock-test BridgeWatch",
                    "dock-test QuayBoard",
                    "rehearsal BridgeWatch",
                    "rehearsal QuayBoard");

    private static final String CODE =
            """
            package p;
            public interface Horn { String call(); }

            package p;
            public final class Brass implements Horn, AutoCloseable {
                public String call() { return "brass"; }
                public void close() { System.err.println("closed"); }
            }

            package p;
            public final class Paper implements Horn { public String call() { return "paper"; } }

            package p;
            public final class Torn implements Horn, AutoCloseable {
                public String call() { return "torn "; }
                public void close() { throw new IllegalStateException("torn in the end"); }
            }

            package p;
            public final class Sunk implements Horn {
                public Sunk() { throw new IllegalStateException("sunk at once"); }
                public String call() { return "sunk"; }
            }

            package p;
            public final class Watch implements java.util.concurrent.Callable<Integer> {
                private final Horn horn;
                public Watch(Horn horn) { this.horn = horn; }
                public Integer call() { return horn.call().length(); }
            }

            package p;
            public final class Sinking implements Runnable {
                public Sinking(Horn horn) {}
                public void run() { throw new AssertionError("she sinks"); }
            }

            package p;
            public final class Main {
                public static void main(String[] words) {
                    Horn horn = dev.patientharbor.rig.RunningRig.get().get(Horn.class);
                    System.out.println(horn.call() + " " + String.join("_", words));
                    new Thread(() -> {
                        try {
                            Thread.sleep(200);
                        } catch (InterruptedException stopped) {
                            return;
                        }
                        System.out.println("later " + horn.call());
                    }).start();
                }
            }

            package p;
            public final class Leaving {
                public static void main(String[] words) {
                    dev.patientharbor.rig.RunningRig.get().get(Horn.class).call();
                    System.exit(7);
                }
            }
            """;

    private static final String FILE =
            """
            patient-harbor: 1
            title: Horns
            code: [%s]
            entry: [p.Watch, p.Sinking]
            profiles:
              day:
                bindings: { p.Horn: p.Brass }
              night:
                bindings: { p.Horn: p.Paper }
              fog:
                bindings: { p.Horn: p.Torn }
              storm:
                eager: true
                bindings: { p.Horn: p.Sunk }
            """;

    @TempDir private static Path folder;

    @BeforeAll
    static void write() throws IOException {
        Path classes = JavaCode.compileAnew(CODE);
        Files.writeString(folder.resolve("horns.harbor.yaml"), FILE.formatted(classes));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    a Callable's number is the exit code   | day   | Watch                        | 5 | ''            | plan
                    the same program under another profile | night | p.Watch                      | 5 | ''            | plan
                    arguments are the program's            | day   | p.Main -h --profile x        | 0 | brass -h_--profile_x/later brass | closed
                    a program that fails                   | day   | Sinking                      | 1 | ''            | Exception in thread "main" java.lang.AssertionError: she sinks
                    a program that ends the process        | day   | p.Leaving                    | 7 | ''            | closed
                    """)
    void a_program_runs_to_its_end(
            String why, String profile, String line, int code, String out, String err)
            throws Exception {
        Path observed = folder.resolve(why.replace(' ', '-') + ".txt");
        Ran ran = process("--profile " + profile + " --observe " + observed, line);
        assertEquals(code, ran.code(), ran.err());
        assertEquals(out, String.join("/", ran.out().lines().toList()));
        assertTrue(ran.err().contains(err), ran.err());
        assertTrue(ran.err().contains("under " + profile + ", plan "), ran.err());
        // However it ended, what it used is written.
        ObservedUse use = ObservedFiles.read(observed).get(0);
        String horn = profile.equals("day") ? "real p.Brass" : "real p.Paper";
        assertTrue(
                use.answers().stream()
                        .anyMatch(
                                each ->
                                        each.stands().equals(horn)
                                                && each.made() == 1
                                                && each.calls().isPresent()),
                use.text());
    }

    @ParameterizedTest
    @CsvSource({
        "fog, p.Main x, torn in the end",
        "storm, p.Main x, sunk at once",
        "fog, Watch, torn in the end"
    })
    void what_the_code_throws_where_it_is_made_or_closed_is_no_fault_of_ours(
            String profile, String line, String reason) throws Exception {
        Ran ran = process("--profile " + profile, line);
        assertEquals(line.equals("Watch") ? 5 : 1, ran.code(), ran.err());
        assertTrue(ran.err().contains(reason), ran.err());
        assertTrue(!ran.err().contains("a fault of ours"), ran.err());
    }

    private static Ran process(String options, String line) throws Exception {
        List<String> words =
                new ArrayList<>(
                        List.of(
                                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                                "-cp",
                                System.getProperty("java.class.path"),
                                Main.class.getName(),
                                "run"));
        words.addAll(List.of(options.split(" ")));
        words.add(folder.resolve("horns.harbor.yaml").toString());
        words.addAll(List.of(line.split(" ")));
        Path out = folder.resolve("out");
        Path err = folder.resolve("err");
        Process process =
                new ProcessBuilder(words)
                        .redirectOutput(out.toFile())
                        .redirectError(err.toFile())
                        .start();
        assertTrue(process.waitFor(1, TimeUnit.MINUTES));
        return new Ran(process.exitValue(), Files.readString(out), Files.readString(err));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    run PORT                                            | run needs a class
                    run PORT BridgeWatch                                | run needs --profile and one of dock-test, winter, rehearsal, live
                    run --profile gale PORT BridgeWatch                 | gale
                    run --profile live PORT Bridgwatch                  | near: BridgeWatch
                    run --profile live PORT FeeBooth                    | gullwing.quay.FeeBooth cannot be run
                    run --profile live PORT BridgeWatch at-noon         | gullwing.quay.BridgeWatch takes no arguments
                    run --profile live --observe PORT PORT BridgeWatch  | --observe names a file that is read here
                    roster PORT --observed ../examples/nowhere          | there is no ../examples/nowhere; run the tests with -Dpatientharbor.observed=
                    roster PORT --observed ../examples/src              | nothing was observed in ../examples/src
                    roster PORT --observed ../examples/port.properties  | port.properties:1 is no line of what was observed
                    roster PORT --observed ../examples/observed --format csv | --observed does not go with --format csv
                    roster ../examples/sides.harbor.yaml --observed ../examples/observed | of other sets: none is called Gullwing, aboard and ashore
                    """)
    void what_cannot_be_run_or_read_is_told_with_a_reason(String line, String reason) {
        Ran ran = Ran.line(line.replace("PORT", PORT));
        assertEquals(2, ran.code(), ran.err());
        assertTrue(ran.err().contains(reason), ran.err());
    }

    @Test
    void of_one_profile_it_is_told_what_runs_under_others_met() {
        Ran ran = Ran.line("roster " + PORT + " --profile live --observed ../examples/observed");
        String told = ran.out().substring(ran.out().indexOf("What runs met"));
        String never = told.substring(0, told.indexOf("met, by runs under each profile"));
        assertTrue(never.contains("TideGauge: real SonarTideGauge"), told);
        assertTrue(!never.contains("PilotRota"), "met under dock-test: " + told);
        assertTrue(told.contains("dock-test 1, winter 0, rehearsal 0, live 0"), told);
        assertTrue(!told.contains("FixedTideGauge"), "stands in dock-test alone: " + told);
    }

    @Test
    void an_incomplete_profile_is_not_run() {
        Ran ran = Ran.line("run --profile gap ../examples/broken.harbor.yaml BridgeWatch");
        assertEquals(1, ran.code());
        assertTrue(ran.err().contains("not complete"), ran.err());
    }

    @Test
    void what_was_observed_in_the_examples_is_what_running_them_writes() throws IOException {
        for (String run : EXAMPLES) {
            String profile = run.split(" ")[0];
            String name = run.replace(' ', '-') + ".observed.txt";
            Path file = folder.resolve(name);
            Path kept = Path.of("../examples/observed", name);
            boolean rewrites = Boolean.getBoolean("patientharbor.rewrite");
            Path to = rewrites ? kept : file;
            Ran ran =
                    Ran.line(
                            "run --profile %s --observe %s %s %s"
                                    .formatted(profile, to, PORT, run.split(" ")[1]));
            assertEquals(0, ran.code(), ran.err());
            assertEquals(Files.readString(kept, StandardCharsets.UTF_8), Files.readString(to));
        }
    }

    @Test
    void each_row_of_the_roster_tells_the_runs_that_were_observed() throws IOException {
        ProfileSet port = ProfileFiles.read(Path.of(PORT));
        ObservedRosters observed =
                ObservedRosters.of(
                        port.check().rosters().values(),
                        ObservedUse.joined(
                                "Gullwing Ferry Port",
                                ObservedFiles.read(Path.of("../examples/observed"))));
        for (String profile : port.profiles()) {
            Ran ran =
                    Ran.line(
                            "roster %s --wide --observed ../examples/observed --profile %s"
                                    .formatted(PORT, profile));
            List<String> expected =
                    port.roster(profile).rows().stream()
                            .map(row -> row.answer())
                            .filter(ObservedRosters::isTold)
                            .map(answer -> observed.runs(profile, answer))
                            .map(
                                    runs ->
                                            runs == 0
                                                    ? "no run"
                                                    : runs == 1 ? "1 run" : runs + " runs")
                            .sorted()
                            .toList();
            String rows = ran.out().substring(0, ran.out().indexOf("What runs met"));
            assertEquals(
                    expected,
                    rows.lines()
                            .filter(
                                    line ->
                                            !line.strip().startsWith("@")
                                                    && line.contains("met in"))
                            .map(line -> line.replaceFirst(".*met in ", ""))
                            .sorted()
                            .toList());
        }
    }
}
