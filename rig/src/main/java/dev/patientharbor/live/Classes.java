package dev.patientharbor.live;

import dev.patientharbor.model.TypeRef;
import dev.patientharbor.model.TypeRef.ArrayType;
import dev.patientharbor.model.TypeRef.ClassType;
import dev.patientharbor.model.TypeRef.Primitive;
import java.lang.invoke.MethodType;
import java.util.Optional;

/** Loads classes by the names that the class files give them. May be used by several threads. */
public final class Classes {

    private final ClassLoader loader;

    public Classes(ClassLoader loader) {
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
        String parameters = descriptor.substring(0, descriptor.indexOf(')') + 1);
        return parameters.equals("()")
                ? new Class<?>[0]
                : MethodType.fromMethodDescriptorString(parameters + 'V', loader).parameterArray();
    }

    /** The class behind a type, without its arguments. */
    public Class<?> erased(TypeRef type) {
        if (type instanceof ArrayType array) {
            return erased(array.element()).arrayType();
        }
        if (type instanceof Primitive primitive) {
            return MethodType.fromMethodDescriptorString("()" + code(primitive), loader)
                    .returnType();
        }
        return type instanceof ClassType named ? load(named.name()) : Object.class;
    }

    private static char code(Primitive primitive) {
        return switch (primitive.name()) {
            case "boolean" -> 'Z';
            case "byte" -> 'B';
            case "char" -> 'C';
            case "double" -> 'D';
            case "float" -> 'F';
            case "int" -> 'I';
            case "long" -> 'J';
            default -> 'S';
        };
    }
}
