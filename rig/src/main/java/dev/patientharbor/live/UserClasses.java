package dev.patientharbor.live;

import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.TypeRef.Primitive;
import java.lang.invoke.MethodType;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Loads classes by the names that the class files give them. May be used by several threads. */
public final class UserClasses {

    private final ClassLoader loader;

    public UserClasses(ClassLoader loader) {
        this.loader = loader;
    }

    /**
     * The class of that binary name; it is not initialised by this.
     *
     * @throws LinkageError if it is not there or cannot be linked
     */
    public Class<?> load(String binaryName) {
        try {
            return Class.forName(binaryName, false, loader);
        } catch (ClassNotFoundException missing) {
            throw new NoClassDefFoundError(binaryName);
        }
    }

    /** The class of that binary name, if it is there. */
    public Optional<Class<?>> find(String binaryName) {
        try {
            return Optional.of(Class.forName(binaryName, false, loader));
        } catch (ClassNotFoundException missing) {
            return Optional.empty();
        }
    }

    /** The erased parameter types of a descriptor, as in JVMS 4.3.3. */
    public Class<?>[] parameters(String descriptor) {
        List<Class<?>> types = new ArrayList<>();
        int at = 1;
        while (descriptor.charAt(at) != ')') {
            int start = at;
            while (descriptor.charAt(at) == '[') {
                at++;
            }
            at = descriptor.charAt(at) == 'L' ? descriptor.indexOf(';', at) + 1 : at + 1;
            types.add(ofDescriptor(descriptor.substring(start, at)));
        }
        return types.toArray(new Class<?>[0]);
    }

    private Class<?> ofDescriptor(String descriptor) {
        return switch (descriptor.charAt(0)) {
            case '[' -> ofDescriptor(descriptor.substring(1)).arrayType();
            case 'L' -> load(descriptor.substring(1, descriptor.length() - 1).replace('/', '.'));
            case 'Z' -> boolean.class;
            case 'B' -> byte.class;
            case 'C' -> char.class;
            case 'D' -> double.class;
            case 'F' -> float.class;
            case 'I' -> int.class;
            case 'J' -> long.class;
            default -> short.class;
        };
    }

    /** The class behind a type, without its arguments. */
    public Class<?> erased(TypeRef type) {
        if (type instanceof ArrayType array) {
            return erased(array.element()).arrayType();
        }
        if (type instanceof Primitive primitive) {
            return ofDescriptor(code(primitive));
        }
        return type instanceof ClassType named ? load(named.name()) : Object.class;
    }

    /** The class itself, or that of the objects in which a primitive type is boxed. */
    public static Class<?> boxed(Class<?> type) {
        return type.isPrimitive() ? MethodType.methodType(type).wrap().returnType() : type;
    }

    private static String code(Primitive primitive) {
        return switch (primitive.name()) {
            case "boolean" -> "Z";
            case "byte" -> "B";
            case "char" -> "C";
            case "double" -> "D";
            case "float" -> "F";
            case "int" -> "I";
            case "long" -> "J";
            default -> "S";
        };
    }
}
