package dev.patientharbor.tracing;

import org.objectweb.asm.Type;
import org.objectweb.asm.tree.analysis.Value;

/** A value on the stack or in a variable. */
record Operand(TracedValue value, int size) implements Value {

    static Operand of(TracedValue value) {
        return new Operand(value, 1);
    }

    static Operand of(TracedValue value, Type type) {
        return new Operand(value, type.getSize());
    }

    @Override
    public int getSize() {
        return size;
    }
}
