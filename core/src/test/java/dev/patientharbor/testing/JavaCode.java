package dev.patientharbor.testing;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.net.MalformedURLException;
import java.net.URI;
import java.net.URL;
import java.nio.file.DirectoryNotEmptyException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;

/** Compiles Java written in a test into class files. */
public final class JavaCode {

    private static final Pattern TYPE =
            Pattern.compile("\\b(?:class|interface|record|enum)\\s+(\\w+)");

    private JavaCode() {}

    /**
     * Compiles into a folder that nobody changes; each source begins with its package, and may hold
     * several types. What was compiled before is taken from {@code -Dpatientharbor.compiled=FOLDER}
     * if that is given: runs of the same tests, again and again, take far less time.
     */
    public static Path compile(String sources, String... options) {
        String kept = System.getProperty("patientharbor.compiled", "");
        if (kept.isEmpty()) {
            return compileAnew(sources, options);
        }
        String name =
                UUID.nameUUIDFromBytes((sources + List.of(options)).getBytes(UTF_8)).toString();
        Path folder = Path.of(kept, name);
        if (!Files.isDirectory(folder)) {
            try {
                Files.createDirectories(folder.getParent());
                Files.move(compileAnew(sources, options), folder);
            } catch (FileAlreadyExistsException | DirectoryNotEmptyException compiledElsewhere) {
                return folder;
            } catch (IOException fault) {
                throw new UncheckedIOException(fault);
            }
        }
        return folder;
    }

    /** Compiles into a new folder, which may be changed. */
    public static Path compileAnew(String sources, String... options) {
        Path folder = newFolder();
        compileInto(folder, sources, options);
        return folder;
    }

    /** A new folder, which is deleted with all that is in it when the tests end. */
    public static Path newFolder() {
        try {
            Path folder = Files.createTempDirectory("compiled");
            Runtime.getRuntime().addShutdownHook(new Thread(() -> delete(folder)));
            return folder;
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }

    private static void delete(Path folder) {
        try (Stream<Path> all = Files.walk(folder)) {
            all.sorted(Comparator.reverseOrder()).forEach(path -> path.toFile().delete());
        } catch (IOException | UncheckedIOException gone) {
            // It was moved away, or a test has taken its rights: it stays where it is.
        }
    }

    /** Compiles into a folder, seeing the classes that are there already. */
    public static void compileInto(Path folder, String sources, String... options) {
        List<JavaFileObject> files = new ArrayList<>();
        for (String source : sources.split("(?m)^(?=package )")) {
            if (!source.isBlank()) {
                files.add(new Source(source));
            }
        }
        List<String> all = new ArrayList<>(List.of("-d", folder.toString(), "-proc:none", "-g"));
        all.addAll(List.of("-cp", folder + ":" + System.getProperty("java.class.path")));
        all.addAll(List.of(options));
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        StringWriter messages = new StringWriter();
        if (!compiler.getTask(messages, null, null, all, null, files).call()) {
            throw new IllegalArgumentException(messages.toString());
        }
    }

    /** A place of compiled code as a class loader takes it. */
    public static URL url(Path place) {
        try {
            return place.toUri().toURL();
        } catch (MalformedURLException fault) {
            throw new UncheckedIOException(fault);
        }
    }

    private static final class Source extends SimpleJavaFileObject {
        private final String text;

        Source(String text) {
            super(URI.create("string:///" + name(text) + ".java"), Kind.SOURCE);
            this.text = text;
        }

        private static String name(String text) {
            Matcher type = Pattern.compile("public (?:\\w+ )*?" + TYPE).matcher(text);
            Matcher any = TYPE.matcher(text);
            return type.find() ? type.group(1) : any.find() ? any.group(1) : "package-info";
        }

        @Override
        public CharSequence getCharContent(boolean ignoreEncodingErrors) {
            return text;
        }
    }
}
