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
 * @param staticFields its static fields, those of the compiler left out
 * @param made the binary names of the classes of which it makes objects
 */
public record ClassBodies(
        String name,
        Optional<String> source,
        List<MethodBody> methods,
        Set<MethodName> natives,
        List<StaticField> staticFields,
        Set<String> made) {

    public ClassBodies {
        methods = List.copyOf(methods);
        natives = Set.copyOf(natives);
        staticFields = List.copyOf(staticFields);
        made = Set.copyOf(made);
    }

    /**
     * A static field.
     *
     * @param type its erased type, as people write it
     */
    public record StaticField(String name, String type, boolean isFinal) {}

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
