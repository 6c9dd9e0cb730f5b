package dev.patientharbor.start;

import java.util.Optional;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.commons.Method;

/**
 * A place in a class where a lambda or a method reference is made.
 *
 * @param method the method of the interface, as the interface declares it
 * @param factory takes what the lambda holds, returns the interface
 * @param called what the method calls: first with what is held, then with what it is given
 * @param given the method as this lambda is used: its types are as narrow as the compiler knows
 */
record LambdaSite(Method method, Type factory, Handle called, Type given) {

    private static final String WRITER = "java/lang/invoke/LambdaMetafactory";

    /** Reads an instruction; empty for one that is no lambda, or one of a rare kind. */
    static Optional<LambdaSite> of(
            String name, String descriptor, Handle bootstrap, Object... arguments) {
        if (!bootstrap.getOwner().equals(WRITER) || !bootstrap.getName().equals("metafactory")) {
            return Optional.empty();
        }
        Method method = new Method(name, ((Type) arguments[0]).getDescriptor());
        Handle called = (Handle) arguments[1];
        return Optional.of(
                new LambdaSite(
                        method, Type.getMethodType(descriptor), called, (Type) arguments[2]));
    }

    Type contract() {
        return factory.getReturnType();
    }

    /** What the lambda holds on to, in the order in which it is handed over. */
    Type[] held() {
        return factory.getArgumentTypes();
    }

    /** The types that the called method takes, first of all the object that it is called on. */
    Type[] taken() {
        Type[] declared = Type.getArgumentTypes(called.getDesc());
        if (called.getTag() == Opcodes.H_INVOKESTATIC
                || called.getTag() == Opcodes.H_NEWINVOKESPECIAL) {
            return declared;
        }
        Type[] taken = new Type[declared.length + 1];
        taken[0] = Type.getObjectType(called.getOwner());
        System.arraycopy(declared, 0, taken, 1, declared.length);
        return taken;
    }

    Type returned() {
        return called.getTag() == Opcodes.H_NEWINVOKESPECIAL
                ? Type.getObjectType(called.getOwner())
                : Type.getReturnType(called.getDesc());
    }
}
