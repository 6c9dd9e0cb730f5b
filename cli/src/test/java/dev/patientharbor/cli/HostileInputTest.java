package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Input that was made to harm, or has the bad luck to look so, ends in time, in the memory of this
 * module's tests, with a clear word and the documented exit code.
 */
class HostileInputTest {

    private static final Duration LONGEST = Duration.ofSeconds(30);
    private static final String HEAD = "patient-harbor: 1\nentry: [p.*]\n";
    private static final String PORT = Path.of("../examples/port.harbor.yaml").toString();

    @TempDir static Path temp;

    private static void file(String name, String text) throws IOException {
        Path path = temp.resolve(name);
        Files.createDirectories(path.getParent());
        Files.writeString(path, text);
    }

    private static void profile(String name, String text) throws IOException {
        file(name + ".yaml", HEAD + text + "\nprofiles: { a: {} }\n");
    }

    private static String lines(int count, IntFunction<String> line) {
        return IntStream.rangeClosed(1, count).mapToObj(line).collect(Collectors.joining("\n"));
    }

    @BeforeAll
    static void make_the_files() throws IOException {
        file("lib/META-INF/services/p.X", lines(20_000, i -> "p.Y" + i));
        profile("services", "code: [lib]");
        file("comment.yaml", HEAD + '#' + "x".repeat(8_000_000) + "\nprofiles: {}\n");
        file("longline.yaml", HEAD + "title: " + "x".repeat(4_000_000) + "\nprofiles: {}\n");
        profile("dots", "code: [lib]\norder: " + "x.".repeat(1_000_000) + "y");
        file("huge.yaml", "x".repeat((8 << 20) + 1));
        profile("devices", "code: [/dev/zero, /dev/null]\ninclude: /dev/zero\nsettings: /dev/zero");
        file("a.properties", "A=" + "x".repeat(1_000_000));
        file(
                "long.yaml",
                "patient-harbor: 1\nsettings: a.properties\ncode: lib\nentry: c\n"
                        + "consumers: { c: { methods: [] } }\nprofiles: { a: { bindings: {\n"
                        + lines(1000, i -> "\"String@k" + i + "\": { value: \"${A}\" },")
                        + "}}}\n");
        profile("chain0", "code: [lib]");
        for (int i = 1; i <= 2000; i++) {
            file("chain" + i + ".yaml", "patient-harbor: 1\ninclude: chain" + (i - 1) + ".yaml\n");
        }
        file(
                "extends.yaml",
                HEAD
                        + "code: [lib]\nprofiles:\n  p0: {}\n"
                        + lines(2000, i -> "  p" + i + ": { extends: p" + (i - 1) + " }"));
        file(
                "diamond.yaml",
                HEAD
                        + "code: [lib]\nprofiles:\n  a0: {}\n  b0: {}\n"
                        + lines(
                                499,
                                i ->
                                        String.format(
                                                "  a%1$d: { extends: [a%2$d, b%2$d] }\n"
                                                        + "  b%1$d: { extends: [a%2$d, b%2$d] }",
                                                i, i - 1)));
        profile("globs", "code: [\"lib/[*\", \"{*\", 'a\\*b', \"*[\", \"no\\0name*\"]");
        file("escape.yaml", "patient-harbor: 1\ntitle: \"\\UFFFFFFFF\"\n");
        profile("brackets", "title: '" + "[".repeat(201) + "'\ncode: [lib]");
        profile("many", "order: [" + "a, ".repeat(1_000_000) + "a]");
        profile("nested", "title: " + "[".repeat(201) + "]".repeat(201));
        file("bom.properties", "\uFEFFtide.name=Ebb\n");
        file("real/own.yaml", HEAD + "code: ../lib\nprofiles: { a: {} }\n");
        Files.createSymbolicLink(temp.resolve("linked"), Path.of("lib"));
        Files.createSymbolicLink(temp.resolve("loop"), Path.of("loop"));
        Files.createSymbolicLink(temp.resolve("lib/round"), Path.of(".."));
        profile("links", "code: [lib, linked, loop]");
        file("twice.yaml", "patient-harbor: 1\nentry: [p.*]\ncode: lib\nprofiles: { a: {} }\n");
        Files.createSymbolicLink(temp.resolve("again.yaml"), Path.of("twice.yaml"));
        Files.createLink(temp.resolve("hard.yaml"), temp.resolve("twice.yaml"));
        file("names.yaml", "patient-harbor: 1\ninclude: [twice.yaml, again.yaml, hard.yaml]\n");
        file("decoy.txt", "token: decoy-secret-4711\n- what is this\n");
        file("outer/decoy.yaml", "- decoy-secret-4712\n");
        profile("run", "code: class-path");
        profile("foreign", "include: [decoy.txt, outer/decoy.yaml]\nsettings: decoy.txt");
        file(
                "in/inside.yaml",
                HEAD
                        + "include: ../twice.yaml\nsettings: ../bom.properties\n"
                        + "code: [../lib, linked]\nprofiles: { b: {} }\n");
        Files.createSymbolicLink(temp.resolve("in/linked"), temp.resolve("lib"));
        try (RandomAccessFile sparse =
                new RandomAccessFile(temp.resolve("sparse").toFile(), "rw")) {
            sparse.setLength(3L << 30);
        }
        Files.createDirectories(temp.resolve("classes/p"));
        Files.move(temp.resolve("sparse"), temp.resolve("classes/p/A.class"));
        profile("sparse", "code: [classes, classes/p/A.class]\ninclude: classes/p/A.class");
        Files.write(temp.resolve("bomb.jar"), jar(1, 300 << 20));
        Files.write(temp.resolve("bombs.jar"), jar(300, 4 << 20));
        Files.write(temp.resolve("overlap.jar"), overlapping(2000));
        Files.write(temp.resolve("directory.jar"), hugeDirectory());
        profile("jars", "code: [bomb.jar, bombs.jar, overlap.jar, directory.jar]");
    }

    private static byte[] jar(int entries, int size) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        byte[] zeros = new byte[1 << 20];
        try (ZipOutputStream jar = new ZipOutputStream(bytes)) {
            for (int i = 0; i < entries; i++) {
                jar.putNextEntry(new ZipEntry(String.format("p/B%04d.class", i)));
                for (int left = size; left > 0; left -= zeros.length) {
                    jar.write(zeros);
                }
                jar.closeEntry();
            }
        }
        return bytes.toByteArray();
    }

    /** One entry's bytes, under many names. */
    private static byte[] overlapping(int entries) throws IOException {
        String one = new String(jar(1, 4 << 20), StandardCharsets.ISO_8859_1);
        int directory = one.indexOf("PK\1\2");
        int end = one.indexOf("PK\5\6");
        StringBuilder all = new StringBuilder(one.substring(0, directory));
        for (int i = 0; i < entries; i++) {
            all.append(one.substring(directory, end).replace("B0000", String.format("B%04d", i)));
        }
        int at = all.length();
        byte[] bytes =
                all.append(one.substring(end)).toString().getBytes(StandardCharsets.ISO_8859_1);
        ByteBuffer.wrap(bytes)
                .order(ByteOrder.LITTLE_ENDIAN)
                .putShort(at + 8, (short) entries)
                .putShort(at + 10, (short) entries)
                .putInt(at + 12, at - directory)
                .putInt(at + 16, directory);
        return bytes;
    }

    private static byte[] hugeDirectory() throws IOException {
        byte[] jar = jar(1, 1 << 20);
        ByteBuffer.wrap(jar)
                .order(ByteOrder.LITTLE_ENDIAN)
                .putInt(jar.length - 22 + 12, 0x7fffffff);
        return jar;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    check @services.yaml                     | 1 | No consumer answers to the pattern p.*
                    check @comment.yaml                      | 1 | There is no profile to check.
                    check @longline.yaml                     | 1 | Here stands a text of 4000000 characters.
                    check @dots.yaml                         | 1 | Here stands a text of 2000001 characters.
                    check @huge.yaml                         | 2 | larger than 8 MiB, the most for a profile file
                    check /dev/zero                          | 2 | it is no regular file
                    check @devices.yaml                      | 1 | The code at /dev/zero is not read: it is no regular file.
                    check @devices.yaml                      | 1 | The included file /dev/zero is not read: it is no regular
                    check @devices.yaml                      | 1 | The file of settings /dev/zero is not read: it is no regular
                    check @long.yaml                         | 1 | a text of at most 65536 characters
                    check @chain2000.yaml                    | 1 | No consumer answers to the pattern p.*
                    check @extends.yaml                      | 1 | 2001 of 2001 profiles are not complete
                    check @diamond.yaml                      | 1 | 1000 of 1000 profiles are not complete
                    check @globs.yaml                        | 1 | No compiled code at lib/[*.
                    check @globs.yaml                        | 1 | there can be no file of that name
                    check @escape.yaml                       | 1 | The file is no YAML
                    check @brackets.yaml                     | 1 | No consumer answers to the pattern p.*
                    check @many.yaml                         | 1 | The file has more than 200000 keys and values.
                    check @nested.yaml                       | 1 | The file is nested too deeply.
                    check @links.yaml                        | 1 | The code at loop is not read
                    check @names.yaml                        | 1 | 1 profile
                    check @sparse.yaml                       | 1 | larger than 4 MiB, the most for a class file
                    check @sparse.yaml                       | 1 | it is no jar that can be read
                    check @sparse.yaml                       | 1 | larger than 8 MiB, the most for a profile file
                    check @jars.yaml                         | 1 | The code at bombs.jar is not read: its class files are larger than 1 GiB
                    check @jars.yaml                         | 1 | The code at overlap.jar is not read: its entries overlap.
                    check @jars.yaml                         | 1 | directory.jar is not read: its directory is larger than 64
                    check @jars.yaml                         | 1 | bomb.jar!/p/B0000.class
                    check @foreign.yaml                      | 1 | The included file decoy.txt is not read: it is no profile file
                    check @in/inside.yaml                    | 1 | not complete
                    check @in/inside.yaml --inside-folder    | 1 | The included file ../twice.yaml is not read: it lies outside
                    check @in/inside.yaml --inside-folder    | 1 | The code at ../lib is not read: it lies outside the profile's folder
                    check @in/inside.yaml --inside-folder    | 1 | The code at linked is not read: it lies outside
                    check @in/inside.yaml --inside-folder    | 1 | ../bom.properties is not read: it lies outside
                    check PORT --code @linked                | 1 | No class
                    check PORT --profile ,                   | 2 | --profile takes names of profiles with commas between
                    check PORT --code ,                      | 2 | --code takes folders and jars with commas between
                    check @twice.yaml --out @twice.yaml      | 2 | which is read here; write to another file
                    check @twice.yaml --out @hard.yaml       | 2 | which is read here
                    check @twice.yaml --out @again.yaml      | 2 | which is read here
                    check @names.yaml --out @twice.yaml      | 2 | which is read here
                    check @foreign.yaml --out @decoy.txt     | 2 | which is read here
                    check @jars.yaml --out @overlap.jar      | 2 | which is read here
                    check @sparse.yaml --out @classes/p/A.class | 2 | which is read here
                    check @services.yaml --out @lib/META-INF/services/p.X | 2 | which is read here
                    check @services.yaml --out @classes/p/A.class | 2 | which is read here
                    check @run.yaml                          | 2 | name it here by --code, folders and jars
                    check @run.yaml --code @lib:@real        | 1 | No consumer answers to the pattern p.*
                    check @twice.yaml --out @lib             | 2 | which is read here
                    """)
    void ends_in_time_with_a_clear_word(String line, int code, String text) {
        Ran ran = ran(line);
        String told = (ran.out() + ran.err()).replaceAll("\\s+", " ");
        assertTrue(told.contains(text), told.substring(0, Math.min(2000, told.length())));
        assertEquals(code, ran.code(), told.substring(0, Math.min(2000, told.length())));
        assertFalse(told.contains("decoy-secret"), told);
    }

    private static Ran ran(String line) {
        String[] args =
                Arrays.stream(line.split(" "))
                        .map(
                                argument ->
                                        argument.replaceAll("(^|:)@", "$1" + temp + "/")
                                                .replace("PORT", PORT))
                        .toArray(String[]::new);
        return assertTimeoutPreemptively(LONGEST, () -> Ran.tool(args), line);
    }

    @Test
    void a_failure_to_write_leaves_the_file_that_was_there_and_nothing_beside_it()
            throws IOException {
        // Beside a name of that length no other one can stand.
        Path out = Files.createDirectories(temp.resolve("out")).resolve("x".repeat(250));
        Files.writeString(out, "old");
        assertEquals(2, Ran.tool("check", PORT, "--out", out.toString()).code());
        assertEquals("old", Files.readString(out));
        Path told = Files.move(out, out.resolveSibling("told.txt"));
        assertEquals(0, Ran.tool("check", PORT, "--out", told.toString()).code());
        assertTrue(Files.readString(told).contains("All 4 profiles are complete"));
        try (Stream<Path> files = Files.list(out.getParent())) {
            assertEquals(1, files.count());
        }
    }

    @Test
    void a_mark_of_byte_order_before_settings_is_no_part_of_the_first_name() throws IOException {
        file(
                "bom.yaml",
                "patient-harbor: 1\n"
                        + "settings: bom.properties\n"
                        + "code: lib\n"
                        + "entry: c\n"
                        + "consumers: { c: { methods: [\"java.lang.Appendable#append\"] } }\n"
                        + "profiles: { a: { bindings: { \"String\": { value: \"${tide.name}\" } } }"
                        + " }\n");
        Ran ran = ran("check @bom.yaml");
        assertFalse(ran.out().contains("tide.name"), ran.out());
    }
}
