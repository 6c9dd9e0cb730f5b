package dev.patientharbor.code;

import java.util.Map;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Finds methods that do nothing but return a constant: a text, a whole number, or a constant of an
 * enum.
 */
final class ConstantCollector extends ClassVisitor {

    private final FactsRequest request;
    private final Map<String, ConstantFacts> found;

    ConstantCollector(FactsRequest request, Map<String, ConstantFacts> found) {
        super(Opcodes.ASM9);
        this.request = request;
        this.found = found;
    }

    @Override
    public MethodVisitor visitMethod(
            int access, String name, String descriptor, String generic, String[] thrown) {
        boolean compilersOwn = (access & Opcodes.ACC_SYNTHETIC) != 0;
        return !compilersOwn && request.isConstant(name, descriptor) ? new Body(name) : null;
    }

    /**
     * A constant is pushed, perhaps boxed, and returned; whatever else happens is reported apart.
     */
    private final class Body extends MethodVisitor {
        private final String method;
        private ConstantFacts pushed;
        private boolean more;

        Body(String method) {
            super(Opcodes.ASM9);
            this.method = method;
        }

        private void push(ConstantFacts constant) {
            more |= pushed != null;
            pushed = constant;
        }

        @Override
        public void visitLdcInsn(Object value) {
            boolean known = value instanceof String || value instanceof Integer;
            more |= !known;
            push(ConstantFacts.plain(value));
        }

        @Override
        public void visitIntInsn(int opcode, int operand) {
            more |= opcode == Opcodes.NEWARRAY;
            push(ConstantFacts.plain(operand));
        }

        @Override
        public void visitFieldInsn(int opcode, String owner, String name, String descriptor) {
            more |= opcode != Opcodes.GETSTATIC || !descriptor.equals('L' + owner + ';');
            push(ConstantFacts.field(owner, name));
        }

        @Override
        public void visitInsn(int opcode) {
            boolean returns = opcode == Opcodes.ARETURN || opcode == Opcodes.IRETURN;
            if (opcode >= Opcodes.ICONST_M1 && opcode <= Opcodes.ICONST_5) {
                push(ConstantFacts.plain(opcode - Opcodes.ICONST_0));
            } else if (returns && !more && pushed != null) {
                found.put(method, pushed);
            } else {
                more = true;
            }
        }

        @Override
        public void visitMethodInsn(
                int opcode, String owner, String name, String descriptor, boolean ofInterface) {
            more |= !(owner.equals("java/lang/Integer") && name.equals("valueOf"));
        }

        @Override
        public void visitVarInsn(int opcode, int variable) {
            more = true;
        }

        @Override
        public void visitTypeInsn(int opcode, String type) {
            more = true;
        }

        @Override
        public void visitJumpInsn(int opcode, Label label) {
            more = true;
        }
    }
}
