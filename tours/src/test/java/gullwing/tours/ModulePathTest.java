package gullwing.tours;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * An application that is a module uses the libraries as modules: by a file, by Java, with mocks.
 */
class ModulePathTest {

    private static final String MAIN =
            """
            package tideway;
            import dev.patientharbor.notation.ProfileFiles;
            import dev.patientharbor.profiles.*;
            import dev.patientharbor.rig.*;
            import java.nio.file.Path;
            public class Main {
                public interface Gauge { double level(); }
                public static abstract class Clock { public abstract int hour(); }
                static class Sonar implements Gauge { private Sonar() {} @jakarta.inject.Inject Sonar(Clock clock) {}
                    public double level() { return 3; } }
                public record Desk(Gauge gauge, Clock clock) {}
                public static void main(String[] args) {
                    ProfileSet file = ProfileFiles.read(Path.of(args[0]));
                    file.check().requireComplete();
                    for (int i = 0; i < 300; i++) {
                        try (Rig rig = Rigs.build(file.plan("t"))) {
                            Desk desk = rig.get(Desk.class);
                            if (desk.gauge().level() != 3) throw new AssertionError(desk);
                            if (desk.clock().hour() != 0) throw new AssertionError(desk.clock());
                        }
                    }
                    ProfileSet java = ProfileSet.define("java", set -> {
                        set.entry(Desk.class);
                        set.profile("j", it -> {
                            it.fill(Gauge.class, Supplies.mock());
                            it.fill(Clock.class, Supplies.mock());
                        });
                    });
                    try (Rig rig = Rigs.build(java.plan("j"))) {
                        System.out.println(rig.get(Desk.class).gauge());
                    }
                    System.out.println(Rigs.class.getModule().getName() + " " + Main.class.getModule().getName());
                }
            }
            """;

    @TempDir static Path temp;
    private static String modulePath;
    private static Path file;

    @BeforeAll
    static void find_the_jars() throws IOException {
        List<String> jars =
                Arrays.stream(System.getProperty("java.class.path").split(File.pathSeparator))
                        .filter(path -> path.endsWith(".jar"))
                        .filter(path -> !path.matches(".*(javax\\.inject|surefire|apiguardian).*"))
                        .toList();
        // Descriptors are in jars alone: mvn verify packages them before it comes here.
        assumeTrue(
                jars.stream().anyMatch(jar -> jar.contains("patient-harbor-rig")),
                "needs packaged libraries, as mvn verify has them");
        modulePath = String.join(File.pathSeparator, jars);
        file = temp.resolve("t.harbor.yaml");
        Files.writeString(
                file,
                "patient-harbor: 1\n"
                    + "code: app\n"
                    + "entry: [tideway.Main.Desk]\n"
                    + "profiles: { t: { bindings: {\n"
                    + "  tideway.Main.Gauge: tideway.Main.Sonar, tideway.Main.Clock: mock } } }\n");
    }

    private static String run(boolean opens) throws IOException, InterruptedException {
        Path sources = Files.createDirectories(temp.resolve("src/tideway"));
        Path descriptor = temp.resolve("src/module-info.java");
        Files.writeString(
                descriptor,
                "module tideway { requires dev.patientharbor.notation; requires"
                        + " dev.patientharbor.rig; requires dev.patientharbor.mockito; requires"
                        + " jakarta.inject; exports tideway; "
                        + (opens ? "opens tideway to dev.patientharbor.rig, org.mockito; " : "")
                        + "}");
        Path main = Files.writeString(sources.resolve("Main.java"), MAIN);
        int compiled =
                ToolProvider.getSystemJavaCompiler()
                        .run(
                                null,
                                null,
                                null,
                                "-proc:none",
                                "-p",
                                modulePath,
                                "-d",
                                temp.resolve("app").toString(),
                                descriptor.toString(),
                                main.toString());
        assertEquals(0, compiled);
        List<String> line =
                new ArrayList<>(
                        List.of(
                                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                                "-p",
                                temp.resolve("app") + File.pathSeparator + modulePath,
                                "-m",
                                "tideway/tideway.Main",
                                file.toString()));
        Process process = new ProcessBuilder(line).redirectErrorStream(true).start();
        String out =
                new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        return process.waitFor() + "\n" + out;
    }

    @Test
    void a_module_that_opens_its_package_has_rigs_and_one_that_does_not_is_told_what_to_write()
            throws IOException, InterruptedException {
        String open = run(true);
        assertTrue(open.startsWith("0\n"), open);
        assertTrue(open.contains("mock of Gauge"), open);
        assertTrue(open.contains("dev.patientharbor.rig tideway"), open);
        String closed = run(false);
        assertTrue(
                closed.contains(
                        "tideway.Main.Sonar is in the module tideway, which does not open it: write"
                            + " 'opens tideway to dev.patientharbor.rig;' in its module-info.java,"
                            + " or run with --add-opens tideway/tideway=dev.patientharbor.rig"),
                closed.lines().limit(12).collect(Collectors.joining("\n")));
    }
}
