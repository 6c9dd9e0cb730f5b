package dev.patientharbor.start;

import java.util.Arrays;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.commons.GeneratorAdapter;
import org.objectweb.asm.commons.Method;

/** Writes the class whose objects a lambda makes, as one would write it by hand. */
final class LambdaClass {

    private static final String ONLY = "only";
    private static final Type OBJECT = Type.getType(Object.class);

    private final LambdaSite site;
    private final Type itself;
    private final ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_MAXS);

    private LambdaClass(LambdaSite site, String name) {
        this.site = site;
        itself = Type.getObjectType(name);
    }

    /**
     * The bytes of the class.
     *
     * @param name of the class, with slashes
     * @param host the class to whose nest it belongs, so that it may call what is private there
     */
    static byte[] of(LambdaSite site, String name, String host, int version) {
        return new LambdaClass(site, name).written(host, version);
    }

    /** The instruction that hands out an object: what it holds is on the stack. */
    static void make(LambdaSite site, String name, GeneratorAdapter code) {
        Type itself = Type.getObjectType(name);
        if (site.held().length == 0) {
            code.getStatic(itself, ONLY, site.contract());
        } else {
            code.invokeStatic(itself, factory(site));
        }
    }

    private static Method factory(LambdaSite site) {
        return new Method("holding", site.factory().getDescriptor());
    }

    private byte[] written(String host, int version) {
        String[] interfaces = {site.contract().getInternalName()};
        int access = Opcodes.ACC_FINAL | Opcodes.ACC_SUPER | Opcodes.ACC_SYNTHETIC;
        writer.visit(
                version,
                access,
                itself.getInternalName(),
                null,
                OBJECT.getInternalName(),
                interfaces);
        writer.visitNestHost(host);
        Type[] held = site.held();
        for (int i = 0; i < held.length; i++) {
            int kind = Opcodes.ACC_PRIVATE | Opcodes.ACC_FINAL;
            writer.visitField(kind, field(i), held[i].getDescriptor(), null, null).visitEnd();
        }
        writeConstructor(held);
        if (held.length == 0) {
            writeOnly();
        } else {
            writeFactory(held);
        }
        writeMethod(held);
        writer.visitEnd();
        return writer.toByteArray();
    }

    private void writeConstructor(Type[] held) {
        GeneratorAdapter code = method(Opcodes.ACC_PRIVATE, constructor(held));
        code.loadThis();
        code.invokeConstructor(OBJECT, constructor());
        for (int i = 0; i < held.length; i++) {
            code.loadThis();
            code.loadArg(i);
            code.putField(itself, field(i), held[i]);
        }
        code.returnValue();
        code.endMethod();
    }

    /** A lambda that holds nothing is one object, as it is where the virtual machine writes it. */
    private void writeOnly() {
        int kind = Opcodes.ACC_STATIC | Opcodes.ACC_FINAL;
        writer.visitField(kind, ONLY, site.contract().getDescriptor(), null, null).visitEnd();
        GeneratorAdapter code = method(Opcodes.ACC_STATIC, new Method("<clinit>", "()V"));
        code.newInstance(itself);
        code.dup();
        code.invokeConstructor(itself, constructor());
        code.putStatic(itself, ONLY, site.contract());
        code.returnValue();
        code.endMethod();
    }

    private void writeFactory(Type[] held) {
        GeneratorAdapter code = method(Opcodes.ACC_STATIC, factory(site));
        code.newInstance(itself);
        code.dup();
        code.loadArgs();
        code.invokeConstructor(itself, constructor(held));
        code.returnValue();
        code.endMethod();
    }

    private void writeMethod(Type[] held) {
        GeneratorAdapter code = method(Opcodes.ACC_PUBLIC, site.method());
        Handle called = site.called();
        Type owner = Type.getObjectType(called.getOwner());
        if (called.getTag() == Opcodes.H_NEWINVOKESPECIAL) {
            code.newInstance(owner);
            code.dup();
        }
        Type[] taken = site.taken();
        Type[] declared = site.method().getArgumentTypes();
        Type[] known = site.given().getArgumentTypes();
        for (int i = 0; i < held.length; i++) {
            code.loadThis();
            code.getField(itself, field(i), held[i]);
        }
        for (int i = 0; i < declared.length; i++) {
            code.loadArg(i);
            ValueConversion.of(declared[i], known[i], taken[held.length + i], code);
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
        code.returnValue();
        code.endMethod();
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

    private GeneratorAdapter method(int access, Method method) {
        GeneratorAdapter code =
                new GeneratorAdapter(
                        writer.visitMethod(
                                access, method.getName(), method.getDescriptor(), null, null),
                        access,
                        method.getName(),
                        method.getDescriptor());
        code.visitCode();
        return code;
    }

    private static Method constructor(Type... held) {
        return new Method("<init>", Type.VOID_TYPE, Arrays.copyOf(held, held.length));
    }

    private static String field(int number) {
        return "held" + number;
    }
}
