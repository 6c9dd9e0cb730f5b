package dev.patientharbor.start;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.jar.JarOutputStream;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Copies a jar so that it starts sooner: lambdas become objects of classes, the methods of records
 * are written down, some methods of the JDK are replaced by others, which the copy holds ({@link
 * ReplacedMethods}), texts are put together without the virtual machine's help, and old classes are
 * written as {@link OldClass} says.
 *
 * <p>The virtual machine writes a class where a lambda is first met, or takes it from a class-data
 * archive, and both take it ten times as long as a class that is there. A check meets hundreds. For
 * the methods of a record it takes longer yet. What the code does stays the same.
 */
public final class StartJar {

    private static final String CLASS = ".class";

    private StartJar() {}

    /**
     * Copies.
     *
     * @param args the jar, and the jar to write
     */
    public static void main(String[] args) throws IOException {
        write(Path.of(args[0]), Path.of(args[1]));
    }

    private static void write(Path from, Path to) throws IOException {
        Map<String, byte[]> files = read(from);
        for (Class<?> holder : ReplacedMethods.holders()) {
            files.putIfAbsent(Type.getInternalName(holder) + CLASS, bytes(holder));
        }
        renewOldClasses(files, from);
        Map<String, List<String>> members = new HashMap<>();
        Map<String, byte[]> written = new TreeMap<>();
        files.forEach(
                (name, bytes) -> {
                    if (name.endsWith(CLASS) && hasNests(bytes)) {
                        ClassRewrite rewrite = ClassRewrite.of(bytes);
                        written.put(name, rewrite.bytes());
                        for (LambdaClass lambdas : rewrite.lambdaClasses()) {
                            written.put(lambdas.name() + CLASS, lambdas.bytes());
                            members.computeIfAbsent(rewrite.host(), host -> new ArrayList<>())
                                    .add(lambdas.name());
                        }
                    }
                });
        members.forEach(
                (host, added) ->
                        written.computeIfPresent(
                                host + CLASS,
                                (name, bytes) -> ClassRewrite.withMembers(bytes, added)));
        files.forEach(written::putIfAbsent);
        try (JarOutputStream jar = new JarOutputStream(Files.newOutputStream(to))) {
            for (Map.Entry<String, byte[]> file : written.entrySet()) {
                JarEntry entry = new JarEntry(file.getKey());
                entry.setTime(0);
                jar.putNextEntry(entry);
                jar.write(file.getValue());
            }
        }
    }

    private static void renewOldClasses(Map<String, byte[]> files, Path jar) throws IOException {
        URL[] places = {jar.toUri().toURL()};
        ClassLoader platform = ClassLoader.getPlatformClassLoader();
        try (URLClassLoader loader = new URLClassLoader(places, platform)) {
            files.replaceAll(
                    (name, bytes) ->
                            name.endsWith(CLASS) && OldClass.is(version(bytes))
                                    ? OldClass.renewed(bytes, loader)
                                    : bytes);
        }
    }

    private static byte[] bytes(Class<?> own) throws IOException {
        try (var bytes = own.getResourceAsStream(own.getSimpleName() + CLASS)) {
            return bytes.readAllBytes();
        }
    }

    /**
     * Whether a class may have others in its nest, which see its private members: since Java 11.
     */
    private static boolean hasNests(byte[] bytes) {
        return version(bytes) >= Opcodes.V11;
    }

    private static int version(byte[] bytes) {
        return (bytes[6] & 0xFF) << 8 | bytes[7] & 0xFF;
    }

    private static Map<String, byte[]> read(Path path) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        try (JarFile jar = new JarFile(path.toFile())) {
            jar.stream()
                    .filter(entry -> !entry.isDirectory())
                    .forEach(
                            entry -> {
                                try (var bytes = jar.getInputStream(entry)) {
                                    files.put(entry.getName(), bytes.readAllBytes());
                                } catch (IOException fault) {
                                    throw new UncheckedIOException(fault);
                                }
                            });
        }
        return files;
    }
}
