package dev.patientharbor.notation;

import dev.patientharbor.code.CodeRoot;
import dev.patientharbor.terms.WrittenName;
import java.io.File;
import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.jar.Attributes;
import java.util.jar.JarFile;
import java.util.jar.Manifest;

/**
 * The class path of the Java that reads a file, and its module path: what {@code class-path} stands
 * for under {@code code}. A jar that only lists others (JAR File Specification, Class-Path) stands
 * for these too.
 */
final class RunClassPath {

    /** The word that stands for it under {@code code}. */
    static final String WORD = "class-path";

    private RunClassPath() {}

    /** The folders and jars, each called by its name. */
    static List<CodeRoot> roots(WrittenName word) {
        return paths().stream()
                .map(path -> new CodeRoot(word, path, String.valueOf(path.getFileName()), false))
                .toList();
    }

    private static Set<Path> paths() {
        Deque<Path> open = new ArrayDeque<>();
        for (String property : List.of("java.class.path", "jdk.module.path")) {
            for (String entry : System.getProperty(property, "").split(File.pathSeparator)) {
                if (!entry.isEmpty()) {
                    open.add(Path.of(entry));
                }
            }
        }
        Set<Path> seen = new LinkedHashSet<>();
        while (!open.isEmpty()) {
            Path next = open.remove().toAbsolutePath().normalize();
            // As Java itself does, what is listed and not there is passed over.
            if (Files.exists(next) && seen.add(next) && Files.isRegularFile(next)) {
                open.addAll(listedBy(next));
            }
        }
        return seen;
    }

    private static List<Path> listedBy(Path jar) {
        try (JarFile file = new JarFile(jar.toFile())) {
            Manifest manifest = file.getManifest();
            String listed =
                    manifest == null
                            ? null
                            : manifest.getMainAttributes().getValue(Attributes.Name.CLASS_PATH);
            if (listed == null || listed.isBlank()) {
                return List.of();
            }
            URI base = jar.toUri();
            return List.of(listed.strip().split(" +")).stream()
                    .map(base::resolve)
                    .filter(uri -> "file".equals(uri.getScheme()))
                    .map(Path::of)
                    .toList();
        } catch (IOException | IllegalArgumentException unreadable) {
            // What is no jar is reported when its code is read.
            return List.of();
        }
    }
}
