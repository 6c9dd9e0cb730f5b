package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Whatever a slip of the hand makes of a profile file: a verdict, and never a fault of ours. More
 * of them with {@code -Dpatientharbor.edits=20000}.
 */
class RandomEditsTest {

    private static final String SIGNS = "@#{}[]:,*&!|>'\"%`?-$<";

    @Test
    void of_the_port_s_files_always_end_in_a_verdict(@TempDir Path temp) throws IOException {
        int edits = Integer.getInteger("patientharbor.edits", 250);
        List<String> files =
                List.of(
                        Files.readString(Path.of("../examples/port.harbor.yaml")),
                        Files.readString(Path.of("../examples/broken.harbor.yaml")),
                        Files.readString(Path.of("../examples/sides.harbor.yaml")));
        for (String other : List.of("quay.harbor.yaml", "wreck.harbor.yaml", "port.properties")) {
            Files.copy(Path.of("../examples", other), temp.resolve(other));
        }
        Path file = temp.resolve("edited.harbor.yaml");
        Map<Integer, Integer> codes = new TreeMap<>();
        for (int seed = 0; seed < edits; seed++) {
            Random random = new Random(seed);
            String text = edited(files.get(seed % 3), random);
            Files.writeString(file, text);
            for (String command :
                    List.of("check", "roster --format json", "roster --format tree", "roster")) {
                Ran ran = Ran.line(command + " " + file + " --code ../examples/target/classes");
                assertTrue(ran.code() < 2, "seed " + seed + "\n" + ran.err() + "\n" + text);
                assertFalse(ran.out().isBlank(), "seed " + seed + "\n" + text);
                codes.merge(ran.code(), 1, Integer::sum);
                if (seed % 2 == 0) {
                    // What is read beyond what an answer depends on changes no answer.
                    Ran all =
                            Ran.line(
                                    command
                                            + " "
                                            + file
                                            + " --code ../examples/target/classes --all-code");
                    assertEquals(withoutCount(all.out()), withoutCount(ran.out()), "seed " + seed);
                    assertEquals(all.code(), ran.code(), "seed " + seed);
                }
            }
        }
        assertEquals(List.of(0, 1), List.copyOf(codes.keySet()), codes.toString());
    }

    private static String withoutCount(String text) {
        return text.replaceFirst("\\d+ of (\\d+)\\s+classes\\s+read", "$1 classes");
    }

    private static String edited(String text, Random random) {
        List<String> lines = new ArrayList<>(text.lines().toList());
        for (int edits = 1 + random.nextInt(5); edits > 0; edits--) {
            int at = random.nextInt(lines.size());
            String line = lines.get(at);
            int other = random.nextInt(lines.size());
            int column = line.isEmpty() ? 0 : random.nextInt(line.length());
            switch (random.nextInt(6)) {
                case 0 -> lines.set(at, "");
                case 1 -> lines.add(at, lines.get(other));
                case 2 -> lines.set(at, line.substring(0, column));
                case 3 -> {
                    char sign = SIGNS.charAt(random.nextInt(SIGNS.length()));
                    lines.set(at, line.substring(0, column) + sign + line.substring(column));
                }
                case 4 -> {
                    lines.set(at, lines.get(other));
                    lines.set(other, line);
                }
                default -> lines.set(at, swapped(line, lines.get(other), random));
            }
        }
        return String.join("\n", lines) + "\n";
    }

    /** A word of one line in place of a word of another. */
    private static String swapped(String line, String other, Random random) {
        String[] words = line.split(" ");
        String[] others = other.split(" ");
        if (words.length == 0 || others.length == 0) {
            return other;
        }
        words[random.nextInt(words.length)] = others[random.nextInt(others.length)];
        return String.join(" ", words);
    }
}
