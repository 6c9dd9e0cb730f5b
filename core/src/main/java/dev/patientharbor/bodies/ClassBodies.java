package dev.patientharbor.bodies;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What the bodies of one class make, fetch and call.
 *
 * @param name the binary name of the class
 * @param source the name of the source file, if the class file says it
 * @param methods its methods that have a body, in the order of the class file
 * @param natives its methods that are not Java's
 * @param staticFields its static fields, those of the compiler left out
 * @param obtained the objects that it makes or fetches itself, in that order
 */
public record ClassBodies(
        String name,
        Optional<String> source,
        List<MethodBody> methods,
        Set<MethodName> natives,
        List<StaticField> staticFields,
        List<ObjectOrigin.Obtained> obtained) {

    /**
     * A static field.
     *
     * @param type its erased type, as people write it
     */
    public record StaticField(String name, String type, boolean isFinal) {}

    public ClassBodies {
        methods = List.copyOf(methods);
        staticFields = List.copyOf(staticFields);
        natives = Set.copyOf(natives);
        obtained = List.copyOf(obtained);
    }
}
