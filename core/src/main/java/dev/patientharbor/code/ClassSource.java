package dev.patientharbor.code;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipFile;

/** The class and service files of one folder or jar, in no particular order; open until closed. */
final class ClassSource {

    private static final String CLASS = ".class";
    private static final String SERVICES = "META-INF/services/";

    /** The most files of one place: more is no class path, but a whole disk. */
    private static final int MOST_FILES = 500_000;

    private final Path path;
    private final List<ClassFile> classFiles;
    private final List<ClassFile> serviceFiles;
    private final ZipFile jar;

    /**
     * @param path where it is, absolute
     * @param files those that are wanted, in any order
     * @param jar to be closed with it; null if there is none
     */
    ClassSource(Path path, List<ClassFile> files, ZipFile jar) {
        this.path = path;
        classFiles = new ArrayList<>(files.size());
        serviceFiles = new ArrayList<>(0);
        for (ClassFile file : files) {
            (isServices(file.name()) ? serviceFiles : classFiles).add(file);
        }
        this.jar = jar;
    }

    Path path() {
        return path;
    }

    List<ClassFile> classFiles() {
        return classFiles;
    }

    List<ClassFile> serviceFiles() {
        return serviceFiles;
    }

    /** Whether a file is one of these, under whatever name. */
    boolean has(Object identity) {
        return Stream.concat(classFiles.stream(), serviceFiles.stream())
                .anyMatch(file -> file.identity().filter(identity::equals).isPresent());
    }

    void close() {
        if (jar != null) {
            try {
                jar.close();
            } catch (IOException fault) {
                throw new UncheckedIOException("cannot close " + jar.getName(), fault);
            }
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
        return name.endsWith(CLASS)
                && !name.endsWith("module-info.class")
                && !name.startsWith("META-INF/");
    }

    private static boolean isServices(String name) {
        return name.startsWith(SERVICES)
                && name.indexOf('/', SERVICES.length()) < 0
                && name.length() > SERVICES.length();
    }
}
