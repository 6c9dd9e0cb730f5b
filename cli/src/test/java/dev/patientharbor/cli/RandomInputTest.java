package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.ObjectMapper;
import dev.patientharbor.texts.VisibleText;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.commons.ClassRemapper;
import org.objectweb.asm.commons.Remapper;

/**
 * Input at random, family by family: nothing that is read reaches the reader of a terminal but as
 * plain signs in lines of ours, and each run ends with a documented exit code. {@code mvn verify
 * -Pfuzz} tries thousands of each.
 */
class RandomInputTest {

    private static final int CASES = Integer.getInteger("patientharbor.random", 150);
    private static final Duration LONGEST = Duration.ofSeconds(30);
    private static final String FORGED = "FORGED";
    private static final Path CLASSES = Path.of("../examples/target/classes");

    private static final List<String> NASTY =
            List.of(
                    "\u001b[31m",
                    "\u001b]0;x\u0007",
                    "\u0000",
                    "\u0007",
                    "\b",
                    "\t",
                    "\r",
                    "\n",
                    "\r\n" + FORGED,
                    "\n" + FORGED + " 1",
                    "\u0085" + FORGED,
                    "\u2028" + FORGED,
                    "\u2029",
                    "\u007f",
                    "\u009b2J",
                    "\u202e",
                    "\u2066",
                    "\u200b",
                    "\ufeff",
                    "\u00ad",
                    "é",
                    "日本",
                    "𝄞",
                    "\ud83d\ude00",
                    "\udfff",
                    "\ud800",
                    "'",
                    "\"",
                    "\\",
                    "${",
                    "}",
                    ": ",
                    " #",
                    "- ",
                    "{",
                    "[",
                    "&a",
                    "*a",
                    "!!x",
                    "%",
                    "@",
                    "`",
                    "|",
                    ">",
                    "?",
                    "~");

    @TempDir Path temp;

    private static String nasty(Random random) {
        StringBuilder text = new StringBuilder("x");
        for (int i = random.nextInt(4); i >= 0; i--) {
            text.append(NASTY.get(random.nextInt(NASTY.size()))).append((char) ('a' + i));
        }
        return text.toString();
    }

    /** A text in quotes, as YAML 1.2 (5.7) escapes what cannot stand there. */
    private static String quoted(String text) {
        return text.codePoints()
                .mapToObj(
                        sign ->
                                sign == '"' || sign == '\\'
                                        ? "\\" + (char) sign
                                        : sign >= ' ' && sign < 127
                                                ? Character.toString(sign)
                                                : String.format("\\U%08x", sign))
                .collect(Collectors.joining("", "\"", "\""));
    }

    private static Ran ran(String what, String... args) {
        Ran ran = assertTimeoutPreemptively(LONGEST, () -> Ran.tool(args), what);
        String told = ran.out() + ran.err();
        told.codePoints()
                .filter(sign -> sign != '\n' && !VisibleText.isVisible(sign))
                .findFirst()
                .ifPresent(
                        sign -> {
                            throw new AssertionError(
                                    what + ": U+" + Integer.toHexString(sign) + " is raw\n" + told);
                        });
        assertTrue(told.lines().noneMatch(line -> line.strip().startsWith(FORGED)), what);
        assertTrue(
                ran.code() >= 0 && ran.code() < 3 && !ran.err().contains("fault of ours"),
                what + "\n" + told);
        assertTrue(!told.contains("\tat ") && !told.contains("Exception in"), what + told);
        return ran;
    }

    @Test
    void text_from_files_is_shown_by_plain_signs_in_every_format() throws IOException {
        List<String> formats = List.of("text", "tree", "coverage", "json", "check");
        for (int seed = 0; seed < CASES; seed++) {
            Random random = new Random(seed);
            Path file = temp.resolve("text.harbor.yaml");
            Files.writeString(file, injected(random));
            String format = formats.get(seed % formats.size());
            String what = "seed " + seed + ", " + format;
            Ran ran =
                    format.equals("check")
                            ? ran(what, "check", file.toString())
                            : ran(what, "roster", file.toString(), "--format", format);
            if (format.equals("json")) {
                new ObjectMapper().readTree(ran.out());
            }
        }
    }

    private static String injected(Random random) {
        List<String> names =
                IntStream.range(0, 12)
                        .mapToObj(
                                i ->
                                        random.nextInt(4) == 0
                                                ? quoted(nasty(random))
                                                : List.of(
                                                                "TideGauge",
                                                                "ChartGauge",
                                                                "t",
                                                                "u",
                                                                "PilotRota",
                                                                "gauge",
                                                                "port",
                                                                "1",
                                                                "BerthLedger",
                                                                "spy",
                                                                "mock",
                                                                "x")
                                                        .get(i))
                        .toList();
        return String.format(
                """
                patient-harbor: 1
                title: %1$s
                code: [%13$s]
                packages: [gullwing.works, gullwing.port]
                entry: [gullwing.port.*, gullwing.quay.*, %6$s]
                suppress: [{ id: unmet-need, of: %5$s, because: %1$s }]
                profiles:
                  %3$s:
                    owner: %7$s
                    bindings: { %1$s: %2$s, %5$s: { value: %8$s }, %9$s: { class: %2$s, with: { %6$s: %8$s } } }
                    decorators: { %1$s: [%10$s, %2$s] }
                    within: { %12$s: { bindings: { %1$s: %11$s } } }
                  %4$s: { extends: [%3$s, %12$s], rules: { stand-ins: %7$s } }
                """,
                names.get(0),
                names.get(1),
                names.get(2),
                names.get(3),
                names.get(4),
                names.get(5),
                names.get(6),
                names.get(7),
                names.get(8),
                names.get(9),
                names.get(10),
                names.get(11),
                quoted(CLASSES.toAbsolutePath().toString()));
    }

    @Test
    void names_from_class_files_are_shown_by_plain_signs() throws IOException {
        List<byte[]> sound = new ArrayList<>();
        try (var files = Files.walk(CLASSES.resolve("gullwing/port"))) {
            for (Path file : files.filter(path -> path.toString().endsWith(".class")).toList()) {
                sound.add(Files.readAllBytes(file));
            }
        }
        for (int seed = 0; seed < CASES / 5; seed++) {
            Random random = new Random(seed);
            Path code = Files.createDirectories(temp.resolve("named" + seed));
            Remapper remapper =
                    new Remapper(org.objectweb.asm.Opcodes.ASM9) {
                        private final String tail =
                                nasty(random).replaceAll("[.;\\[/<>:\\ud800-\\udfff]", "");

                        @Override
                        public String map(String name) {
                            return name.startsWith("gullwing/") && name.length() % 3 == 0
                                    ? name + tail
                                    : name;
                        }

                        @Override
                        public String mapFieldName(String owner, String name, String descriptor) {
                            return name + tail;
                        }
                    };
            for (int i = 0; i < sound.size(); i++) {
                ClassWriter writer = new ClassWriter(0);
                new ClassReader(sound.get(i)).accept(new ClassRemapper(writer, remapper), 0);
                Files.write(code.resolve("C" + i + ".class"), writer.toByteArray());
            }
            Path file = temp.resolve("named.harbor.yaml");
            Files.writeString(
                    file,
                    "patient-harbor: 1\nentry: [gullwing.port.*]\nprofiles: { a: {}, b: {} }\n");
            for (String format : List.of("text", "tree", "coverage", "json")) {
                ran(
                        "names, seed " + seed,
                        "roster",
                        file + "",
                        "--format",
                        format,
                        "--code",
                        code + "");
            }
            ran("names, seed " + seed, "check", file.toString(), "--code", code.toString());
        }
    }

    @Test
    void trees_of_the_wrong_shape_end_in_findings() throws IOException {
        List<String> keys = new ArrayList<>(words());
        for (int seed = 0; seed < CASES; seed++) {
            Random random = new Random(seed);
            Path file = temp.resolve("shape.harbor.yaml");
            Files.writeString(file, "patient-harbor: 1\n" + fields(keys, random, 0, "\n"));
            ran("shape, seed " + seed, "check", file.toString(), "--code", CLASSES.toString());
        }
    }

    /** The words of the notation, and names of the port. */
    private static TreeSet<String> words() throws IOException {
        TreeSet<String> words = new TreeSet<>();
        for (String name : List.of("port", "quay", "broken", "sides")) {
            String text = Files.readString(Path.of("../examples", name + ".harbor.yaml"));
            for (String word : text.split("[\\s\\[\\]{}:,\"']+")) {
                if (word.matches("[\\w.@-]{2,}")) {
                    words.add(word);
                }
            }
        }
        words.addAll(List.of("*", "${A}", "unasked p.**", "!p", "A#b", "A<B>", "A[]", "1", "true"));
        words.remove("patient-harbor");
        return words;
    }

    private static String fields(List<String> words, Random random, int depth, String between) {
        List<String> all = new ArrayList<>();
        TreeSet<String> used = new TreeSet<>();
        for (int i = random.nextInt(6); i >= 0; i--) {
            String key = words.get(random.nextInt(words.size()));
            if (used.add(key)) {
                all.add(quoted(key) + ": " + value(words, random, depth + 1));
            }
        }
        return String.join(between, all) + (depth == 0 ? "\n" : "");
    }

    private static String value(List<String> words, Random random, int depth) {
        int shape = random.nextInt(depth > 5 ? 2 : 6);
        return switch (shape) {
            case 0 -> quoted(words.get(random.nextInt(words.size())));
            case 1 ->
                    random.nextInt(4) == 0 ? quoted(nasty(random)) : words.get(0).replace("*", "x");
            case 2, 3 ->
                    IntStream.range(0, random.nextInt(4))
                            .mapToObj(i -> value(words, random, depth + 1))
                            .collect(Collectors.joining(", ", "[", "]"));
            default -> "{ " + fields(words, random, depth, ", ") + " }";
        };
    }

    @Test
    void paths_and_command_lines_end_with_a_word_of_ours() throws IOException {
        List<String> words =
                List.of(
                        "check",
                        "roster",
                        "demo",
                        "--profile",
                        "--code",
                        "--format",
                        "--out",
                        "--fail-on",
                        "--today",
                        "--build",
                        "--time-limit",
                        "--inside-folder",
                        "--help",
                        "--version",
                        "json",
                        "text",
                        "tree",
                        "live",
                        "error",
                        "2026-01-01",
                        "0",
                        "-",
                        "--",
                        "-h",
                        "=",
                        "../examples/port.harbor.yaml",
                        "../examples",
                        "/dev/null",
                        "",
                        " ",
                        "@x",
                        "*");
        Path file = temp.resolve("paths.harbor.yaml");
        TreeSet<Integer> codes = new TreeSet<>();
        for (int seed = 0; seed < CASES; seed++) {
            Random random = new Random(seed);
            List<String> args = new ArrayList<>();
            for (int i = random.nextInt(6); i >= 0; i--) {
                args.add(
                        random.nextInt(4) == 0
                                ? nasty(random)
                                : words.get(random.nextInt(words.size())));
            }
            if (args.contains("--out")) {
                args.set(args.indexOf("--out"), "--out=" + temp.resolve("out" + seed));
            }
            args.removeAll(List.of("--build", "--debug"));
            args.remove("-");
            codes.add(ran("line " + args, args.toArray(String[]::new)).code());
            String path = quoted(nasty(random) + (random.nextBoolean() ? "*" : "/../y"));
            Files.writeString(
                    file,
                    "patient-harbor: 1\ninclude: "
                            + path
                            + "\nsettings: "
                            + path
                            + "\ncode: "
                            + path
                            + "\nentry: [p.A]\nprofiles: { a: { code: "
                            + path
                            + " } }\n",
                    StandardCharsets.UTF_8);
            codes.add(ran("path " + path, "check", file.toString()).code());
        }
        assertEquals(new TreeSet<>(List.of(0, 1, 2)), codes);
    }
}
