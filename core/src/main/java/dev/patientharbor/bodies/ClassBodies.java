package dev.patientharbor.bodies;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * What the bodies of one class make and call.
 *
 * @param name the binary name of the class
 * @param source the name of the source file, if the class file says it
 * @param methods its methods that have a body, in the order of the class file
 * @param natives its methods that are not Java's
 * @param fields its fields, those of the compiler left out
 * @param changed the fields that it sets after the object, or the class, is made: {@code
 *     CLASS#NAME}
 * @param made the binary names of the classes of which it makes objects
 */
public record ClassBodies(
        String name,
        Optional<String> source,
        List<MethodBody> methods,
        Set<MethodName> natives,
        List<Field> fields,
        Set<String> changed,
        Set<String> made) {

    public ClassBodies {
        methods = List.copyOf(methods);
        natives = Set.copyOf(natives);
        fields = List.copyOf(fields);
        changed = Set.copyOf(changed);
        made = Set.copyOf(made);
    }

    /**
     * A field.
     *
     * @param type its erased type, as people write it
     * @param isConstant whether it is a constant of an enum, or is written down as a value
     */
    public record Field(
            String name, String type, boolean isStatic, boolean isFinal, boolean isConstant) {}

    /**
     * Reads a class file.
     *
     * @param names makes the binary name of an internal one: one that remembers them saves memory
     * @throws RuntimeException of any kind if the file is damaged
     */
    public static ClassBodies read(byte[] file, UnaryOperator<String> names) {
        return BodyVisitor.read(file, names);
    }
}
