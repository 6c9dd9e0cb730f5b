package dev.patientharbor.rig;

import java.lang.invoke.MethodType;

/** Primitive types and the classes of their boxes. */
final class Boxes {

    private Boxes() {}

    static Class<?> boxed(Class<?> type) {
        return type.isPrimitive() ? MethodType.methodType(type).wrap().returnType() : type;
    }
}
