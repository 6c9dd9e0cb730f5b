package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.objectweb.asm.AnnotationVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.FieldVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/** Class files that no compiler makes cost no more than their size, or are told as unreadable. */
class HostileClassesTest {

    private static final String OBJECT = "java/lang/Object";
    private static final Duration LONGEST = Duration.ofSeconds(30);

    @TempDir Path temp;

    private static ClassWriter type(String name, String signature, String above) {
        ClassWriter writer = new ClassWriter(0);
        writer.visit(
                Opcodes.V17, Opcodes.ACC_PUBLIC | Opcodes.ACC_SUPER, name, signature, above, null);
        return writer;
    }

    private static ClassWriter constructor(
            ClassWriter writer, String descriptor, String signature, String above) {
        MethodVisitor made =
                writer.visitMethod(Opcodes.ACC_PUBLIC, "<init>", descriptor, signature, null);
        made.visitCode();
        made.visitVarInsn(Opcodes.ALOAD, 0);
        made.visitMethodInsn(Opcodes.INVOKESPECIAL, above, "<init>", "()V", false);
        made.visitInsn(Opcodes.RETURN);
        made.visitMaxs(1, 200);
        made.visitEnd();
        return writer;
    }

    private void put(String name, ClassWriter writer) throws IOException {
        writer.visitEnd();
        Path file = temp.resolve("code").resolve(name + ".class");
        Files.createDirectories(file.getParent());
        Files.write(file, writer.toByteArray());
    }

    private String told(String bindings) throws IOException {
        Path file =
                Files.writeString(
                        temp.resolve("it.harbor.yaml"),
                        "patient-harbor: 1\n"
                                + "code: code\n"
                                + "packages: [p]\n"
                                + "entry: [p.*]\n"
                                + "profiles: { a: { bindings: "
                                + bindings
                                + " } }\n");
        Ran ran = assertTimeoutPreemptively(LONGEST, () -> Ran.tool("check", file.toString()));
        assertTrue(ran.code() < 2, ran.err());
        assertTrue(ran.out().length() < 10_000, "output of " + ran.out().length());
        return ran.out().replaceAll("\\s+", " ");
    }

    private void assertTold(String bindings, String text) throws IOException {
        String told = told(bindings);
        assertTrue(told.contains(text), told);
    }

    private void asks(String type, String signature) throws IOException {
        put("p/C", constructor(type("p/C", null, OBJECT), "(" + type + ")V", signature, OBJECT));
    }

    @Test
    void arrays_of_as_many_dimensions_as_there_may_be_and_more() throws IOException {
        asks("[".repeat(255) + "Lp/X;" + "[".repeat(255) + "Lp/X;", null);
        assertTold("{}", "is wanted as X[][][]");
        for (int more : List.of(256, 30_000)) {
            asks("[".repeat(more) + "Lp/X;", null);
            assertTold("{}", "cannot be read: it has an array of more than 255 dimensions.");
        }
    }

    @Test
    void types_and_annotations_that_are_nested_deep() throws IOException {
        asks(
                "Ljava/util/Set;",
                "(" + "Ljava/util/List<".repeat(99) + "Lp/X;" + ">;".repeat(99) + ")V");
        assertTold("{}", "List<List<List");
        asks(
                "Ljava/util/Set;",
                "(" + "Ljava/util/List<".repeat(3000) + "Lp/X;" + ">;".repeat(3000) + ")V");
        assertTold("{}", "cannot be read: it has a type that is nested deeper than 100 levels.");
        ClassWriter marked = type("p/C", null, OBJECT);
        nest(marked.visitAnnotation("Lp/M;", true), 3000);
        put("p/C", constructor(marked, "()V", null, OBJECT));
        assertTold("{}", "cannot be read: it has an annotation that is nested deeper than 100");
    }

    private static void nest(AnnotationVisitor outer, int levels) {
        AnnotationVisitor inner = outer.visitAnnotation("m", "Lp/M;");
        if (levels > 0) {
            nest(inner, levels - 1);
        }
        inner.visitEnd();
        outer.visitEnd();
    }

    @Test
    void thousands_of_constructors_fields_and_superclasses() throws IOException {
        ClassWriter many = type("p/C", null, OBJECT);
        for (int i = 0; i < 10_000; i++) {
            constructor(many, "(Lp/X" + i + ";)V", null, OBJECT);
        }
        put("p/C", many);
        assertTold("{}", "and 9990 more");
        asks("Lp/H0;", null);
        for (int i = 0; i < 5000; i++) {
            String above = i == 0 ? OBJECT : "p/H" + (i - 1);
            ClassWriter next = type("p/H" + i, null, above);
            if (i % 1000 == 0) {
                FieldVisitor field = next.visitField(0, "f", "Lp/C;", null, null);
                field.visitAnnotation("Ljakarta/inject/Inject;", true).visitEnd();
                field.visitEnd();
            }
            put("p/H" + i, constructor(next, "()V", null, above));
        }
        assertTold("{ H0: H4999 }", "1 profile");
    }

    @Test
    void supertypes_that_double_their_arguments_and_extend_themselves() throws IOException {
        put(
                "p/D0",
                constructor(
                        type("p/D0", "<T:Ljava/lang/Object;>Ljava/lang/Object;", OBJECT),
                        "()V",
                        null,
                        OBJECT));
        for (int i = 1; i < 60; i++) {
            String above = "p/D" + (i - 1);
            String signature = "<T:Ljava/lang/Object;>L" + above + "<Ljava/util/Map<TT;TT;>;>;";
            put("p/D" + i, constructor(type("p/D" + i, signature, above), "()V", null, above));
        }
        put("p/S1", type("p/S1", null, "p/S2"));
        put("p/S2", constructor(type("p/S2", null, "p/S1"), "(Lp/S1;)V", null, "p/S1"));
        asks("Lp/D0;", "(Lp/D0<Ljava/lang/String;>;)V");
        assertTold("{ \"D0<String>\": D59 }", "does-not-fit");
    }

    @Test
    void of_a_jar_with_versions_the_one_for_this_java_is_read() throws IOException {
        asks("Lp/X;", null);
        byte[] base = Files.readAllBytes(temp.resolve("code/p/C.class"));
        asks("Lp/Y;", null);
        byte[] newer = Files.readAllBytes(temp.resolve("code/p/C.class"));
        asks("Lp/Z;", null);
        byte[] far = Files.readAllBytes(temp.resolve("code/p/C.class"));
        for (boolean versions : List.of(true, false)) {
            Path jar = temp.resolve("versions-" + versions + ".jar");
            try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(jar))) {
                String manifest = "Manifest-Version: 1.0\nMulti-Release: " + versions + "\n\n";
                entry(out, "META-INF/MANIFEST.MF", manifest.getBytes(StandardCharsets.UTF_8));
                entry(out, "META-INF/versions/9/p/C.class", base);
                entry(out, "META-INF/versions/17/p/C.class", newer);
                entry(out, "META-INF/versions/9999/p/C.class", far);
                entry(out, "p/C.class", base);
            }
            Path file =
                    Files.writeString(
                            temp.resolve("jar.harbor.yaml"),
                            "patient-harbor: 1\ncode: "
                                    + jar
                                    + "\nentry: [p.C]\nprofiles: { a: {} }\n");
            Ran ran = Ran.tool("check", file.toString());
            assertTrue(ran.out().contains(versions ? "C asks for Y" : "C asks for X"), ran.out());
            assertEquals(1, ran.code());
        }
    }

    private static void entry(ZipOutputStream jar, String name, byte[] bytes) throws IOException {
        jar.putNextEntry(new ZipEntry(name));
        jar.write(bytes);
        jar.closeEntry();
    }
}
