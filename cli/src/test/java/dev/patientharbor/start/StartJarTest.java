package dev.patientharbor.start;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.jar.JarOutputStream;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/** What the launcher runs does the same as what was built. */
class StartJarTest {

    private static final String SHAPES =
            """
            package quay;
            import java.io.Serializable;
            import java.util.*;
            import java.util.function.*;
            import java.util.stream.*;
            public class Shapes extends Base implements Named {
                interface Wide { long of(int a, Integer b, short c, double d); }
                interface Narrow<T extends Comparable<T>> { boolean of(T a, T b); }
                record Crate(String name, int weight) {}
                record None() {}
                record Every(boolean a, byte b, char c, short d, int e, long f, float g, double h,
                        String i, int[] j, Crate k, List<Crate> l) {
                    Every with(float other) { return new Every(a, b, c, d, e, f, other, h, i, j, k, l); }
                }
                static Every every(int n) {
                    int[] shared = {n};
                    boolean a = n % 2 == 0;
                    return new Every(a, (byte) n, (char) ('a' + n), (short) -n, n * 7, n * 1L << 40, n / 2f,
                            -n / 3.0, n % 3 == 0 ? null : "t" + n, null, new Crate("c", n), List.of());
                }
                enum Tone { LOW, HIGH; private static Tone next(Tone tone) { return values()[1]; } }
                private final int own = 7;
                private int secret(int x) { return x * own; }
                private static String hidden(Object x) { return "<" + x + ">"; }
                private Shapes() {}
                private Shapes(String s) { System.out.println("made with " + s); }
                static void say(Object what) { System.out.println(what); }
                static int counted;
                static long count() { return ++counted; }
                @Override protected String base(String s) { return "mine " + s; }
                public static void main(String[] args) { new Shapes().run("x", 5, 6L, 2.5, 'c'); }
                void run(String text, int number, long large, double real, char letter) {
                    Runnable dropped = Shapes::count;
                    dropped.run();
                    say(counted);
                    Function<Integer, Integer> boxed = this::secret;
                    say(boxed.apply(3));
                    IntUnaryOperator plain = this::secret;
                    say(plain.applyAsInt(4));
                    ToLongFunction<Integer> widened = Integer::intValue;
                    say(widened.applyAsLong(12));
                    IntFunction<Object> wrapped = Integer::valueOf;
                    say(wrapped.apply(9));
                    IntToDoubleFunction real2 = i -> i / 2.0;
                    say(real2.applyAsDouble(3));
                    Wide wide = (a, b, c, d) -> a + b + c + (long) d + large + number;
                    say(wide.of(1, 2, (short) 3, 4.5));
                    Supplier<String> held = () -> text + number + large + real + letter + own;
                    say(held.get());
                    Narrow<String> narrow = String::equals;
                    say(narrow.of("a", "a"));
                    BiFunction<String, Integer, Crate> made = Crate::new;
                    say(made.apply("box", 3));
                    Function<Crate, Integer> read = Crate::weight;
                    say(read.apply(new Crate("c", 8)));
                    ToIntFunction<Crate> unboxed = Crate::weight;
                    say(unboxed.applyAsInt(new Crate("c", 8)));
                    Function<String, Shapes> own2 = Shapes::new;
                    own2.apply("private");
                    IntFunction<int[]> array = int[]::new;
                    say(array.apply(3).length);
                    Supplier<Supplier<String>> nested = () -> () -> hidden(text);
                    say(nested.get().get());
                    UnaryOperator<String> above = super::base;
                    UnaryOperator<String> mine = this::base;
                    say(above.apply("a") + mine.apply("b"));
                    say(Stream.of(Tone.LOW).map(Tone::next).toList());
                    say(called("d"));
                    Comparator<String> kept = (Comparator<String> & Serializable) (a, b) -> b.compareTo(a);
                    say(Stream.of("a", "c", "b").sorted(kept).toList());
                    record Local(int x) {}
                    say(new None() + " " + new None().hashCode() + new None().equals(new None()));
                    say(new Local(3) + " " + new Local(3).equals(new Local(4)));
                    for (int i = 0; i < 4; i++) {
                        say(every(i) + " " + every(i).hashCode());
                        for (int j = 0; j < 4; j++) {
                            say(every(i).equals(every(j)) + " " + every(i).equals("x"));
                        }
                    }
                    Every odd = every(1).with(Float.NaN);
                    say(odd.equals(every(1).with(Float.NaN)) + " " + odd.equals(null) + odd.equals(odd));
                    say(every(1).with(0f).equals(every(1).with(-0f)));
                    List<Crate> crates = new ArrayList<>();
                    for (int i = 0; i < 40; i++) {
                        crates.add(new Crate("n" + i * 7 % 5, i * 11 % 3));
                    }
                    Comparator<Crate> byName = Comparator.comparing(Crate::name);
                    Comparator<Crate> byWeight = Comparator.comparingInt(Crate::weight);
                    Comparator<Crate> down = Comparator.comparing(Crate::name, Comparator.reverseOrder());
                    for (Comparator<Crate> order : List.of(byName, byWeight, down, byWeight.reversed(),
                            byName.thenComparing(byWeight), byWeight.thenComparing(Crate::name),
                            byWeight.thenComparing(Crate::name, Comparator.reverseOrder()),
                            down.thenComparingInt(Crate::weight))) {
                        say(crates.stream().sorted(order).toList());
                    }
                    Callback callback = new Callback() {
                        private String inner() { return "inner " + own; }
                        public Supplier<String> later() { return this::inner; }
                    };
                    say(callback.later().get());
                    say(IntStream.range(0, 5).mapToObj(i -> "n" + i).collect(Collectors.joining(",")));
                    say(Stream.of("bb", "a").collect(Collectors.toMap(s -> s, String::length)));
                    say(Stream.of("bb", "a").collect(Collectors.joining()));
                    say(Stream.of("bb", "a").collect(Collectors.joining("; ", "(", ")")));
                    say(Stream.of(3, 1, 3).collect(Collectors.toList()));
                    say(Stream.of(3, 1, 3).collect(Collectors.toSet()));
                    say(IntStream.range(0, 5000).parallel().boxed().collect(Collectors.toList()).hashCode());
                    say(IntStream.range(0, 5000).parallel().boxed().collect(Collectors.toSet()).hashCode());
                    say(IntStream.range(0, 5000).parallel().mapToObj(i -> "" + i).collect(Collectors.joining(",")));
                    say(together((byte) 1, (short) 2, 'c', 4, 5L, 6f, 7.0, true, null, new char[0].length, crates));
                    say("\1" + number + "\2" + letter + '\1' + large);
                    String sum = null;
                    sum += sum + number;
                    say(sum);
                    say(Optional.of(text).map(String::length).filter(n -> n > 0).isPresent());
                    Object lock = new Object();
                    Supplier<String> bound = Objects.requireNonNull(text)::toUpperCase;
                    say(bound.get());
                    Supplier<Runnable> same = () -> Shapes::count;
                    say(same.get() == same.get());
                    Function<Object, String> broad = Shapes::hidden;
                    Function<? super String, ? extends Object> used = broad;
                    say(used.apply("q"));
                    Predicate<List<String>> empty = List::isEmpty;
                    say(empty.negate().test(List.of()));
                    DoubleSupplier fromFloat = () -> 1.5f;
                    say(fromFloat.getAsDouble());
                    LongSupplier fromChar = () -> letter;
                    say(fromChar.getAsLong());
                    try {
                        ((Function) (Function<String, Integer>) String::length).apply(4);
                    } catch (ClassCastException fault) {
                        say("no text");
                    }
                    try {
                        Supplier<String> none = ((String) null)::trim;
                    } catch (NullPointerException fault) {
                        say("nothing to trim");
                    }
                }
                static String together(byte a, short b, char c, int d, long e, float f, double g, boolean h,
                        Object i, Integer j, List<Crate> k) {
                    return a + "|" + b + c + d + e + f + g + h + i + j + k.get(0) + "";
                }
                interface Callback { Supplier<String> later(); }
            }
            class Base {
                protected String base(String s) { return "base " + s; }
            }
            interface Named {
                private String quiet(String s) { return "quiet " + s + s.length(); }
                default String called(String s) {
                    Function<String, String> f = this::quiet;
                    Function<String, String> g = x -> f.apply(x) + quiet(x);
                    return g.apply(s);
                }
            }
            """;

    @Test
    void every_kind_of_lambda_does_the_same_as_a_class(@TempDir Path folder) throws Exception {
        Path built = folder.resolve("built.jar");
        Path start = folder.resolve("start.jar");
        pack(filesBelow(JavaCode.compile(SHAPES)), built);
        StartJar.main(new String[] {built.toString(), start.toString()});
        assertEquals(run(built), run(start));
        Set<String> left = Set.copyOf(lambdas(start));
        assertFalse(lambdas(built).isEmpty());
        assertEquals(Set.of("quay/Shapes.class altMetafactory"), left, "a serializable one");
    }

    private static final String READER =
            """
            package quay;
            import java.util.Arrays;
            import org.objectweb.asm.*;
            public class Shapes {
                public static void main(String[] args) throws Exception {
                    for (String name : new String[] {"quay.Shapes", "java.util.HashMap"}) {
                        ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_FRAMES);
                        new ClassReader(name).accept(writer, 0);
                        System.out.println(Arrays.hashCode(writer.toByteArray()));
                    }
                }
            }
            class Boat {}
            class Barge extends Boat {}
            class Lost {
                Object pick(boolean one) {
                    Boat boat = one ? new Barge() : new Boat();
                    return boat.toString();
                }
            }
            """;

    /** The interfaces of the JDK of which lambdas are, that one class may have together. */
    @Test
    void interfaces_of_java_util_have_no_default_method_in_common() throws Exception {
        Map<String, Class<?>> defaults = new TreeMap<>();
        Set<String> lambdas = new HashSet<>();
        Path functions = Path.of(URI.create("jrt:/java.base/java/util"));
        try (Stream<Path> files = Files.walk(functions)) {
            for (Path file : files.filter(path -> path.toString().endsWith(".class")).toList()) {
                String name = functions.getParent().getParent().relativize(file).toString();
                Class<?> type =
                        Class.forName(
                                name.substring(0, name.length() - 6).replace('/', '.'),
                                false,
                                null);
                if (!type.isAnnotationPresent(FunctionalInterface.class)) {
                    continue;
                }
                for (Method method : type.getDeclaredMethods()) {
                    String shape = method.getName() + Type.getMethodDescriptor(method);
                    if (method.isDefault()) {
                        assertNull(defaults.put(shape, type), type + " " + shape);
                    } else if (Modifier.isAbstract(method.getModifiers())) {
                        lambdas.add(shape);
                    }
                }
            }
        }
        assertTrue(defaults.size() > 30 && lambdas.size() > 30, defaults + " " + lambdas);
        assertTrue(Collections.disjoint(defaults.keySet(), lambdas));
    }

    @Test
    void old_classes_do_the_same_when_they_are_verified_as_new_ones(@TempDir Path folder)
            throws Exception {
        Path library =
                Path.of(
                        ClassReader.class
                                .getProtectionDomain()
                                .getCodeSource()
                                .getLocation()
                                .toURI());
        Map<String, byte[]> old = filesOfJar(library);
        old.putAll(filesBelow(JavaCode.compile(READER, "-cp", library.toString())));
        // What Lost does cannot be told: one of the classes that it names is not there.
        old.remove("quay/Barge.class");
        old.get("quay/Lost.class")[7] = Opcodes.V1_5;
        Path built = folder.resolve("built.jar");
        Path start = folder.resolve("start.jar");
        pack(old, built);
        StartJar.main(new String[] {built.toString(), start.toString()});
        assertEquals(run(built), run(start));
        assertTrue(oldClasses(old).size() > 30);
        assertEquals(Set.of("quay/Lost.class"), oldClasses(filesOfJar(start)));
    }

    private static Set<String> oldClasses(Map<String, byte[]> files) {
        return files.keySet().stream()
                .filter(name -> name.endsWith(".class") && files.get(name)[7] <= Opcodes.V1_5)
                .collect(Collectors.toSet());
    }

    @Test
    void what_was_copied_holds_every_file_and_is_the_same_each_time(@TempDir Path folder)
            throws Exception {
        Path built = folder.resolve("built.jar");
        pack(filesBelow(Path.of("target", "classes")), built);
        Path once = folder.resolve("once.jar");
        Path again = folder.resolve("again.jar");
        StartJar.main(new String[] {built.toString(), once.toString()});
        StartJar.main(new String[] {built.toString(), again.toString()});
        assertEquals(-1, Files.mismatch(once, again));
        assertTrue(filesOfJar(once).keySet().containsAll(filesOfJar(built).keySet()));
        assertEquals(List.of(), lambdas(once));
    }

    private static String run(Path jar) throws Exception {
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        Process process =
                new ProcessBuilder(java, "-Xverify:all", "-cp", jar.toString(), "quay.Shapes")
                        .redirectErrorStream(true)
                        .start();
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertEquals(0, process.waitFor(), out);
        return out.replaceAll("OpenJDK.*warning.*\n", "");
    }

    private static void pack(Map<String, byte[]> files, Path jar) throws IOException {
        try (JarOutputStream out = new JarOutputStream(Files.newOutputStream(jar))) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                out.putNextEntry(new JarEntry(file.getKey()));
                out.write(file.getValue());
            }
        }
    }

    private static Map<String, byte[]> filesBelow(Path folder) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                files.put(folder.relativize(file).toString(), Files.readAllBytes(file));
            }
        }
        return files;
    }

    private static Map<String, byte[]> filesOfJar(Path path) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        try (JarFile jar = new JarFile(path.toFile())) {
            for (JarEntry entry : jar.stream().filter(each -> !each.isDirectory()).toList()) {
                files.put(entry.getName(), jar.getInputStream(entry).readAllBytes());
            }
        }
        return files;
    }

    /** The classes in which the virtual machine still has to write one. */
    private static List<String> lambdas(Path jar) throws IOException {
        List<String> found = new ArrayList<>();
        filesOfJar(jar)
                .forEach(
                        (name, bytes) -> {
                            if (name.endsWith(".class")) {
                                new ClassReader(bytes).accept(new Finder(name, found), 0);
                            }
                        });
        return found;
    }

    private static final class Finder extends ClassVisitor {
        private final String name;
        private final List<String> found;

        Finder(String name, List<String> found) {
            super(Opcodes.ASM9);
            this.name = name;
            this.found = found;
        }

        @Override
        public MethodVisitor visitMethod(
                int access, String method, String type, String signature, String[] thrown) {
            return new MethodVisitor(Opcodes.ASM9) {
                @Override
                public void visitInvokeDynamicInsn(
                        String called, String site, Handle bootstrap, Object... arguments) {
                    found.add(name + " " + bootstrap.getName());
                }

                @Override
                public void visitMethodInsn(
                        int opcode, String owner, String called, String type, boolean inInterface) {
                    boolean isOfText =
                            owner.endsWith("/Collectors")
                                    && List.of("joining", "toList", "toSet").contains(called)
                                    && !name.endsWith("CollectorMethods.class");
                    if (isOfText
                            || owner.equals("java/util/Comparator")
                                    && called.contains("omparing")) {
                        found.add(name + " " + called);
                    }
                }
            };
        }
    }
}
