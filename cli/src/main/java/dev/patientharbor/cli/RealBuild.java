package dev.patientharbor.cli;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.Trial;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.MalformedURLException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Really builds the profiles that are shown and complete, each with the classes that it sees. */
final class RealBuild {

    private RealBuild() {}

    static Verdict of(ProfileSet set, Verdict verdict, LocalDate today) {
        Map<String, List<Finding>> found = new LinkedHashMap<>();
        for (ProfileVerdict profile : verdict.profiles()) {
            if (profile.complete().orElse(false)) {
                found.put(profile.name(), build(set, verdict, profile.name()));
            }
        }
        return verdict.afterBuilding(found, today);
    }

    private static List<Finding> build(ProfileSet set, Verdict verdict, String profile) {
        URL[] places = set.classPath(profile).stream().map(RealBuild::url).toArray(URL[]::new);
        Thread thread = Thread.currentThread();
        ClassLoader before = thread.getContextClassLoader();
        try (URLClassLoader loader = new URLClassLoader(places, new Ours())) {
            thread.setContextClassLoader(loader);
            return Trial.of(verdict.assembly(profile), loader);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot close the code of " + profile, fault);
        } finally {
            thread.setContextClassLoader(before);
        }
    }

    private static URL url(Path path) {
        try {
            return path.toUri().toURL();
        } catch (MalformedURLException fault) {
            throw new UncheckedIOException("no place to load from: " + path, fault);
        }
    }

    /** The JDK's classes and this tool's own, but none of the libraries that it uses. */
    private static final class Ours extends ClassLoader {
        Ours() {
            super(ClassLoader.getPlatformClassLoader());
        }

        @Override
        protected Class<?> findClass(String name) throws ClassNotFoundException {
            if (!name.startsWith("dev.patientharbor.")) {
                throw new ClassNotFoundException(name);
            }
            return RealBuild.class.getClassLoader().loadClass(name);
        }
    }
}
