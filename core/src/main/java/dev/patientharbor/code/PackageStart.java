package dev.patientharbor.code;

import dev.patientharbor.files.SizeLimit;
import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import org.objectweb.asm.ClassReader;

/**
 * Where packages start in a folder or jar: usually at its root; in {@code classes/gullwing/port}
 * further in, and in {@code target} further out than the root. The first class that can be read
 * shows it.
 *
 * @param before what comes before the paths of the files: {@code gullwing/port/}
 * @param leftOut what the paths of files begin with that is no package: {@code classes/}
 */
record PackageStart(String before, String leftOut) {

    private static final PackageStart AT_ROOT = new PackageStart("", "");

    /** The most files that are tried until one can be read. */
    static final int MOST_TRIED = 5;

    static PackageStart of(List<ClassFile> files) {
        for (ClassFile file : first(files)) {
            String path = withoutEnd(file.name());
            String inside = nameInside(file);
            if (inside.equals(path)) {
                return AT_ROOT;
            }
            if (inside.endsWith('/' + path)) {
                return new PackageStart(inside.substring(0, inside.length() - path.length()), "");
            }
            if (path.endsWith('/' + inside)) {
                return new PackageStart("", path.substring(0, path.length() - inside.length()));
            }
        }
        return AT_ROOT;
    }

    /** The first files by name, so that the answer does not depend on the order of the files. */
    private static List<ClassFile> first(List<ClassFile> files) {
        PriorityQueue<ClassFile> first =
                new PriorityQueue<>(Comparator.comparing(ClassFile::name).reversed());
        for (ClassFile file : files) {
            if (first.size() < MOST_TRIED) {
                first.add(file);
            } else if (file.name().compareTo(first.peek().name()) < 0) {
                first.poll();
                first.add(file);
            }
        }
        return first.stream().sorted(Comparator.comparing(ClassFile::name)).toList();
    }

    /** Returns whether packages start where paths do. */
    boolean isRoot() {
        return before.isEmpty() && leftOut.isEmpty();
    }

    /** Returns the binary name of the class that belongs into a file of some path. */
    String className(String file) {
        String path = withoutEnd(file);
        String inPackage =
                path.startsWith(leftOut) ? before + path.substring(leftOut.length()) : path;
        return inPackage.replace('/', '.');
    }

    private static String withoutEnd(String path) {
        return path.substring(0, path.length() - ClassSource.CLASS.length());
    }

    /** The name of the class that is in a file, with slashes; blank if it cannot be read. */
    private static String nameInside(ClassFile file) {
        try {
            return new ClassReader(file.bytes(SizeLimit.CLASS_FILE)).getClassName();
        } catch (IOException | RuntimeException damaged) {
            return "";
        }
    }
}
