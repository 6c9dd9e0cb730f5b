package dev.patientharbor.code;

import java.lang.reflect.Modifier;
import java.util.Arrays;
import java.util.Optional;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Takes parameter names from the tables of local variables, where a class was compiled without
 * parameter names.
 */
final class ParameterNameCollector extends ClassVisitor {

    private final FactsCollector facts;

    ParameterNameCollector(FactsCollector facts) {
        super(Opcodes.ASM9);
        this.facts = facts;
    }

    @Override
    public MethodVisitor visitMethod(
            int access, String name, String descriptor, String generic, String[] thrown) {
        // No visitor, no work: the bytecode library passes over the bodies of all other methods.
        Optional<ExecutableCollector> wanting = facts.wanting(name, descriptor);
        return wanting.isPresent()
                ? new Names(wanting.get(), Modifier.isStatic(access), descriptor)
                : null;
    }

    private static final class Names extends MethodVisitor {
        private final ExecutableCollector wanting;
        private final int[] parameterOfSlot;
        private final String[] names;

        Names(ExecutableCollector wanting, boolean isStatic, String descriptor) {
            super(Opcodes.ASM9);
            this.wanting = wanting;
            Type[] types = Type.getArgumentTypes(descriptor);
            names = new String[types.length];
            Arrays.fill(names, "");
            int slots = isStatic ? 0 : 1;
            int[] ofSlot = new int[2 * types.length + 1];
            Arrays.fill(ofSlot, -1);
            for (int i = 0; i < types.length; i++) {
                ofSlot[slots] = i;
                slots += types[i].getSize();
            }
            parameterOfSlot = ofSlot;
        }

        @Override
        public void visitLocalVariable(
                String name, String descriptor, String generic, Label start, Label end, int slot) {
            if (slot < parameterOfSlot.length
                    && parameterOfSlot[slot] >= 0
                    && names[parameterOfSlot[slot]].isEmpty()) {
                names[parameterOfSlot[slot]] = name;
            }
        }

        @Override
        public void visitEnd() {
            wanting.parameterNames(Arrays.asList(names));
        }
    }
}
