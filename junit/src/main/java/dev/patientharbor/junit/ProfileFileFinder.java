package dev.patientharbor.junit;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.ProfileSet;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.platform.commons.support.AnnotationSupport;

/** Finds the profiles of a test class. */
final class ProfileFileFinder {

    private ProfileFileFinder() {}

    /** Reads them. */
    static ProfileSet profiles(Class<?> test) {
        return open(harbor(test));
    }

    /** What a class says, or the nearest class around it, if one says anything. */
    static Optional<Harbor> harbor(Class<?> test) {
        for (Class<?> at = test; at != null; at = at.getEnclosingClass()) {
            Optional<Harbor> found = AnnotationSupport.findAnnotation(at, Harbor.class);
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    static ProfileSet open(Optional<Harbor> harbor) {
        Optional<Harbor> inJava = harbor.filter(marked -> marked.from() != Harbor.InFile.class);
        return inJava.isPresent()
                ? given(inJava.get().from())
                : read(
                        harbor.map(Harbor::value)
                                .filter(file -> !file.isEmpty())
                                .map(Path::of)
                                .orElseGet(ProfileFileFinder::only));
    }

    private static ProfileSet read(Path file) {
        try {
            return ProfileFiles.read(file);
        } catch (UncheckedIOException fault) {
            Path folder = Path.of("").toAbsolutePath();
            List<String> there = here().stream().map(Path::toString).toList();
            throw new IllegalStateException(
                    fault.getMessage()
                            + " from "
                            + folder
                            + ": "
                            + fault.getCause().getClass().getSimpleName()
                            + "; there "
                            + (there.isEmpty()
                                    ? "is no *.harbor.yaml"
                                    : "are " + String.join(", ", there)),
                    fault);
        }
    }

    /** The profile files of the working directory. */
    private static List<Path> here() {
        Path here = Path.of("").toAbsolutePath();
        try (Stream<Path> files = Files.list(here)) {
            return files.filter(path -> path.getFileName().toString().endsWith(".harbor.yaml"))
                    .sorted()
                    .map(here::relativize)
                    .toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException("cannot list " + here, unreadable);
        }
    }

    private static ProfileSet given(Class<? extends Supplier<ProfileSet>> from) {
        try {
            Constructor<? extends Supplier<ProfileSet>> made = from.getDeclaredConstructor();
            made.setAccessible(true);
            return made.newInstance().get();
        } catch (NoSuchMethodException | InstantiationException | IllegalAccessException closed) {
            throw new IllegalStateException(
                    from.getName()
                            + " must have a constructor without parameters, for it gives the"
                            + " profiles",
                    closed);
        } catch (InvocationTargetException thrown) {
            throw new IllegalStateException(
                    "the constructor of " + from.getName() + " threw " + thrown.getCause(),
                    thrown.getCause());
        }
    }

    private static Path only() {
        List<Path> found = here();
        if (found.size() == 1) {
            return found.get(0);
        }
        throw new IllegalStateException(
                "there "
                        + (found.isEmpty() ? "is no" : "are several")
                        + " *.harbor.yaml in "
                        + Path.of("").toAbsolutePath()
                        + ": say which one by @Harbor(\"FILE\")");
    }
}
