package dev.patientharbor.code;

import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.files.UnfitFileException;
import dev.patientharbor.jars.JarDirectory;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.jar.Attributes;
import java.util.jar.JarFile;
import java.util.jar.Manifest;

/**
 * Those entries of a jar that are read. Of a multi-release jar (JAR File Specification) these are
 * those for the running Java.
 */
final class WantedEntries {

    private static final byte[] META = ascii(ClassSource.META);
    private static final byte[] CLASS = ascii(ClassSource.CLASS);
    private static final byte[] MODULE = ascii(ClassSource.MODULE);

    /** The most bytes of all files of one jar that are read, unpacked. */
    private static final long MOST = 1L << 30;

    private final OpenJar jar;
    private final JarDirectory directory;
    private final List<Integer> services = new ArrayList<>(0);
    private int[] classes = new int[64];
    private int count;
    private long unpacked;
    private long packed;

    /** Those below {@code META-INF}. */
    private final List<Integer> special = new ArrayList<>();

    private WantedEntries(OpenJar jar) {
        this.jar = jar;
        directory = jar.directory();
    }

    /**
     * Finds them.
     *
     * @throws UnfitFileException if there is more than is read
     */
    static WantedEntries of(OpenJar jar) throws IOException {
        WantedEntries wanted = new WantedEntries(jar);
        wanted.find();
        return wanted;
    }

    /** Returns those of class files; of two with the same name the later one counts. */
    int[] classes() {
        return Arrays.copyOf(classes, count);
    }

    /** Returns the lists of services. */
    List<ClassFile> services() {
        return services.stream().map(jar::file).toList();
    }

    private void find() throws IOException {
        int at = 0;
        while (!directory.isEnd(at)) {
            at = look(at);
        }
        addSpecial(special);
        if (packed > jar.size()) {
            throw new UnfitFileException(jar.place(), "its entries overlap");
        }
        if (unpacked > MOST) {
            throw new UnfitFileException(
                    jar.place(), "its class files are larger than 1 GiB, unpacked");
        }
        if (ClassSource.tooMany(count + services.size())) {
            throw new UnfitFileException(jar.place(), ClassSource.tooManyReason());
        }
    }

    /** Looks at an entry, and returns the next one. */
    private int look(int at) {
        int start = directory.nameStart(at);
        int end = directory.nameEnd(at);
        packed += directory.packed(at);
        if (has(META, start, end, start)) {
            special.add(at);
        } else if (has(CLASS, start, end, end - CLASS.length)
                && !has(MODULE, start, end, end - MODULE.length)) {
            addClass(at);
        }
        return directory.next(at);
    }

    /** Whether letters stand somewhere in a name. */
    private boolean has(byte[] letters, int start, int end, int from) {
        if (from < start || from + letters.length > end) {
            return false;
        }
        byte[] bytes = directory.bytes();
        for (int i = 0; i < letters.length; i++) {
            if (bytes[from + i] != letters[i]) {
                return false;
            }
        }
        return true;
    }

    private void addClass(int at) {
        if (count == classes.length) {
            classes = Arrays.copyOf(classes, count * 2);
        }
        classes[count++] = at;
        unpacked += directory.size(at);
    }

    /** Adds what is wanted below {@code META-INF}: lists of services, and versions of classes. */
    private void addSpecial(List<Integer> entries) throws IOException {
        boolean hasVersions = isMultiRelease(entries);
        Map<String, Integer> newest = new LinkedHashMap<>();
        for (int at : entries) {
            String name = directory.name(at);
            int version = hasVersions ? version(name) : 0;
            if (version > 0 && version <= Runtime.version().feature()) {
                newest.merge(jar.path(at), at, this::newer);
            } else if (version == 0 && ClassSource.isServices(name)) {
                addServices(at);
            }
        }
        newest.forEach(
                (path, at) -> {
                    if (ClassSource.isServices(path)) {
                        addServices(at);
                    } else if (ClassSource.isWanted(path)) {
                        addClass(at);
                    }
                });
    }

    private void addServices(int at) {
        services.add(at);
        unpacked += directory.size(at);
    }

    private int newer(int entry, int other) {
        return version(directory.name(other)) >= version(directory.name(entry)) ? other : entry;
    }

    private boolean isMultiRelease(List<Integer> entries) throws IOException {
        Optional<Integer> manifest =
                entries.stream()
                        .filter(at -> directory.name(at).equals(JarFile.MANIFEST_NAME))
                        .reduce((earlier, later) -> later);
        if (manifest.isEmpty()) {
            return false;
        }
        try {
            byte[] all = jar.read(manifest.get(), SizeLimit.SERVICES_FILE);
            Attributes main = new Manifest(new ByteArrayInputStream(all)).getMainAttributes();
            return Boolean.parseBoolean(main.getValue(Attributes.Name.MULTI_RELEASE));
        } catch (IOException noManifest) {
            return false;
        }
    }

    /** The Java that an entry is for, 0 for every one. */
    private static int version(String name) {
        int from = OpenJar.VERSIONS.length();
        int end = name.startsWith(OpenJar.VERSIONS) ? name.indexOf('/', from) : -1;
        if (end < 0) {
            return 0;
        }
        try {
            return Math.max(Integer.parseInt(name.substring(from, end)), 0);
        } catch (NumberFormatException noVersion) {
            return 0;
        }
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }
}
