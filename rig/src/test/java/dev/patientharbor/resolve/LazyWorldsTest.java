package dev.patientharbor.resolve;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.code.CodeRoot;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.terms.WrittenName;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Random worlds as class files, some of them damaged: what is read changes no answer. */
class LazyWorldsTest {

    private static final int WORLDS = 250;

    @TempDir private Path temp;

    @Test
    void reading_what_answers_depend_on_gives_the_answers_of_reading_all() throws IOException {
        long first = Long.getLong("patientharbor.seed", 1);
        int read = 0;
        int there = 0;
        int damaged = 0;
        for (long seed = first; seed < first + WORLDS; seed++) {
            World world = new World(seed, seed % 2 == 0);
            Path folder = Files.createDirectories(temp.resolve("world" + seed).resolve("p"));
            Random random = new Random(seed);
            WorldClasses classes = new WorldClasses(world);
            for (String name : world.code().names()) {
                byte[] bytes = classes.bytes(name);
                if (random.nextInt(40) == 0) {
                    bytes[random.nextInt(4)]++;
                    damaged++;
                }
                Files.write(folder.resolve(name.substring(2) + ".class"), bytes);
            }
            ProfileSet set = set(world, folder.getParent());
            Verdict lazy = set.check();
            Verdict all = set.readingAllCode().check();
            String again = "again with -Dpatientharbor.seed=" + seed;
            assertEquals(text(all), text(lazy), again);
            assertTrue(unreadable(all).containsAll(unreadable(lazy)), again);
            assertEquals(all.classesThere(), all.classesRead(), again);
            read += lazy.classesRead();
            there += lazy.classesThere();
        }
        assertTrue(damaged > 50 && read < there, read + " of " + there + ", " + damaged);
    }

    private static ProfileSet set(World world, Path folder) {
        WrittenName written = new WrittenName("classes", world.set().at());
        return ProfileSet.of(
                        world.set(),
                        List.of(new CodeRoot(written, folder)),
                        Map.of(),
                        List.of(),
                        List.of())
                .withCode(folder);
    }

    /** All that a verdict says, but for what was read. */
    private static String text(Verdict verdict) {
        StringBuilder text = new StringBuilder(verdict.title());
        others(verdict.findings()).forEach(finding -> text.append('\n').append(finding));
        for (ProfileVerdict profile : verdict.profiles()) {
            text.append('\n').append(profile.name()).append(profile.complete());
            others(profile.findings()).forEach(finding -> text.append('\n').append(finding));
            if (!profile.isPartial()) {
                text.append('\n').append(verdict.roster(profile.name()));
                text.append(verdict.roster(profile.name()).fingerprint());
            }
        }
        return text.toString();
    }

    private static Stream<Finding> others(List<Finding> findings) {
        return findings.stream().filter(finding -> finding.kind() != FindingKinds.UNREADABLE_CLASS);
    }

    private static List<Finding> unreadable(Verdict verdict) {
        return verdict.findings().stream()
                .filter(finding -> finding.kind() == FindingKinds.UNREADABLE_CLASS)
                .toList();
    }
}
