package dev.patientharbor.start;

import java.util.function.IntConsumer;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.commons.GeneratorAdapter;

/** Writes what a lambda does when its method is called: it calls another one. */
final class LambdaCall {

    private LambdaCall() {}

    /**
     * Writes it into the method of the interface.
     *
     * @param load writes the instructions that load what the lambda holds, by number
     */
    static void write(LambdaSite site, IntConsumer load, GeneratorAdapter code) {
        Handle called = site.called();
        if (called.getTag() == Opcodes.H_NEWINVOKESPECIAL) {
            code.newInstance(Type.getObjectType(called.getOwner()));
            code.dup();
        }
        int held = site.held().length;
        for (int i = 0; i < held; i++) {
            load.accept(i);
        }
        Type[] taken = site.taken();
        Type[] declared = site.method().getArgumentTypes();
        Type[] known = site.given().getArgumentTypes();
        for (int i = 0; i < declared.length; i++) {
            code.loadArg(i);
            ValueConversion.of(declared[i], known[i], taken[held + i], code);
        }
        code.visitMethodInsn(
                instruction(called),
                called.getOwner(),
                called.getName(),
                called.getDesc(),
                called.isInterface());
        Type wanted = site.method().getReturnType();
        if (wanted.equals(Type.VOID_TYPE)) {
            drop(site.returned(), code);
        } else {
            ValueConversion.of(site.returned(), site.given().getReturnType(), wanted, code);
        }
    }

    private static int instruction(Handle called) {
        return switch (called.getTag()) {
            case Opcodes.H_INVOKESTATIC -> Opcodes.INVOKESTATIC;
            case Opcodes.H_NEWINVOKESPECIAL -> Opcodes.INVOKESPECIAL;
            case Opcodes.H_INVOKEINTERFACE -> Opcodes.INVOKEINTERFACE;
            default -> called.isInterface() ? Opcodes.INVOKEINTERFACE : Opcodes.INVOKEVIRTUAL;
        };
    }

    private static void drop(Type value, GeneratorAdapter code) {
        if (value.getSize() == 2) {
            code.pop2();
        } else if (value.getSize() == 1) {
            code.pop();
        }
    }
}
