package dev.patientharbor.bodies;

import java.util.Arrays;
import java.util.List;
import org.objectweb.asm.Type;

/**
 * A method in bytecode; or a static field, where both are meant.
 *
 * @param owner the binary name of the class
 * @param descriptor its parameters and result, as in JVMS 4.3.3; the type of a field
 */
public record MethodName(String owner, String name, String descriptor) {

    /** Returns whether it is a constructor. */
    public boolean isConstructor() {
        return name.equals("<init>");
    }

    /** Returns whether it makes an object or a class ready: what it sets does not change later. */
    public boolean isInitializer() {
        return isConstructor() || name.equals("<clinit>");
    }

    /** Returns the erased types of its parameters, in order, as binary names. */
    public List<String> parameterTypes() {
        return Arrays.stream(Type.getArgumentTypes(descriptor)).map(Type::getClassName).toList();
    }

    /** Returns whether it is the body of a lambda. */
    public boolean isLambda() {
        return name.startsWith("lambda$");
    }

    /** Returns what a reader of the source calls it; for the body of a lambda, where it stands. */
    public String inSource() {
        if (isInitializer()) {
            return isConstructor() ? "constructor" : "static initializer";
        }
        if (!isLambda()) {
            return name;
        }
        String inside = name.substring(name.indexOf('$') + 1);
        String member = inside.substring(0, Math.max(0, inside.lastIndexOf('$')));
        return switch (member) {
            case "new" -> "constructor";
            case "static", "" -> "static initializer";
            default -> member;
        };
    }

    // Written out: the ones made for records are slow at first, and these are the hottest keys.
    @Override
    public boolean equals(Object other) {
        return other instanceof MethodName that
                && name.equals(that.name)
                && owner.equals(that.owner)
                && descriptor.equals(that.descriptor);
    }

    @Override
    public int hashCode() {
        return 31 * (31 * owner.hashCode() + name.hashCode()) + descriptor.hashCode();
    }
}
