package dev.patientharbor.junit;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.ProfileSet;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.Constructor;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.platform.commons.support.AnnotationSupport;

/** Finds the profiles of a test class. */
final class Places {

    private Places() {}

    /** Reads them. */
    static ProfileSet profiles(Class<?> test) {
        return open(harbor(test));
    }

    /** What a class says, or the nearest class around it; null if nobody says anything. */
    static Harbor harbor(Class<?> test) {
        for (Class<?> at = test; at != null; at = at.getEnclosingClass()) {
            Harbor found = AnnotationSupport.findAnnotation(at, Harbor.class).orElse(null);
            if (found != null) {
                return found;
            }
        }
        return null;
    }

    static ProfileSet open(Harbor harbor) {
        if (harbor != null && harbor.from() != Harbor.InFile.class) {
            return given(harbor.from());
        }
        boolean isNamed = harbor != null && !harbor.value().isEmpty();
        return ProfileFiles.read(isNamed ? Path.of(harbor.value()) : only());
    }

    private static ProfileSet given(Class<? extends Supplier<ProfileSet>> from) {
        try {
            Constructor<? extends Supplier<ProfileSet>> made = from.getDeclaredConstructor();
            made.setAccessible(true);
            return made.newInstance().get();
        } catch (ReflectiveOperationException unusable) {
            throw new IllegalStateException(
                    from.getName()
                            + " must have a constructor without parameters, for it gives the"
                            + " profiles",
                    unusable);
        }
    }

    private static Path only() {
        Path here = Path.of("");
        try (Stream<Path> files = Files.list(here.toAbsolutePath())) {
            List<Path> found =
                    files.filter(one -> one.getFileName().toString().endsWith(".harbor.yaml"))
                            .sorted()
                            .toList();
            if (found.size() == 1) {
                return here.toAbsolutePath().relativize(found.get(0));
            }
            throw new IllegalStateException(
                    "there "
                            + (found.isEmpty() ? "is no" : "are several")
                            + " *.harbor.yaml in "
                            + here.toAbsolutePath()
                            + ": say which one by @Harbor(\"FILE\")");
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
