package dev.patientharbor.code;

import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.jars.JarBytes;
import dev.patientharbor.jars.JarDirectory;
import dev.patientharbor.jars.PackedFiles;
import dev.patientharbor.jars.PackedFiles.LookAtBytes;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Path;

/**
 * A jar that is open: its directory, and the files in it. An entry is a position in the directory.
 * May be used by several threads.
 */
final class OpenJar implements Closeable {

    /** Where a jar for several versions of Java keeps what is for one of them, and later ones. */
    static final String VERSIONS = "META-INF/versions/";

    private final JarBytes bytes;
    private final JarDirectory directory;
    private final PackedFiles files;
    private final String place;
    private final ReadCount count;

    private OpenJar(JarBytes bytes, JarDirectory directory, String place, ReadCount count) {
        this.bytes = bytes;
        this.directory = directory;
        this.place = place;
        this.count = count;
        files = new PackedFiles(bytes, directory);
    }

    /**
     * Opens it.
     *
     * @param place the jar as people read it
     * @param count counts what is read from it
     */
    static OpenJar of(Path path, String place, ReadCount count) throws IOException {
        JarBytes bytes = new JarBytes(path);
        try {
            return new OpenJar(bytes, JarDirectory.of(bytes, place), place, count);
        } catch (IOException | RuntimeException fault) {
            bytes.close();
            throw fault;
        }
    }

    JarDirectory directory() {
        return directory;
    }

    String place() {
        return place;
    }

    /** Returns the number of bytes of the jar. */
    long size() {
        return bytes.size();
    }

    /** Returns the path of a file, for whatever version of Java it is. */
    String path(int entry) {
        String name = directory.name(entry);
        return name.startsWith(VERSIONS)
                ? name.substring(name.indexOf('/', VERSIONS.length()) + 1)
                : name;
    }

    ClassFile file(int entry) {
        return new InJar(this, entry);
    }

    byte[] read(int entry, SizeLimit limit) throws IOException {
        return files.bytes(entry, limit);
    }

    @Override
    public void close() throws IOException {
        bytes.close();
    }

    /** A file in a jar. */
    private record InJar(OpenJar jar, int entry) implements ClassFile {

        @Override
        public String name() {
            return jar.path(entry);
        }

        @Override
        public String place() {
            return jar.place + "!/" + jar.directory.name(entry);
        }

        @Override
        public byte[] bytes(SizeLimit limit) throws IOException {
            return jar.count.counted(jar.read(entry, limit));
        }

        @Override
        public <T> T look(SizeLimit limit, LookAtBytes<T> look) throws IOException {
            return jar.count.counted(jar.files.look(entry, limit, look));
        }
    }
}
