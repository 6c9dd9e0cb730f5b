package dev.patientharbor.code;

import java.io.IOException;
import java.net.URI;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/** Classes that were not made for a test. */
final class RealClasses {

    private RealClasses() {}

    /** The jars of the test's own class path. */
    static List<Path> ofTheBuild() {
        return Arrays.stream(System.getProperty("java.class.path").split(":"))
                .map(Path::of)
                .filter(path -> path.toString().endsWith(".jar"))
                .toList();
    }

    /** The names of all classes of java.base. */
    static List<String> ofJavaBase() throws IOException {
        Path root = FileSystems.getFileSystem(URI.create("jrt:/")).getPath("modules/java.base");
        try (Stream<Path> all = Files.walk(root)) {
            return all.map(path -> root.relativize(path).toString())
                    .filter(name -> name.endsWith(".class") && !name.equals("module-info.class"))
                    .map(name -> name.substring(0, name.length() - 6).replace('/', '.'))
                    .sorted()
                    .toList();
        }
    }
}
