package dev.patientharbor.start;

import java.util.Map;
import org.objectweb.asm.Type;
import org.objectweb.asm.commons.GeneratorAdapter;

/**
 * Writes how a value of one type becomes one of another, as the language does it between a method
 * of an interface and what a lambda calls: casting, boxing, unboxing, widening.
 */
final class ValueConversion {

    private static final Map<String, Type> UNBOXED =
            Map.of(
                    "java/lang/Boolean", Type.BOOLEAN_TYPE,
                    "java/lang/Byte", Type.BYTE_TYPE,
                    "java/lang/Character", Type.CHAR_TYPE,
                    "java/lang/Short", Type.SHORT_TYPE,
                    "java/lang/Integer", Type.INT_TYPE,
                    "java/lang/Long", Type.LONG_TYPE,
                    "java/lang/Float", Type.FLOAT_TYPE,
                    "java/lang/Double", Type.DOUBLE_TYPE);

    private ValueConversion() {}

    /**
     * Writes it; the value is on the stack.
     *
     * @param known what the compiler knows of the value: as narrow as {@code from}, or narrower
     */
    static void of(Type from, Type known, Type to, GeneratorAdapter code) {
        if (isPrimitive(from) && isPrimitive(to)) {
            code.cast(from, to);
        } else if (isPrimitive(from)) {
            code.valueOf(from);
        } else if (isPrimitive(to)) {
            Type boxed =
                    isPrimitive(known) || !UNBOXED.containsKey(known.getInternalName())
                            ? from
                            : known;
            Type unboxed = UNBOXED.getOrDefault(boxed.getInternalName(), to);
            code.unbox(unboxed);
            code.cast(unboxed, to);
        } else {
            code.checkCast(to);
        }
    }

    private static boolean isPrimitive(Type type) {
        return type.getSort() < Type.ARRAY;
    }
}
