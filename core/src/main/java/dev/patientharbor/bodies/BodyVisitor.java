package dev.patientharbor.bodies;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.FieldVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.tree.ClassNode;

/** Collects what the bodies of one class make and call; follows no values. */
final class BodyVisitor extends ClassVisitor {

    private static final String LAMBDAS = "java/lang/invoke/LambdaMetafactory";

    private final UnaryOperator<String> names;
    private final List<MethodBody> methods = new ArrayList<>();
    private final Set<MethodName> natives = new HashSet<>(0);
    private final List<ClassBodies.Field> fields = new ArrayList<>(0);
    private final Set<String> changed = new HashSet<>(0);
    private final Map<MethodName, MethodName> called = new HashMap<>();
    private final Set<String> made = new HashSet<>(0);
    private String owner;
    private Optional<String> source = Optional.empty();

    private BodyVisitor(UnaryOperator<String> names) {
        super(Opcodes.ASM9);
        this.names = names;
    }

    /**
     * Reads a class file.
     *
     * @param names makes the binary name of an internal one
     */
    static ClassBodies read(byte[] file, UnaryOperator<String> names) {
        BodyVisitor visitor = new BodyVisitor(names);
        new ClassReader(file).accept(visitor, ClassReader.SKIP_FRAMES);
        return visitor.bodies();
    }

    /** Reads a class that was read already. */
    static ClassBodies of(ClassNode tree) {
        BodyVisitor visitor = new BodyVisitor(ObtainedReader::className);
        tree.accept(visitor);
        return visitor.bodies();
    }

    private ClassBodies bodies() {
        return new ClassBodies(owner, source, methods, natives, fields, changed, made);
    }

    @Override
    public void visit(
            int version,
            int access,
            String name,
            String signature,
            String superName,
            String[] interfaces) {
        owner = names.apply(name);
    }

    @Override
    public void visitSource(String file, String debug) {
        source = Optional.ofNullable(file);
    }

    @Override
    public FieldVisitor visitField(
            int access, String name, String type, String signature, Object value) {
        if ((access & Opcodes.ACC_SYNTHETIC) == 0) {
            fields.add(
                    new ClassBodies.Field(
                            name,
                            Type.getType(type).getClassName(),
                            (access & Opcodes.ACC_STATIC) != 0,
                            (access & Opcodes.ACC_FINAL) != 0,
                            (access & Opcodes.ACC_ENUM) != 0 || value != null));
        }
        return null;
    }

    @Override
    public MethodVisitor visitMethod(
            int access, String name, String type, String signature, String[] thrown) {
        MethodName method = new MethodName(owner, name, type);
        if ((access & Opcodes.ACC_NATIVE) != 0) {
            natives.add(method);
        }
        boolean hasBody = (access & (Opcodes.ACC_NATIVE | Opcodes.ACC_ABSTRACT)) == 0;
        return hasBody ? new Calls(method) : null;
    }

    /** The same object for the same name: a class calls few methods, and those often. */
    private MethodName called(MethodName name) {
        MethodName known = called.putIfAbsent(name, name);
        return known == null ? name : known;
    }

    /** Collects what one method calls, and what it makes. */
    private final class Calls extends MethodVisitor {
        private final MethodName method;
        private final List<MemberUse> calls = new ArrayList<>();

        /** In which ways each was called so far. */
        private final Map<MethodName, Integer> ways = new HashMap<>();

        private int line;

        Calls(MethodName method) {
            super(Opcodes.ASM9);
            this.method = method;
        }

        @Override
        public void visitLineNumber(int number, Label start) {
            line = number;
        }

        @Override
        public void visitTypeInsn(int instruction, String type) {
            if (instruction == Opcodes.NEW) {
                made.add(names.apply(type));
            }
        }

        @Override
        public void visitMethodInsn(
                int instruction, String of, String name, String type, boolean ofInterface) {
            boolean isStatic = instruction == Opcodes.INVOKESTATIC;
            boolean isVirtual = !isStatic && instruction != Opcodes.INVOKESPECIAL;
            add(of, name, type, isStatic, isVirtual);
        }

        @Override
        public void visitFieldInsn(int instruction, String of, String name, String type) {
            if (instruction == Opcodes.GETSTATIC) {
                add(of, name, type, true, false);
            } else if (instruction != Opcodes.GETFIELD && !method.isInitializer()) {
                changed.add(names.apply(of) + '#' + name);
            }
        }

        @Override
        public void visitInvokeDynamicInsn(
                String name, String type, Handle bootstrap, Object... arguments) {
            if (bootstrap.getOwner().equals(LAMBDAS)) {
                Handle body = (Handle) arguments[1];
                int tag = body.getTag();
                if (tag == Opcodes.H_NEWINVOKESPECIAL) {
                    made.add(names.apply(body.getOwner()));
                }
                add(
                        body.getOwner(),
                        body.getName(),
                        body.getDesc(),
                        tag == Opcodes.H_INVOKESTATIC,
                        tag == Opcodes.H_INVOKEINTERFACE || tag == Opcodes.H_INVOKEVIRTUAL);
            }
        }

        private void add(String of, String name, String type, boolean isStatic, boolean isVirtual) {
            MethodName called = called(new MethodName(names.apply(of), name, type));
            int way = isStatic ? 1 : isVirtual ? 2 : 4;
            int before = ways.getOrDefault(called, 0);
            // What is called again in the same way leads nowhere else.
            if ((before & way) == 0) {
                ways.put(called, before | way);
                calls.add(new MemberUse(called, isStatic, isVirtual, line));
            }
        }

        @Override
        public void visitEnd() {
            methods.add(new MethodBody(method, calls));
        }
    }
}
