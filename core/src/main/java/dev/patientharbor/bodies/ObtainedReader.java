package dev.patientharbor.bodies;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.ClassNode;
import org.objectweb.asm.tree.FieldInsnNode;
import org.objectweb.asm.tree.InvokeDynamicInsnNode;
import org.objectweb.asm.tree.LdcInsnNode;
import org.objectweb.asm.tree.LineNumberNode;
import org.objectweb.asm.tree.MethodInsnNode;
import org.objectweb.asm.tree.MethodNode;
import org.objectweb.asm.tree.TypeInsnNode;

/** Finds where a class makes or fetches objects; follows no values. */
final class ObtainedReader {

    private ObtainedReader() {}

    /**
     * The objects that a class makes or fetches itself, in the order of the class file.
     *
     * @param ours the nest of the class
     */
    static List<ObjectOrigin.Obtained> read(ClassNode tree, NestMembership ours) {
        List<ObjectOrigin.Obtained> obtained = new ArrayList<>();
        for (MethodNode method : tree.methods) {
            MethodName name = new MethodName(className(tree.name), method.name, method.desc);
            int line = 0;
            for (AbstractInsnNode each : method.instructions) {
                if (each instanceof LineNumberNode number) {
                    line = number.line;
                }
                int at = line;
                source(each, ours)
                        .ifPresent(
                                source -> obtained.add(obtained(source, name, at, method, each)));
            }
        }
        return obtained;
    }

    /** The origin that an instruction is, if it obtains an object. */
    static ObjectOrigin.Obtained obtained(
            ObjectSource source, MethodName in, int line, MethodNode method, AbstractInsnNode at) {
        return new ObjectOrigin.Obtained(source, in, line, method.instructions.indexOf(at));
    }

    /** What a lambda or a method reference runs. */
    static Optional<Handle> lambda(AbstractInsnNode instruction) {
        return instruction instanceof InvokeDynamicInsnNode made
                        && made.bsm.getOwner().equals("java/lang/invoke/LambdaMetafactory")
                ? Optional.of((Handle) made.bsmArgs[1])
                : Optional.empty();
    }

    /**
     * How an instruction obtains an object, if it does.
     *
     * @param ours the nest of the class
     */
    static Optional<ObjectSource> source(AbstractInsnNode instruction, NestMembership ours) {
        if (instruction.getOpcode() == Opcodes.NEW) {
            return made((TypeInsnNode) instruction);
        }
        if (instruction instanceof FieldInsnNode field
                && field.getOpcode() == Opcodes.GETSTATIC
                && field.desc.charAt(0) == 'L'
                && (!ours.has(className(field.owner))
                        || ours.isConstant(className(field.owner), field.name))) {
            return Optional.of(
                    new ObjectSource.StaticField(
                            className(field.owner),
                            field.name,
                            Type.getType(field.desc).getClassName()));
        }
        if (instruction instanceof MethodInsnNode call
                && call.getOpcode() == Opcodes.INVOKESTATIC
                && !ours.has(className(call.owner))) {
            return fetched(call);
        }
        return lambda(instruction).map(body -> written(body, (InvokeDynamicInsnNode) instruction));
    }

    /** What a constructor reference yields is the object that it makes later. */
    private static ObjectSource written(Handle body, InvokeDynamicInsnNode lambda) {
        return body.getTag() == Opcodes.H_NEWINVOKESPECIAL
                ? new ObjectSource.New(className(body.getOwner()), name(body))
                : new ObjectSource.Lambda(
                        Type.getReturnType(lambda.desc).getClassName(), name(body));
    }

    /** The constructor that the object goes to is the next one that is called for such a class. */
    private static Optional<ObjectSource> made(TypeInsnNode instruction) {
        int open = 0;
        for (AbstractInsnNode each = instruction.getNext(); each != null; each = each.getNext()) {
            if (each.getOpcode() == Opcodes.NEW
                    && ((TypeInsnNode) each).desc.equals(instruction.desc)) {
                open++;
            } else if (each instanceof MethodInsnNode call
                    && call.name.equals("<init>")
                    && call.owner.equals(instruction.desc)
                    && open-- == 0) {
                return Optional.of(new ObjectSource.New(className(instruction.desc), name(call)));
            }
        }
        return Optional.empty();
    }

    private static Optional<ObjectSource> fetched(MethodInsnNode call) {
        Type result = Type.getReturnType(call.desc);
        if (call.owner.equals("java/util/ServiceLoader") && call.name.startsWith("load")) {
            return constant(call, Type.class)
                    .map(type -> new ObjectSource.Service(type.getClassName()));
        }
        if (call.owner.equals("java/lang/Class") && call.name.equals("forName")) {
            return constant(call, String.class).map(ObjectSource.ClassByName::new);
        }
        return result.getSort() == Type.OBJECT
                ? Optional.of(new ObjectSource.StaticMethod(name(call), result.getClassName()))
                : Optional.empty();
    }

    /** The constant that is loaded for a call, if it stands right before it. */
    private static <T> Optional<T> constant(AbstractInsnNode call, Class<T> kind) {
        for (AbstractInsnNode each = call.getPrevious(); each != null; each = each.getPrevious()) {
            if (each instanceof LdcInsnNode load && kind.isInstance(load.cst)) {
                return Optional.of(kind.cast(load.cst));
            }
            if (each instanceof LineNumberNode || each instanceof MethodInsnNode) {
                return Optional.empty();
            }
        }
        return Optional.empty();
    }

    static MethodName name(MethodInsnNode call) {
        return new MethodName(className(call.owner), call.name, call.desc);
    }

    static MethodName name(Handle handle) {
        return new MethodName(className(handle.getOwner()), handle.getName(), handle.getDesc());
    }

    static String className(String internalName) {
        return internalName.replace('/', '.');
    }
}
