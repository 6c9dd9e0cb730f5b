package dev.patientharbor.start;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.commons.GeneratorAdapter;
import org.objectweb.asm.commons.Method;

/**
 * A text that is put together of parts, for which the virtual machine writes code when it is first
 * met, as {@code java.lang.invoke.StringConcatFactory} describes it.
 *
 * @param number tells it from others of its class
 * @param descriptor of what it takes, and of what it returns
 * @param parts texts that are always the same, and empty for what is taken, in order
 */
record JoinedText(int number, String descriptor, List<Optional<String>> parts) {

    private static final String WRITER = "java/lang/invoke/StringConcatFactory";
    private static final Type BUILDER = Type.getType(StringBuilder.class);
    private static final char TAKEN = '\1';
    private static final char CONSTANT = '\2';

    /** A builder, what is appended, of two words, and what is made of it. */
    private static final int MOST_STACK = 4;

    /** Reads an instruction; empty for one that puts nothing together. */
    static Optional<JoinedText> of(
            int number, String descriptor, Handle bootstrap, Object... arguments) {
        if (!bootstrap.getOwner().equals(WRITER)
                || !bootstrap.getName().equals("makeConcatWithConstants")) {
            return Optional.empty();
        }
        List<Optional<String>> parts = new ArrayList<>();
        StringBuilder text = new StringBuilder();
        int constant = 1;
        for (char letter : ((String) arguments[0]).toCharArray()) {
            if (letter == CONSTANT && !isWritten(arguments[constant])) {
                return Optional.empty();
            }
            if (letter == TAKEN) {
                parts.add(Optional.of(text.toString()));
                parts.add(Optional.empty());
                text.setLength(0);
            } else if (letter == CONSTANT) {
                text.append(arguments[constant++]);
            } else {
                text.append(letter);
            }
        }
        parts.add(Optional.of(text.toString()));
        return Optional.of(new JoinedText(number, descriptor, parts));
    }

    /** Whether a constant is known as text before the code runs. */
    private static boolean isWritten(Object constant) {
        return constant instanceof String || constant instanceof Number;
    }

    /** The name of the method that is written for it. */
    String written() {
        return "joined$" + number;
    }

    /** Writes it into its class, as a static method. */
    void write(ClassVisitor to) {
        int access = Opcodes.ACC_PRIVATE | Opcodes.ACC_STATIC | Opcodes.ACC_SYNTHETIC;
        GeneratorAdapter code =
                new GeneratorAdapter(
                        to.visitMethod(access, written(), descriptor, null, null),
                        access,
                        written(),
                        descriptor);
        code.visitCode();
        code.newInstance(BUILDER);
        code.dup();
        code.invokeConstructor(BUILDER, new Method("<init>", "()V"));
        Type[] taken = Type.getArgumentTypes(descriptor);
        int next = 0;
        for (Optional<String> part : parts) {
            if (part.isEmpty()) {
                code.loadArg(next);
                append(code, appended(taken[next++]));
            } else if (!part.get().isEmpty()) {
                code.push(part.get());
                append(code, Type.getType(String.class));
            }
        }
        code.invokeVirtual(BUILDER, Method.getMethod("String toString()"));
        code.returnValue();
        code.visitMaxs(MOST_STACK, Type.getArgumentsAndReturnSizes(descriptor) >> 2);
        code.visitEnd();
    }

    private static void append(GeneratorAdapter code, Type type) {
        code.invokeVirtual(BUILDER, new Method("append", BUILDER, new Type[] {type}));
    }

    /**
     * What a builder takes for a value: all objects as objects, and what is less than an int as
     * one.
     */
    static Type appended(Type type) {
        return switch (type.getSort()) {
            case Type.BYTE, Type.SHORT -> Type.INT_TYPE;
            case Type.OBJECT, Type.ARRAY -> Type.getType(Object.class);
            default -> type;
        };
    }
}
