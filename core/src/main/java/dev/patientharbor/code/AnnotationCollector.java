package dev.patientharbor.code;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.objectweb.asm.AnnotationVisitor;
import org.objectweb.asm.Opcodes;

/** Collects the members of one annotation, or the elements of one array in it, as text. */
final class AnnotationCollector extends AnnotationVisitor {

    private final Map<String, String> members = new TreeMap<>();
    private final List<String> values = new ArrayList<>(1);
    private final Runnable done;
    private final int depth;

    AnnotationCollector(Consumer<Map<String, String>> done) {
        this(0, done);
    }

    private AnnotationCollector(int depth, Consumer<Map<String, String>> done) {
        super(Opcodes.ASM9);
        ShapeLimit.check(depth);
        this.depth = depth;
        this.done = () -> done.accept(members);
    }

    private AnnotationCollector(int depth, boolean array, Consumer<String> done) {
        super(Opcodes.ASM9);
        ShapeLimit.check(depth);
        this.depth = depth;
        this.done = () -> done.accept(array ? values.toString().replace(", ", ",") : values.get(0));
    }

    /** Collects one value without a name, such as the default of a member. */
    static AnnotationCollector single(Consumer<String> done) {
        return new AnnotationCollector(0, false, done);
    }

    private void put(String name, String value) {
        values.add(value);
        if (name != null) {
            members.put(name, value);
        }
    }

    @Override
    public void visit(String name, Object value) {
        put(
                name,
                value.getClass().isArray()
                        ? PrimitiveArrays.text(value)
                        : FactsCollector.text(value));
    }

    @Override
    public void visitEnum(String name, String type, String constant) {
        put(name, constant);
    }

    @Override
    public AnnotationVisitor visitAnnotation(String name, String type) {
        return new AnnotationCollector(
                depth + 1,
                inner ->
                        put(
                                name,
                                '@'
                                        + type.substring(1, type.length() - 1).replace('/', '.')
                                        + inner));
    }

    @Override
    public AnnotationVisitor visitArray(String name) {
        return new AnnotationCollector(depth + 1, true, text -> put(name, text));
    }

    @Override
    public void visitEnd() {
        done.run();
    }

    /** The text of an array of a primitive type. */
    private static final class PrimitiveArrays {
        static String text(Object array) {
            List<String> values = new ArrayList<>();
            for (int i = 0; i < java.lang.reflect.Array.getLength(array); i++) {
                values.add(String.valueOf(java.lang.reflect.Array.get(array, i)));
            }
            return values.toString().replace(", ", ",");
        }
    }
}
