package dev.patientharbor.bodies;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.MethodInsnNode;
import org.objectweb.asm.tree.VarInsnNode;
import org.objectweb.asm.tree.analysis.SourceInterpreter;
import org.objectweb.asm.tree.analysis.SourceValue;

/**
 * Follows each value back to the instruction that it comes from: through variables, casts, and what
 * the JDK holds or wraps it in, such as lists.
 */
final class OriginInterpreter extends SourceInterpreter {

    OriginInterpreter() {
        super(Opcodes.ASM9);
    }

    @Override
    public SourceValue newParameterValue(boolean isInstanceMethod, int local, Type type) {
        return new SourceValue(type.getSize(), new VarInsnNode(Opcodes.ALOAD, local));
    }

    @Override
    public SourceValue copyOperation(AbstractInsnNode instruction, SourceValue value) {
        return value;
    }

    @Override
    public SourceValue unaryOperation(AbstractInsnNode instruction, SourceValue value) {
        return instruction.getOpcode() == Opcodes.CHECKCAST
                ? value
                : super.unaryOperation(instruction, value);
    }

    @Override
    public SourceValue naryOperation(
            AbstractInsnNode instruction, List<? extends SourceValue> values) {
        SourceValue made = super.naryOperation(instruction, values);
        if (!(instruction instanceof MethodInsnNode call) || !call.owner.startsWith("java/")) {
            return made;
        }
        Set<AbstractInsnNode> all = new HashSet<>(made.insns);
        values.forEach(value -> all.addAll(value.insns));
        return new SourceValue(made.size, all);
    }
}
