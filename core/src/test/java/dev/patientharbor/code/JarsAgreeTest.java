package dev.patientharbor.code;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is read from a jar is what the zip library of the JDK reads from it. */
class JarsAgreeTest {

    private static final int CASES = Integer.getInteger("patientharbor.jars", 4000);

    private static final List<String> FOLDERS =
            List.of("", "p/", "p/q/", "Port/", "M/", "META-INF/", "ünder/", "module/");
    private static final List<String> NAMES =
            List.of("A.class", "Ö.class", "module-info.class", "B$1.class", "text", "M.class", "");

    @TempDir Path temp;

    @Test
    void of_sound_and_damaged_jars_the_same_files_are_read_or_none() throws IOException {
        Path file = temp.resolve("some.jar");
        int refused = 0;
        for (int seed = 0; seed < CASES; seed++) {
            Random random = new Random(seed);
            byte[] jar = madeUp(random);
            Files.write(file, random.nextInt(4) == 0 ? jar : damaged(jar, random));
            Optional<Map<String, Optional<byte[]>>> expected = byTheJdk(file);
            try {
                WantedEntries.of(OpenJar.of(file, "some.jar", new ReadCount()));
                assertTrue(expected.isPresent(), "seed " + seed);
                assertSame(expected.get(), file, "seed " + seed);
            } catch (IOException fault) {
                assertTrue(expected.isEmpty() || isOurs(fault), "seed " + seed + ": " + fault);
                refused++;
            }
        }
        assertTrue(refused > CASES / 10 && refused < CASES / 2, refused + " refused");
    }

    /** Whether the JDK, or an older one, may read what we do not. */
    private static boolean isOurs(IOException fault) {
        return Stream.of("overlap", "larger than 1 GiB", "too short for its entries", "is missing")
                .anyMatch(fault.getMessage()::contains);
    }

    @Test
    void more_files_than_two_bytes_can_count_are_all_found() throws IOException {
        Path file = temp.resolve("large.jar");
        try (ZipOutputStream jar = new ZipOutputStream(Files.newOutputStream(file))) {
            for (int i = 0; i < 70_000; i++) {
                jar.putNextEntry(new ZipEntry("p" + i % 300 + "/C" + i + ".class"));
            }
        }
        assertSame(byTheJdk(file).orElseThrow(), file, "large");
    }

    @Test
    void sizes_and_positions_may_stand_in_the_field_for_long_numbers() throws IOException {
        Path file = temp.resolve("long.jar");
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream jar = new ZipOutputStream(bytes)) {
            for (String name : List.of("p/A.class", "p/B.class", "C.class")) {
                jar.putNextEntry(new ZipEntry(name));
                jar.write(name.repeat(9).getBytes(StandardCharsets.UTF_8));
            }
        }
        Files.write(file, withLongNumbers(bytes.toByteArray()));
        Map<String, Optional<byte[]>> expected = byTheJdk(file).orElseThrow();
        assertTrue(
                expected.size() == 3 && expected.values().stream().allMatch(Optional::isPresent));
        assertSame(expected, file, "long");
    }

    /** The same jar with an extra field for the numbers of each entry (APPNOTE 4.5.3). */
    private static byte[] withLongNumbers(byte[] jar) throws IOException {
        ByteBuffer from = ByteBuffer.wrap(jar).order(ByteOrder.LITTLE_ENDIAN);
        int end = jar.length - 22;
        int start = from.getInt(end + 16);
        ByteArrayOutputStream to = new ByteArrayOutputStream();
        to.write(jar, 0, start);
        for (int at = start; at < end; ) {
            int name = from.getShort(at + 28);
            byte[] header = Arrays.copyOfRange(jar, at, at + 46 + name);
            ByteBuffer changed = ByteBuffer.wrap(header).order(ByteOrder.LITTLE_ENDIAN);
            ByteBuffer extra = ByteBuffer.allocate(28).order(ByteOrder.LITTLE_ENDIAN);
            extra.putShort((short) 1).putShort((short) 24);
            for (int field : new int[] {24, 20, 42}) {
                extra.putLong(from.getInt(at + field));
                changed.putInt(field, -1);
            }
            changed.putShort(30, (short) extra.capacity());
            to.write(header);
            to.write(extra.array());
            at += 46 + name;
        }
        int length = to.size() - start;
        to.write(jar, end, 22);
        byte[] written = to.toByteArray();
        ByteBuffer.wrap(written).order(ByteOrder.LITTLE_ENDIAN).putInt(written.length - 10, length);
        return written;
    }

    /** The class files by name; none where the file cannot be read. */
    private static Optional<Map<String, Optional<byte[]>>> byTheJdk(Path file) {
        Map<String, Optional<byte[]>> classes = new TreeMap<>();
        try (ZipFile jar = new ZipFile(file.toFile())) {
            jar.stream()
                    .map(ZipEntry::getName)
                    .filter(ClassSource::isWanted)
                    .filter(name -> !ClassSource.isServices(name))
                    .forEach(name -> classes.put(name, bytes(jar, name)));
            return Optional.of(classes);
        } catch (IOException | IllegalArgumentException refused) {
            // The JDK opens some jars with names that it cannot tell.
            return Optional.empty();
        }
    }

    private static Optional<byte[]> bytes(ZipFile jar, String name) {
        ZipEntry entry = jar.getEntry(name);
        try (var stream = jar.getInputStream(entry)) {
            byte[] bytes = stream.readAllBytes();
            return bytes.length == entry.getSize() ? Optional.of(bytes) : Optional.empty();
        } catch (IOException | IllegalArgumentException damaged) {
            return Optional.empty();
        }
    }

    private static void assertSame(Map<String, Optional<byte[]>> expected, Path file, String what)
            throws IOException {
        try (OpenJar jar = OpenJar.of(file, "some.jar", new ReadCount())) {
            int[] found = WantedEntries.of(jar).classes();
            Map<String, Integer> byPath = new TreeMap<>();
            Arrays.stream(found).forEach(entry -> byPath.put(jar.path(entry), entry));
            assertEquals(expected.keySet(), byPath.keySet(), what);
            NameTable table = new NameTable(List.of(new JarEntries(jar, found)));
            assertEquals(expected.size(), table.size(), what);
            expected.forEach(
                    (path, bytes) -> {
                        String name = path.substring(0, path.length() - 6).replace('/', '.');
                        Optional<byte[]> read = table.find(name).bytes();
                        // What is empty is read by the JDK without a look at where it is.
                        if (bytes.filter(all -> all.length == 0).isEmpty()) {
                            assertArrayEquals(
                                    bytes.orElse(null), read.orElse(null), what + ": " + path);
                        }
                    });
            assertFalse(table.names().stream().anyMatch(name -> table.find(name) == null), what);
        }
    }

    private static byte[] madeUp(Random random) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        if (random.nextInt(4) == 0) {
            bytes.write("#!/bin/sh\n".getBytes(StandardCharsets.US_ASCII));
        }
        List<String> names = new ArrayList<>();
        for (int i = random.nextInt(12); i >= 0; i--) {
            String name =
                    FOLDERS.get(random.nextInt(FOLDERS.size()))
                            + NAMES.get(random.nextInt(NAMES.size()));
            if (!names.contains(name) && !name.isEmpty()) {
                names.add(name);
            }
        }
        try (ZipOutputStream jar = new ZipOutputStream(bytes)) {
            for (String name : names) {
                byte[] content = new byte[random.nextInt(60)];
                random.nextBytes(content);
                jar.putNextEntry(entry(name, content, random));
                jar.write(content);
                jar.closeEntry();
            }
            jar.setComment(random.nextBoolean() ? "a comment" : "");
        }
        if (random.nextInt(8) == 0) {
            bytes.write(new byte[random.nextInt(9)]);
        }
        return bytes.toByteArray();
    }

    private static ZipEntry entry(String name, byte[] content, Random random) {
        ZipEntry entry = new ZipEntry(name);
        if (random.nextInt(3) == 0) {
            entry.setMethod(ZipEntry.STORED);
            entry.setSize(content.length);
            CRC32 sum = new CRC32();
            sum.update(content);
            entry.setCrc(sum.getValue());
        }
        if (random.nextInt(3) == 0) {
            entry.setExtra(new byte[] {(byte) 0xFE, (byte) 0xCA, 1, 0, 7});
        }
        entry.setComment(random.nextBoolean() ? "here" : null);
        return entry;
    }

    /** Changes some bytes, mostly of the directory; or doubles a name, or cuts the end off. */
    private static byte[] damaged(byte[] jar, Random random) {
        byte[] damaged = jar.clone();
        int from = random.nextInt(3) == 0 ? 0 : jar.length * 2 / 3;
        switch (random.nextInt(8)) {
            case 0:
                return Arrays.copyOf(jar, random.nextInt(jar.length));
            case 1:
                return new String(jar, StandardCharsets.ISO_8859_1)
                        .replace("q/A.class", "q/M.class")
                        .getBytes(StandardCharsets.ISO_8859_1);
            default:
                for (int i = random.nextInt(3); i >= 0; i--) {
                    int at = from + random.nextInt(jar.length - from);
                    damaged[at] = (byte) (random.nextBoolean() ? -1 : random.nextInt(256));
                }
                return damaged;
        }
    }
}
