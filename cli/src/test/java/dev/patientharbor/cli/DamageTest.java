package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Files that were damaged at random end in a verdict whose findings have a place, never in an
 * exception: {@code mvn verify -Pfuzz} tries tens of thousands of them.
 */
class DamageTest {

    private static final int CASES = Integer.getInteger("patientharbor.damage", 150);
    private static final Duration LONGEST = Duration.ofSeconds(30);
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Map<String, byte[]> CLASSES = new TreeMap<>();

    @TempDir Path temp;

    @BeforeAll
    static void read_the_classes() throws IOException {
        Path root = Path.of("../examples/target/classes");
        try (Stream<Path> files = Files.walk(root)) {
            for (Path file : files.filter(path -> path.toString().endsWith(".class")).toList()) {
                CLASSES.put(root.relativize(file).toString(), Files.readAllBytes(file));
            }
        }
    }

    /** What came back, its findings by id. */
    private static Set<String> told(Ran ran, String what) {
        assertTrue(ran.code() < 2, what + "\n" + ran.err());
        assertFalse(ran.err().contains("fault of ours"), what + "\n" + ran.err());
        assertFalse(ran.out().contains("\tat "), what);
        Set<String> ids = new TreeSet<>();
        try {
            JsonNode roster = JSON.readTree(ran.out());
            List<JsonNode> findings = new ArrayList<>();
            roster.get("findings").forEach(findings::add);
            roster.get("profiles").forEach(node -> node.get("findings").forEach(findings::add));
            for (JsonNode one : findings) {
                String at = one.get("at").asText();
                assertTrue(at.matches("(?s).+:\\d+:\\d+|[\\w.$]+(, .+)?"), what + ": at " + at);
                ids.add(one.get("id").asText());
            }
        } catch (IOException fault) {
            throw new UncheckedIOException(what, fault);
        }
        return ids;
    }

    private static Set<String> roster(Path file, Path code, String what) {
        return assertTimeoutPreemptively(
                LONGEST,
                () -> {
                    String command = "roster " + file + " --format json --code " + code;
                    Ran ran = Ran.line(command);
                    Ran all = Ran.line(command + " --all-code");
                    Set<String> ids = told(ran, what);
                    assertTrue(told(all, what).containsAll(ids), what);
                    assertEquals(readable(all.out()), readable(ran.out()), "reading all: " + what);
                    return ids;
                },
                what);
    }

    /** A roster without the findings that depend on what was read. */
    private static JsonNode readable(String roster) throws IOException {
        JsonNode all = JSON.readTree(roster);
        for (Iterator<JsonNode> each = all.get("findings").iterator(); each.hasNext(); ) {
            if (each.next().get("id").asText().equals("unreadable-class")) {
                each.remove();
            }
        }
        return all;
    }

    @Test
    void of_a_profile_file_is_told_where_it_is() throws IOException {
        for (String other : List.of("quay.harbor.yaml", "wreck.harbor.yaml", "port.properties")) {
            Files.copy(Path.of("../examples", other), temp.resolve(other));
        }
        List<byte[]> sound =
                List.of(
                        Files.readAllBytes(Path.of("../examples/port.harbor.yaml")),
                        Files.readAllBytes(Path.of("../examples/broken.harbor.yaml")));
        Path file = temp.resolve("damaged.harbor.yaml");
        Set<String> ids = new TreeSet<>();
        for (int seed = 0; seed < CASES; seed++) {
            Random random = new Random(seed);
            Files.write(file, damagedText(sound.get(seed % 2), random));
            ids.addAll(roster(file, Path.of("../examples/target/classes"), "text, seed " + seed));
        }
        assertTrue(ids.contains("malformed-file"), ids.toString());
    }

    private static byte[] damagedText(byte[] sound, Random random) {
        String text = new String(sound, StandardCharsets.UTF_8);
        int at = random.nextInt(text.length());
        int line = text.lastIndexOf('\n', at) + 1;
        return switch (random.nextInt(9)) {
            case 0 -> Arrays.copyOf(sound, random.nextInt(sound.length));
            case 1 -> flipped(sound, random);
            case 2 ->
                    (text.substring(0, line) + " ".repeat(random.nextInt(9)) + text.substring(line))
                            .getBytes(StandardCharsets.UTF_8);
            case 3 -> text.getBytes(StandardCharsets.UTF_16);
            case 4 -> text.replace("Port", "Pört").getBytes(StandardCharsets.ISO_8859_1);
            case 5 ->
                    (text.substring(0, line) + "\t" + text.substring(line))
                            .getBytes(StandardCharsets.UTF_8);
            case 6 ->
                    (text + text.substring(line) + "\nprofiles: {}\n")
                            .getBytes(StandardCharsets.UTF_8);
            case 7 ->
                    (text + "x: " + "[".repeat(1 + random.nextInt(20_000)))
                            .getBytes(StandardCharsets.UTF_8);
            default -> bomb(random).getBytes(StandardCharsets.UTF_8);
        };
    }

    private static byte[] flipped(byte[] sound, Random random) {
        byte[] damaged = sound.clone();
        for (int i = 0; i <= random.nextInt(8); i++) {
            damaged[random.nextInt(damaged.length)] = (byte) random.nextInt(256);
        }
        return damaged;
    }

    /** Aliases of aliases: short as text, without end when written out. */
    private static String bomb(Random random) {
        StringBuilder text =
                new StringBuilder("patient-harbor: 1\nprofiles:\n  p:\n    bindings:\n");
        text.append("      A0: { with: { x: &a0 [1, 2] } }\n");
        for (int i = 1; i < 2 + random.nextInt(60); i++) {
            text.append(
                    String.format(
                            "      A%d: { with: { x: &a%d [*a%d, *a%d] } }%n", i, i, i - 1, i - 1));
        }
        return text.toString();
    }

    @Test
    void of_class_files_and_jars_is_told_where_it_is() throws IOException {
        Path file = temp.resolve("port.harbor.yaml");
        for (String name : List.of("port.harbor.yaml", "quay.harbor.yaml", "port.properties")) {
            Files.copy(Path.of("../examples", name), temp.resolve(name));
        }
        Set<String> ids = new TreeSet<>();
        for (int seed = 0; seed < CASES; seed++) {
            Random random = new Random(seed);
            Path code = temp.resolve("code" + seed + ".jar");
            Files.write(code, jar(damagedClasses(random), random));
            ids.addAll(roster(file, code, "classes, seed " + seed));
            Files.delete(code);
        }
        assertTrue(
                ids.containsAll(Set.of("unreadable-class", "unknown-class", "code-missing")),
                ids.toString());
    }

    private static Map<String, byte[]> damagedClasses(Random random) {
        Map<String, byte[]> classes = new TreeMap<>(CLASSES);
        List<String> names = List.copyOf(CLASSES.keySet());
        for (int i = random.nextInt(6); i >= 0; i--) {
            String name = names.get(random.nextInt(names.size()));
            byte[] sound = CLASSES.get(name);
            byte[] damaged = sound.clone();
            switch (random.nextInt(6)) {
                case 0 -> damaged = Arrays.copyOf(sound, random.nextInt(sound.length));
                case 1 -> damaged = new byte[0];
                case 2 -> damaged[random.nextInt(4)]++;
                case 3 -> damaged[7] = (byte) (70 + random.nextInt(50));
                case 4 -> damaged = flipped(sound, random);
                default -> classes.remove(name);
            }
            classes.replace(name, damaged);
        }
        return classes;
    }

    /** A jar of the classes, now and then with one twice, cut off, or with bytes flipped. */
    private static byte[] jar(Map<String, byte[]> classes, Random random) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream jar = new ZipOutputStream(bytes)) {
            jar.setLevel(0);
            for (Map.Entry<String, byte[]> entry : classes.entrySet()) {
                jar.putNextEntry(new ZipEntry(entry.getKey()));
                jar.write(entry.getValue());
                jar.closeEntry();
            }
            jar.putNextEntry(new ZipEntry("gullwing/works/SonarTideGauge_class"));
            jar.write(CLASSES.get("gullwing/works/SonarTideGauge.class"));
            jar.closeEntry();
        }
        byte[] sound = bytes.toByteArray();
        return switch (random.nextInt(6)) {
            case 0 -> twice(sound);
            case 1 -> Arrays.copyOf(sound, random.nextInt(sound.length));
            case 2 -> flipped(sound, random);
            default -> sound;
        };
    }

    /** Gives one entry the name of another one: no tool writes such a jar, and it can be read. */
    private static byte[] twice(byte[] jar) {
        String text = new String(jar, StandardCharsets.ISO_8859_1);
        return text.replace("SonarTideGauge_class", "SonarTideGauge.class")
                .getBytes(StandardCharsets.ISO_8859_1);
    }
}
