package dev.patientharbor.rig;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.testing.JavaCode;
import java.net.MalformedURLException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;

/**
 * Java and a profile file, side by side in a test, and rigs of it. The Java stands in package
 * {@code p}; its records print what they hold.
 */
final class Yard {

    private final ProfileSet set;
    private final ClassLoader loader;

    private Yard(ProfileSet set, ClassLoader loader) {
        this.set = set;
        this.loader = loader;
    }

    static Yard of(String java, String yaml) {
        Path classes = JavaCode.compile("package p;\n" + java, "-parameters");
        String text = "patient-harbor: 1\npackages: [p]\n" + yaml;
        try {
            URL[] places = {classes.toUri().toURL()};
            return new Yard(
                    ProfileFiles.parse(text.getBytes(StandardCharsets.UTF_8), "f", Path.of(""))
                            .withCode(classes),
                    new URLClassLoader(places, Yard.class.getClassLoader()));
        } catch (MalformedURLException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    ProfileSet set() {
        return set;
    }

    Plan plan(String profile) {
        return set.plan(profile);
    }

    Rig rig(String profile) {
        return rig(plan(profile));
    }

    Rig rig(Plan plan) {
        return Rigs.build(plan, loader);
    }

    Class<?> type(String name) {
        try {
            return Class.forName("p." + name, true, loader);
        } catch (ClassNotFoundException missing) {
            throw new IllegalArgumentException(missing);
        }
    }

    /** What the class {@code p.Log} has noted so far, which it then forgets. */
    String log() {
        try {
            StringBuilder log = (StringBuilder) type("Log").getField("TEXT").get(null);
            String text = log.toString().strip();
            log.setLength(0);
            return text;
        } catch (ReflectiveOperationException fault) {
            throw new IllegalStateException(fault);
        }
    }

    /** Calls a method without parameters. */
    static Object call(Object object, String method) {
        try {
            var found = object.getClass().getMethod(method);
            found.setAccessible(true);
            return found.invoke(object);
        } catch (ReflectiveOperationException fault) {
            throw new IllegalStateException(fault.getCause() == null ? fault : fault.getCause());
        }
    }
}
