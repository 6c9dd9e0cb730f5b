package dev.patientharbor.tracing;

import org.objectweb.asm.Type;
import org.objectweb.asm.tree.analysis.Value;

/** A value on the stack or in a variable. */
record OperandValue(TracedValue value, int size) implements Value {

    static OperandValue of(TracedValue value) {
        return new OperandValue(value, 1);
    }

    static OperandValue of(TracedValue value, Type type) {
        return new OperandValue(value, type.getSize());
    }

    @Override
    public int getSize() {
        return size;
    }
}
