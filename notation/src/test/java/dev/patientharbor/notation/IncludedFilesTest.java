package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Profile;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.terms.Lifetime;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.jar.Attributes;
import java.util.jar.JarOutputStream;
import java.util.jar.Manifest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** One set in several files. */
class IncludedFilesTest {

    @TempDir Path folder;

    @BeforeEach
    void folders() throws IOException {
        Files.createDirectories(folder.resolve("quay/lib"));
    }

    private void write(String name, String text) throws IOException {
        Files.writeString(folder.resolve(name), "patient-harbor: 1\n" + text);
    }

    private ProfileSet read(String name) {
        return ProfileFiles.read(folder.resolve(name));
    }

    private List<String> told(ProfileSet file) {
        String here = folder.toString() + '/';
        return file.findings().stream()
                .map(
                        finding ->
                                finding.at().text().replace(here, "")
                                        + ' '
                                        + finding.kind().id()
                                        + ": "
                                        + finding.message())
                .toList();
    }

    @Test
    void paths_start_at_the_file_in_which_they_stand_and_a_file_is_read_once() throws IOException {
        write(
                "main.yaml",
                """
                include: [quay/quay.yaml, quay/base.yaml]
                title: Main
                code: [classes]
                settings: [a.properties]
                entry: [Desk]
                profiles: { live: { extends: base } }
                """);
        write(
                "quay/quay.yaml",
                """
                include: base.yaml
                title: Quay
                code: [lib]
                settings: [a.properties]
                default-lifetime: fresh
                entry: [Shed]
                areas: { crane: { members: [Shed] } }
                """);
        write("quay/base.yaml", "profiles: { base: { partial: true, code: [more] } }\n");
        Files.writeString(folder.resolve("a.properties"), "x = outer\n");
        Files.writeString(folder.resolve("quay/a.properties"), "x = inner\ny = inner\n");
        ProfileSet file = read("main.yaml");
        assertEquals(List.of(), told(file));
        assertEquals("Main", file.declared().title());
        assertEquals(Lifetime.FRESH, file.declared().defaultLifetime());
        assertEquals(
                List.of("base", "live"),
                file.declared().profiles().stream().map(Profile::name).toList());
        assertEquals(
                List.of("classes", "quay/lib", "quay/more"),
                file.code().stream()
                        .map(root -> folder.relativize(root.path()).toString())
                        .toList());
        assertEquals(
                List.of("Shed", "Desk"),
                file.declared().entry().stream().map(name -> name.text()).toList());
        assertEquals("outer", file.settings().find("x").orElseThrow());
        assertEquals("inner", file.settings().find("y").orElseThrow());
    }

    @Test
    void decision_44_what_two_files_define_is_told_and_the_first_is_kept() throws IOException {
        write(
                "main.yaml",
                """
                include: [other.yaml]
                areas:
                  quay: { members: [Desk] }
                profiles:
                  live: { bindings: { G: mock } }
                consumers:
                  page: { needs: { g: G } }
                """);
        write(
                "other.yaml",
                """
                areas: { quay: { members: [Shed] } }
                profiles: { live: { partial: true } }
                consumers: { page: { needs: {} } }
                """);
        ProfileSet file = read("main.yaml");
        assertEquals(
                List.of(
                        "main.yaml:8:3 defined-twice: The consumer page is defined in two files.",
                        "main.yaml:4:3 defined-twice: The area quay is defined in two files.",
                        "main.yaml:6:3 defined-twice: The profile live is defined in two files."),
                told(file));
        assertEquals(true, file.declared().profiles().get(0).partial());
    }

    @Test
    void circles_missing_files_and_faults_are_told_where_they_stand() throws IOException {
        write("a.yaml", "include: [b.yaml, none.yaml, \"bad\\0name\"]\nprofiles: {}\n");
        write("b.yaml", "include:\n  - a.yaml\ntittle: B\n");
        assertEquals(
                List.of(
                        "b.yaml:4:1 unknown-word: The key tittle is not known in the profile file.",
                        "b.yaml:3:5 include-cycle: The file a.yaml includes itself.",
                        "a.yaml:2:19 include-missing: The included file none.yaml is not read:"
                                + " there is no such file.",
                        "a.yaml:2:30 include-missing: The included file bad\0name is not read:"
                                + " there can be no file of that name."),
                told(read("a.yaml")));
    }

    @Test
    void class_path_is_that_of_the_java_that_reads_the_file(@TempDir Path temp) throws IOException {
        Path file =
                Files.writeString(
                        temp.resolve("run.harbor.yaml"),
                        "patient-harbor: 1\ncode: [class-path]\nentry: ["
                                + IncludedFilesTest.class.getName()
                                + "]\nprofiles: { a: {} }\n");
        String before = System.getProperty("java.class.path");
        Path listing = temp.resolve("listing.jar");
        Manifest manifest = new Manifest();
        manifest.getMainAttributes().put(Attributes.Name.MANIFEST_VERSION, "1.0");
        manifest.getMainAttributes()
                .put(
                        Attributes.Name.CLASS_PATH,
                        Path.of("target/test-classes").toUri() + " nowhere.jar");
        new JarOutputStream(Files.newOutputStream(listing), manifest).close();
        for (String path : List.of(before, "nowhere" + File.pathSeparator + listing)) {
            System.setProperty("java.class.path", path);
            try {
                Verdict verdict = ProfileFiles.read(file).check();
                assertTrue(verdict.knows(IncludedFilesTest.class.getName()), path);
                assertEquals(
                        List.of(),
                        verdict.findings().stream()
                                .filter(finding -> finding.kind() == FindingKinds.CODE_MISSING)
                                .toList());
            } finally {
                System.setProperty("java.class.path", before);
            }
        }
    }
}
