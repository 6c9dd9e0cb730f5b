package dev.patientharbor.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.Modifier;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The packages that descriptors export to everyone, and the types that users meet in them. */
final class PublicApi {

    static final String OURS = "dev.patientharbor.";

    /** Doors between our own modules: public, for Java knows no other way, and said to be so. */
    static final Set<String> BETWEEN_MODULES =
            Set.of(
                    "check.Checker#check",
                    "check.Verdict#assembly",
                    "plan.SlotRecording#new",
                    "plan.SlotRecording#answers",
                    "profiles.Plan#assembly",
                    "profiles.ProfileSet#code",
                    "profiles.ProfileSet#declared",
                    "profiles.ProfileSet#of",
                    "profiles.ProfileSet#wiringDrafts");

    private static final Pattern EXPORT = Pattern.compile("exports (dev\\.patientharbor\\.\\w+);");

    private PublicApi() {}

    /** The exported packages of the libraries. */
    static List<String> packages() {
        return descriptors().stream()
                .flatMap(text -> EXPORT.matcher(read(text)).results().map(found -> found.group(1)))
                .sorted()
                .toList();
    }

    /** The public types of those packages that the class path of the tool has. */
    static List<Class<?>> types() {
        return allTypes().stream()
                .filter(type -> !type.getPackageName().equals("dev.patientharbor.junit"))
                .toList();
    }

    /** The public types of those packages. */
    static List<Class<?>> allTypes() {
        List<Class<?>> types = new ArrayList<>();
        for (Path descriptor : descriptors()) {
            Path classes = Path.of("..", descriptor.getName(1).toString(), "target", "classes");
            for (MatchResult export : EXPORT.matcher(read(descriptor)).results().toList()) {
                Path folder = classes.resolve(export.group(1).replace('.', '/'));
                try (Stream<Path> files = Files.list(folder)) {
                    files.map(file -> file.getFileName().toString())
                            .filter(name -> name.endsWith(".class") && !name.startsWith("package"))
                            .sorted()
                            .map(name -> name.substring(0, name.length() - ".class".length()))
                            .map(name -> loaded(export.group(1) + '.' + name))
                            .filter(PublicApi::isVisible)
                            .forEach(types::add);
                } catch (IOException fault) {
                    throw new UncheckedIOException(fault);
                }
            }
        }
        return types;
    }

    /** Whether users can name a type: it is public, and so is all that it stands in. */
    static boolean isVisible(Class<?> type) {
        return Modifier.isPublic(type.getModifiers())
                && (type.getDeclaringClass() == null || isVisible(type.getDeclaringClass()));
    }

    /** A member as a test names it: {@code plan.Answer#kind}; a constructor is called new. */
    static String name(Class<?> type, String member) {
        return type.getName().substring(OURS.length()) + '#' + member;
    }

    static List<Path> packageInfos() {
        return walk("package-info.java");
    }

    private static List<Path> descriptors() {
        return walk("module-info.java");
    }

    private static List<Path> walk(String name) {
        List<Path> found = new ArrayList<>();
        for (String module :
                List.of("core", "notation", "report", "page", "rig", "mockito", "junit", "cli")) {
            Path sources = Path.of("..", module, "src", "main");
            try (Stream<Path> files = Files.walk(sources)) {
                files.filter(file -> file.endsWith(name)).sorted().forEach(found::add);
            } catch (IOException fault) {
                throw new UncheckedIOException(fault);
            }
        }
        return found;
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }

    private static Class<?> loaded(String name) {
        try {
            return Class.forName(name, false, PublicApi.class.getClassLoader());
        } catch (ClassNotFoundException fault) {
            throw new IllegalStateException(fault);
        }
    }
}
