package dev.patientharbor.code;

import dev.patientharbor.terms.TypeRef;
import java.util.List;
import java.util.Optional;

/**
 * A method as a class file names it that calls it.
 *
 * @param owner the binary name of the type on which it is called
 * @param name its name
 * @param descriptor its erased types, as in JVMS 4.3.3
 */
public record MethodFacts(String owner, String name, String descriptor) {

    /** Whether it returns nothing. */
    public boolean isVoid() {
        return descriptor.endsWith(")V");
    }

    /** Returns name and erased types in one text. */
    public String key() {
        return name + descriptor;
    }

    /** The method of a type by name and erased types in one. */
    public static MethodFacts of(String owner, String key) {
        int types = key.indexOf('(');
        return new MethodFacts(owner, key.substring(0, types), key.substring(types));
    }

    /** The erased types of its parameters. */
    public List<TypeRef> parameterTypes() {
        return TypeSignatures.parameters(descriptor, Optional.empty());
    }
}
