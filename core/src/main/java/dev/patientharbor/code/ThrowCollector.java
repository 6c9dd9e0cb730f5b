package dev.patientharbor.code;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/** Finds methods that never return: they throw, and have no return instruction. */
final class ThrowCollector extends ClassVisitor {

    private final Set<String> found;
    private final Map<String, String> bridges = new HashMap<>();

    ThrowCollector(Set<String> found) {
        super(Opcodes.ASM9);
        this.found = found;
    }

    @Override
    public MethodVisitor visitMethod(
            int access, String name, String descriptor, String generic, String[] thrown) {
        boolean bridge = (access & Opcodes.ACC_BRIDGE) != 0;
        return new Body(name + descriptor, bridge);
    }

    @Override
    public void visitEnd() {
        // What the compiler adds only leads on to the method as it was written.
        for (Map.Entry<String, String> bridge : bridges.entrySet()) {
            if (found.contains(bridge.getValue())) {
                found.add(bridge.getKey());
            }
        }
    }

    private final class Body extends MethodVisitor {
        private final String key;
        private final boolean bridge;
        private boolean throwsOne;
        private boolean returns;

        Body(String key, boolean bridge) {
            super(Opcodes.ASM9);
            this.key = key;
            this.bridge = bridge;
        }

        @Override
        public void visitInsn(int opcode) {
            throwsOne |= opcode == Opcodes.ATHROW;
            returns |= opcode >= Opcodes.IRETURN && opcode <= Opcodes.RETURN;
        }

        @Override
        public void visitMethodInsn(
                int opcode, String owner, String name, String descriptor, boolean ofInterface) {
            if (bridge) {
                bridges.put(key, name + descriptor);
            }
        }

        @Override
        public void visitEnd() {
            if (throwsOne && !returns) {
                found.add(key);
            }
        }
    }
}
