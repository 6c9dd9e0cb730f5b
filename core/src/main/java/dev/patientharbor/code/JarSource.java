package dev.patientharbor.code;

import java.io.IOException;
import java.nio.file.Path;

/** Finds the files of a jar. */
final class JarSource {

    private JarSource() {}

    /**
     * Opens a jar.
     *
     * @param place the jar as people read it
     * @param count counts what is read from it
     */
    static ClassSource open(Path path, String place, ReadCount count) throws IOException {
        OpenJar jar = OpenJar.of(path, place, count);
        try {
            WantedEntries wanted = WantedEntries.of(jar);
            int[] classes = wanted.classes();
            return new ClassSource(
                    path.toAbsolutePath().normalize(),
                    classes.length,
                    () -> new JarEntries(jar, classes),
                    wanted.services(),
                    identity -> false,
                    jar);
        } catch (IOException | RuntimeException fault) {
            jar.close();
            throw fault;
        }
    }
}
