package dev.patientharbor.code;

import dev.patientharbor.files.SizeLimit;
import java.io.IOException;
import java.util.List;
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

    private static final String CLASS = ".class";
    private static final PackageStart AT_ROOT = new PackageStart("", "");

    /** The most files that are tried until one can be read. */
    private static final int MOST_TRIED = 5;

    static PackageStart of(List<ClassFile> files) {
        for (ClassFile file : files.subList(0, Math.min(files.size(), MOST_TRIED))) {
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

    /** Returns the binary name of the class that belongs into a file. */
    String className(ClassFile file) {
        String path = withoutEnd(file.name());
        String inPackage =
                path.startsWith(leftOut) ? before + path.substring(leftOut.length()) : path;
        return inPackage.replace('/', '.');
    }

    private static String withoutEnd(String path) {
        return path.substring(0, path.length() - CLASS.length());
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
