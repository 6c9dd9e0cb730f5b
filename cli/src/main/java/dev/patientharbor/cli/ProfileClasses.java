package dev.patientharbor.cli;

import dev.patientharbor.profiles.ProfileSet;
import java.io.UncheckedIOException;
import java.net.MalformedURLException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Path;

/** The classes that a profile sees, to be loaded and run: the JDK's, the user's, and ours. */
final class ProfileClasses {

    private ProfileClasses() {}

    /** Returns a loader of them, which the caller closes. */
    static URLClassLoader loader(ProfileSet set, String profile) {
        URL[] places = set.classPath(profile).stream().map(ProfileClasses::url).toArray(URL[]::new);
        return new URLClassLoader(places, new OwnClasses());
    }

    private static URL url(Path path) {
        try {
            return path.toUri().toURL();
        } catch (MalformedURLException fault) {
            throw new UncheckedIOException("no place to load from: " + path, fault);
        }
    }

    /** The JDK's classes and this tool's own, but none of the libraries that it uses. */
    private static final class OwnClasses extends ClassLoader {
        OwnClasses() {
            super(ClassLoader.getPlatformClassLoader());
        }

        @Override
        protected Class<?> findClass(String name) throws ClassNotFoundException {
            if (!name.startsWith("dev.patientharbor.")) {
                throw new ClassNotFoundException(name);
            }
            return ProfileClasses.class.getClassLoader().loadClass(name);
        }
    }
}
