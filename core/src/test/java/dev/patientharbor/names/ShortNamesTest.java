package dev.patientharbor.names;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.code.CodeReader;
import dev.patientharbor.code.CodeRoot;
import dev.patientharbor.code.FactsRequest;
import dev.patientharbor.code.MadeUpCode;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.terms.WrittenName;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Opcodes;

/** A class is called by its simple name unless another class of the code has it too. */
class ShortNamesTest {

    private static final List<String> SIMPLE =
            List.of(
                    "Gauge",
                    "Rota",
                    "Meter",
                    "Outer$Builder",
                    "Builder",
                    "Outer$1",
                    "A$B$C",
                    "Ünder",
                    "X");

    @Test
    void names_are_short_exactly_where_they_are_clear_in_whatever_order_one_asks() {
        Random random = new Random(7);
        for (int round = 0; round < 60; round++) {
            Set<String> there = names(random);
            List<ClassFacts> classes = there.stream().map(MadeUpCode::contract).toList();
            areShortWhereClear(there, MadeUpCode.places(classes), random);
        }
    }

    @Test
    void so_they_are_in_jars_wherever_in_these_packages_start(@TempDir Path folder)
            throws IOException {
        Random random = new Random(8);
        for (int round = 0; round < 60; round++) {
            Set<String> there = names(random);
            List<CodeRoot> jars = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                Path jar = folder.resolve(round + "-" + i + ".jar");
                // Some stand in several jars, and each in one of them.
                int number = i;
                pack(
                        there.stream()
                                .filter(
                                        name ->
                                                Math.floorMod(name.hashCode(), 3) == number
                                                        || random.nextInt(5) == 0)
                                .toList(),
                        random.nextInt(3) == 0 ? "BOOT-INF/classes/" : "",
                        jar);
                jars.add(
                        new CodeRoot(
                                new WrittenName(
                                        jar.toString(), SourcePosition.classNamed("p.Test")),
                                jar));
            }
            CodePlaces code = CodeReader.open(jars, FactsRequest.NOTHING);
            Set<String> seen = new TreeSet<>(code.whole().names());
            areShortWhereClear(seen, code, random);
        }
    }

    /** Writes a jar; a few of its classes are there for newer Javas only. */
    private static void pack(List<String> names, String start, Path jar) throws IOException {
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(jar))) {
            out.putNextEntry(new ZipEntry("META-INF/MANIFEST.MF"));
            out.write("Manifest-Version: 1.0\nMulti-Release: true\n".getBytes());
            for (String name : names) {
                String path = name.replace('.', '/');
                boolean isNewer = start.isEmpty() && name.hashCode() % 7 == 0;
                out.putNextEntry(
                        new ZipEntry(
                                (isNewer ? "META-INF/versions/11/" : start) + path + ".class"));
                ClassWriter code = new ClassWriter(0);
                code.visit(Opcodes.V17, Opcodes.ACC_PUBLIC, path, null, "java/lang/Object", null);
                out.write(code.toByteArray());
            }
        }
    }

    private static Set<String> names(Random random) {
        Set<String> there = new TreeSet<>();
        int size = random.nextInt(300);
        for (int i = 0; i < size; i++) {
            String simple = SIMPLE.get(random.nextInt(SIMPLE.size()));
            boolean isOften = random.nextInt(4) == 0;
            int group = random.nextInt(9);
            there.add((group == 0 ? "" : "p" + group + ".") + simple + (isOften ? "" : "" + i));
        }
        return there;
    }

    private static void areShortWhereClear(Set<String> there, CodePlaces code, Random random) {
        ClassNames names =
                new ClassNames(code.whole(), ProfileSet.define("names", set -> {}).declared());
        List<String> asked = new ArrayList<>(there);
        SIMPLE.forEach(simple -> asked.add("elsewhere." + simple));
        asked.add("elsewhere.Nobody");
        Collections.shuffle(asked, random);
        for (String name : asked) {
            String simple = simple(name);
            boolean shared =
                    there.stream()
                            .anyMatch(other -> !other.equals(name) && simple(other).equals(simple));
            assertEquals(shared ? name : simple, names.shortName(name), there.toString());
        }
    }

    private static String simple(String binaryName) {
        return binaryName.substring(binaryName.lastIndexOf('.') + 1).replaceAll("\\$(?!\\d)", ".");
    }
}
