package dev.patientharbor.code;

import dev.patientharbor.files.BoundedFile;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.files.UnfitFileException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.jar.Attributes;
import java.util.jar.JarFile;
import java.util.jar.Manifest;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/**
 * Finds the files of a jar. Of a multi-release jar (JAR File Specification) those for the running
 * Java are read.
 */
final class JarSource {

    private static final String VERSIONS = "META-INF/versions/";

    /** The most bytes of all files of one jar that are read, unpacked. */
    private static final long MOST = 1L << 30;

    private JarSource() {}

    /** A jar that is open, and what people call it. */
    private record OpenJar(ZipFile jar, String place, ReadCount count) {}

    /**
     * @param version where a class for one version of Java is in the jar; blank for all others
     */
    private record InJar(OpenJar in, String name, String version) implements ClassFile {

        private String entryName() {
            return version + name;
        }

        @Override
        public String place() {
            return in.place() + "!/" + entryName();
        }

        @Override
        public byte[] bytes(SizeLimit limit) throws IOException {
            return in.count().counted(unpacked(limit));
        }

        private byte[] unpacked(SizeLimit limit) throws IOException {
            ZipEntry entry = in.jar().getEntry(entryName());
            if (entry == null) {
                throw new UnfitFileException(place(), "it is not in its jar any more");
            }
            long told = entry.getSize();
            try (InputStream bytes = in.jar().getInputStream(entry)) {
                if (told < 0 || told > limit.bytes()) {
                    return BoundedFile.read(bytes, place(), limit);
                }
                // Room for the size that the jar states saves all copying.
                byte[] all = new byte[(int) told];
                int length = bytes.readNBytes(all, 0, all.length);
                if (length < all.length || bytes.read() >= 0) {
                    throw new UnfitFileException(
                            place(), "it does not have the size that its jar states");
                }
                return all;
            }
        }
    }

    /**
     * Opens a jar.
     *
     * @param place the jar as people read it
     * @param count counts what is read from it
     */
    static ClassSource open(Path path, String place, ReadCount count) throws IOException {
        JarDirectory.requireSound(path);
        ZipFile jar = new ZipFile(path.toFile());
        try {
            OpenJar open = new OpenJar(jar, place, count);
            List<ClassFile> files = files(open, Files.size(path));
            return new ClassSource(path.toAbsolutePath().normalize(), files, jar);
        } catch (IOException | RuntimeException fault) {
            jar.close();
            throw fault;
        }
    }

    private static List<ClassFile> files(OpenJar in, long size) throws IOException {
        boolean hasVersions = isMultiRelease(in.jar());
        List<ClassFile> files = new ArrayList<>(in.jar().size());
        Map<String, VersionedEntry> versioned = new HashMap<>(0);
        long packed = 0;
        long unpacked = 0;
        for (Enumeration<? extends ZipEntry> all = in.jar().entries(); all.hasMoreElements(); ) {
            ZipEntry entry = all.nextElement();
            String path = entry.getName();
            packed += Math.max(entry.getCompressedSize(), 0);
            int version = hasVersions ? version(path) : 0;
            String name = version == 0 ? path : unversioned(path);
            if (ClassSource.isWanted(name) && version <= Runtime.version().feature()) {
                unpacked += Math.max(entry.getSize(), 0);
                if (hasVersions) {
                    String folder = path.substring(0, path.length() - name.length());
                    versioned.merge(
                            name, new VersionedEntry(version, folder), VersionedEntry::newer);
                } else {
                    files.add(new InJar(in, name, ""));
                }
            }
        }
        versioned.forEach((name, of) -> files.add(new InJar(in, name, of.folder())));
        if (packed > size) {
            throw new UnfitFileException(in.place(), "its entries overlap");
        }
        if (unpacked > MOST) {
            throw new UnfitFileException(
                    in.place(), "its class files are larger than 1 GiB, unpacked");
        }
        if (ClassSource.tooMany(files.size())) {
            throw new UnfitFileException(in.place(), ClassSource.tooManyReason());
        }
        return files;
    }

    /**
     * An entry of a jar that has some for one version of Java.
     *
     * @param version 0 for every one
     * @param folder where it stands in the jar; blank for every version
     */
    private record VersionedEntry(int version, String folder) {
        VersionedEntry newer(VersionedEntry other) {
            return other.version >= version ? other : this;
        }
    }

    private static boolean isMultiRelease(ZipFile jar) throws IOException {
        ZipEntry entry = jar.getEntry(JarFile.MANIFEST_NAME);
        if (entry == null) {
            return false;
        }
        try (InputStream bytes = jar.getInputStream(entry)) {
            byte[] all = BoundedFile.read(bytes, entry.getName(), SizeLimit.SERVICES_FILE);
            Attributes main = new Manifest(new ByteArrayInputStream(all)).getMainAttributes();
            return Boolean.parseBoolean(main.getValue(Attributes.Name.MULTI_RELEASE));
        } catch (IOException noManifest) {
            return false;
        }
    }

    /** The Java that an entry is for, 0 for every one. */
    private static int version(String name) {
        int end = name.startsWith(VERSIONS) ? name.indexOf('/', VERSIONS.length()) : -1;
        if (end < 0) {
            return 0;
        }
        try {
            int version = Integer.parseInt(name.substring(VERSIONS.length(), end));
            return Math.max(version, 0);
        } catch (NumberFormatException noVersion) {
            return 0;
        }
    }

    private static String unversioned(String name) {
        return name.substring(name.indexOf('/', VERSIONS.length()) + 1);
    }
}
