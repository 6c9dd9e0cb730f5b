package dev.patientharbor.code;

import java.io.Closeable;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.Supplier;

/**
 * The class and service files of one folder or jar; open until closed. May be used by several
 * threads.
 */
final class ClassSource {

    static final String CLASS = ".class";
    static final String META = "META-INF/";
    static final String MODULE = "module-info.class";
    private static final String SERVICES = "META-INF/services/";

    /** The most files of one place: more is no class path, but a whole disk. */
    private static final int MOST_FILES = 500_000;

    private final Path path;
    private final int size;
    private final Supplier<ClassEntries> sorter;
    private final List<ClassFile> serviceFiles;
    private final Predicate<Object> identities;
    private final Closeable opened;
    private ClassEntries classes;
    private NameTable names;

    /**
     * @param path where it is, absolute
     * @param size the number of its class files
     * @param sorter sorts out their names
     * @param serviceFiles its lists of services; of two for one contract the later one counts
     * @param identities whether a file is one of these, by what makes it the same under any name
     * @param opened to be closed with it
     */
    ClassSource(
            Path path,
            int size,
            Supplier<ClassEntries> sorter,
            List<ClassFile> serviceFiles,
            Predicate<Object> identities,
            Closeable opened) {
        this.path = path;
        this.size = size;
        this.sorter = sorter;
        this.serviceFiles = List.copyOf(serviceFiles);
        this.identities = identities;
        this.opened = opened;
    }

    Path path() {
        return path;
    }

    /** Returns the number of class files. */
    int size() {
        return size;
    }

    /** Returns the classes; the first who asks waits until their names are sorted out. */
    synchronized ClassEntries classes() {
        if (classes == null) {
            classes = sorter.get();
        }
        return classes;
    }

    /** Returns the same by name. */
    synchronized NameTable names() {
        if (names == null) {
            names = new NameTable(List.of(classes()));
        }
        return names;
    }

    List<ClassFile> serviceFiles() {
        return serviceFiles;
    }

    /** Whether a file is one of these, under whatever name. */
    boolean has(Object identity) {
        return identities.test(identity);
    }

    void close() {
        try {
            opened.close();
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot close " + path, fault);
        }
    }

    /** Whether a file of that name, from its folder or jar on, is read. */
    static boolean isWanted(String name) {
        return isClass(name) || isServices(name);
    }

    /** Whether there are more files than are read. */
    static boolean tooMany(int files) {
        return files > MOST_FILES;
    }

    static String tooManyReason() {
        return "there are more than 500,000 files in it";
    }

    /** The contract that a list of services is for. */
    static String contract(ClassFile services) {
        return services.name().substring(SERVICES.length());
    }

    private static boolean isClass(String name) {
        return name.endsWith(CLASS) && !name.endsWith(MODULE) && !name.startsWith(META);
    }

    /** Whether a file is a list of services. */
    static boolean isServices(String name) {
        return name.startsWith(SERVICES)
                && name.indexOf('/', SERVICES.length()) < 0
                && name.length() > SERVICES.length();
    }
}
