package dev.patientharbor.code;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.jar.JarEntry;
import java.util.jar.JarOutputStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Reading class files: whatever they hold, and however damaged they are. */
class CodeReaderTest {

    private static final String GAUGE =
            """
            package p;
            public interface Gauge { double level(); }
            package p;
            public class Sonar implements Gauge {
                public Sonar(String place, java.util.List<String> depths) {}
                public double level() { return 1; }
            }
            """;

    private static CodePlaces open(Path... places) {
        return CodeReader.open(
                Arrays.stream(places)
                        .map(
                                path ->
                                        new CodeRoot(
                                                new WrittenName(
                                                        path.getFileName().toString(),
                                                        SourcePosition.startOf("here")),
                                                path))
                        .toList(),
                FactsRequest.NOTHING);
    }

    /** Reads all classes with a number of threads. */
    private static CodePlaces readAll(int threads, Path... places) {
        CodePlaces code = open(places);
        code.whole().readAll(threads);
        return code;
    }

    private static CodeIndex read(int threads, Path... places) {
        return readAll(threads, places).whole();
    }

    private static Path jar(Path file, Path classes) throws IOException {
        try (OutputStream bytes = Files.newOutputStream(file);
                JarOutputStream jar = new JarOutputStream(bytes);
                Stream<Path> all = Files.walk(classes)) {
            for (Path path : all.filter(Files::isRegularFile).sorted().toList()) {
                jar.putNextEntry(new JarEntry(classes.relativize(path).toString()));
                jar.write(Files.readAllBytes(path));
            }
        }
        return file;
    }

    @Test
    void a_folder_a_jar_and_a_pattern_for_jars_give_the_same_facts(@TempDir Path temp)
            throws IOException {
        Path classes = JavaCode.compile(GAUGE);
        jar(temp.resolve("gauge.jar"), classes);
        CodeIndex folder = read(1, classes);
        assertEquals(2, folder.size());
        assertEquals(folder.sorted(), read(1, temp.resolve("gauge.jar")).sorted());
        assertEquals(folder.sorted(), read(1, temp.resolve("*.jar")).sorted());
        assertEquals(
                List.of("place", "depths"),
                folder.find("p.Sonar").orElseThrow().constructors().get(0).parameterNames());
        assertEquals(
                "java.util.List<java.lang.String>",
                folder.find("p.Sonar")
                        .orElseThrow()
                        .constructors()
                        .get(0)
                        .parameterTypes()
                        .get(1)
                        .text());
    }

    @Test
    void classes_under_meta_inf_are_no_part_of_the_code(@TempDir Path temp) throws IOException {
        Path classes = JavaCode.compileAnew(GAUGE);
        Path hidden = Files.createDirectories(classes.resolve("META-INF/lib/p"));
        Files.move(classes.resolve("p/Sonar.class"), hidden.resolve("Sonar.class"));
        jar(temp.resolve("gauge.jar"), classes);
        for (Path place : List.of(classes, temp.resolve("gauge.jar"))) {
            CodePlaces code = readAll(1, place);
            assertEquals(1, code.whole().size(), place.toString());
            assertEquals(List.of(), code.findings(), place.toString());
        }
    }

    @Test
    void parameter_names_come_from_the_compiler_s_list_or_from_debug_tables_or_are_numbered() {
        assertAll(
                Stream.of("-parameters", "-g:vars", "-g:none")
                        .map(
                                option ->
                                        () -> {
                                            Path code = JavaCode.compile(GAUGE, option);
                                            ExecutableFacts made =
                                                    read(1, code)
                                                            .find("p.Sonar")
                                                            .orElseThrow()
                                                            .constructors()
                                                            .get(0);
                                            assertEquals(
                                                    option.equals("-g:none") ? "arg0" : "place",
                                                    made.parameterName(0),
                                                    option);
                                        }));
    }

    @ParameterizedTest
    @CsvSource({
        "0, it is empty",
        "6, it ends after 6 bytes",
        "40, it is damaged",
        "-1, it does not start as a class file does",
        "-2, it was made for a newer Java"
    })
    void a_damaged_class_file_is_a_finding_and_the_others_are_read(int damage, String reason)
            throws IOException {
        Path classes = JavaCode.compileAnew(GAUGE);
        Path file = classes.resolve("p/Sonar.class");
        byte[] bytes = Files.readAllBytes(file);
        if (damage == -1) {
            bytes[0] = 0;
        } else if (damage == -2) {
            bytes[7] = (byte) 200;
        } else {
            bytes = Arrays.copyOf(bytes, damage);
        }
        Files.write(file, bytes);
        CodePlaces code = readAll(2, classes);
        assertEquals(1, code.whole().classes().size());
        Finding finding = code.findings().get(0);
        assertEquals("unreadable-class", finding.kind().id());
        assertTrue(finding.message().contains("p/Sonar.class"), finding.message());
        assertTrue(finding.message().contains(reason), finding.message());
    }

    @Test
    void a_thousand_randomly_damaged_class_files_never_stop_the_reading() throws IOException {
        Path classes = JavaCode.compileAnew(GAUGE);
        byte[] sound = Files.readAllBytes(classes.resolve("p/Sonar.class"));
        Path many = JavaCode.newFolder();
        long seed = 20260101;
        Random random = new Random(seed);
        for (int i = 0; i < 1000; i++) {
            byte[] bytes = Arrays.copyOf(sound, 10 + random.nextInt(sound.length - 9));
            for (int flips = random.nextInt(8); flips > 0; flips--) {
                bytes[random.nextInt(bytes.length)] ^= (byte) (1 << random.nextInt(8));
            }
            Files.write(many.resolve("C" + i + ".class"), bytes);
        }
        // What is still sound holds a class of another name than its file.
        CodePlaces code = readAll(2, many);
        assertEquals(1000, code.findings().size(), "seed " + seed);
        code.findings().forEach(finding -> assertEquals("unreadable-class", finding.kind().id()));
    }

    @ParameterizedTest
    @CsvSource({
        // where in the entry of the directory, what stands there, what people are told
        "8,  1,   an entry is encrypted",
        "10, 99,  an entry is packed in a way that Java does not know",
        "28, 255, an entry is longer than the directory",
        "0,  0,   an entry does not begin where it should"
    })
    void people_are_told_why_a_jar_cannot_be_read(
            int at, int value, String reason, @TempDir Path temp) throws IOException {
        Path jar = temp.resolve("tide.jar");
        try (JarOutputStream out = new JarOutputStream(Files.newOutputStream(jar))) {
            out.putNextEntry(new JarEntry("p/Tide.class"));
        }
        byte[] bytes = Files.readAllBytes(jar);
        int directory = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("PK\1\2");
        bytes[directory + at] = (byte) value;
        Files.write(jar, bytes);
        assertEquals(
                List.of(
                        "The code at tide.jar is not read: it is no jar that can be read, for "
                                + reason
                                + "."),
                read(1, jar).findings().stream().map(Finding::message).toList());
    }

    @Test
    void a_place_that_is_missing_or_no_jar_is_a_finding(@TempDir Path temp) throws IOException {
        Path text = Files.writeString(temp.resolve("text.jar"), "this is no jar");
        List<String> messages =
                read(1, text, temp.resolve("nowhere"), temp.resolve("*.zip")).findings().stream()
                        .map(Finding::message)
                        .toList();
        assertEquals(
                List.of(
                        "No compiled code at *.zip.",
                        "No compiled code at nowhere.",
                        "The code at text.jar is not read: it is no jar that can be read, for it"
                                + " has no directory at its end."),
                messages);
    }

    @Test
    void one_thread_and_four_read_the_same_and_the_first_of_two_classes_wins(@TempDir Path temp)
            throws IOException {
        StringBuilder source = new StringBuilder();
        for (int i = 0; i < 900; i++) {
            source.append("package p").append(i % 7).append(";\npublic class C").append(i);
            source.append(" { public C").append(i).append("(String s").append(i).append(") {} }\n");
        }
        Path first = JavaCode.compile(source.toString());
        Path second =
                JavaCode.compile("package p0;\npublic class C0 { public C0(int other) {} }\n");
        List<ClassFacts> alone = read(1, first, second).sorted();
        assertEquals(900, alone.size());
        assertEquals(alone, read(4, first, second).sorted());
        assertEquals("s0", alone.get(0).constructors().get(0).parameterName(0));
        Path jar = jar(temp.resolve("all.jar"), first);
        assertEquals(alone, read(3, jar).sorted());
    }

    @Test
    void every_class_of_java_base_and_of_the_build_s_own_jars_is_read() throws IOException {
        List<Path> jars = RealClasses.ofTheBuild();
        assertTrue(jars.size() >= 3, jars.toString());
        CodePlaces all = readAll(2, jars.toArray(Path[]::new));
        assertEquals(List.of(), all.findings());
        CodeIndex code = all.whole();
        assertTrue(code.classes().size() > 2000, "read " + code.classes().size());
        JdkClasses jdk = new JdkClasses(FactsRequest.NOTHING);
        List<String> unread = new ArrayList<>();
        List<String> names = RealClasses.ofJavaBase();
        for (String name : names) {
            if (jdk.find(name).isEmpty()) {
                unread.add(name);
            }
        }
        assertEquals(List.of(), unread);
        assertTrue(names.size() > 5000, "classes of java.base: " + names.size());
        assertEquals(Optional.empty(), jdk.find("java.lang.Strin"));
        assertFalse(code.inCode("java.lang.String"));
    }
}
