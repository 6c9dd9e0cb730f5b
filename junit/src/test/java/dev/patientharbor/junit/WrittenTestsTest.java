package dev.patientharbor.junit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.notation.ProfileTests;
import dev.patientharbor.profiles.ProfileSet;
import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Tests that are written for a profile file compile, run, and fail where a profile is not complete.
 */
class WrittenTestsTest {

    private static final String PORT = "../examples/port.harbor.yaml";

    @TempDir private Path folder;

    private List<String> failures(String profileFile, String javaFile) throws Exception {
        Path file = folder.resolve("src/test/java").resolve(javaFile);
        ProfileSet set = ProfileFiles.read(Path.of(profileFile));
        Files.createDirectories(file.getParent());
        Files.writeString(file, ProfileTests.of(set, profileFile, file));
        Path classes = Files.createDirectories(folder.resolve("classes"));
        int compiled =
                ToolProvider.getSystemJavaCompiler()
                        .run(
                                null,
                                null,
                                null,
                                "-proc:none",
                                "-cp",
                                System.getProperty("java.class.path"),
                                "-d",
                                classes.toString(),
                                file.toString());
        assertEquals(0, compiled, Files.readString(file));
        String name = javaFile.replaceAll("\\.java$", "").replace('/', '.');
        try (URLClassLoader loader = new URLClassLoader(new URL[] {classes.toUri().toURL()})) {
            return ExtensionTest.failures(ExtensionTest.run(loader.loadClass(name)));
        }
    }

    @Test
    void they_are_green_for_the_port_and_red_for_the_wreck() throws Exception {
        assertEquals(List.of(), failures(PORT, "gullwing/quay/PortProfilesTest.java"));
        assertEquals(List.of(), failures(PORT, "org/acme/PortProfilesTest.java"));
        assertEquals(
                false,
                failures("../examples/broken.harbor.yaml", "gullwing/WreckTest.java").isEmpty());
    }

    @Test
    void a_name_that_is_none_of_a_java_file_is_refused() throws IOException {
        ProfileSet set = ProfileFiles.read(Path.of(PORT));
        for (String name : List.of("Port Test.java", "PortTest.txt", "1Test.java")) {
            assertThrows(
                    IllegalArgumentException.class,
                    () -> ProfileTests.of(set, PORT, Path.of(name)));
        }
    }
}
