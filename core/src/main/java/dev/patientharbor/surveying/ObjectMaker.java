package dev.patientharbor.surveying;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ExecutableFacts;
import java.util.List;
import java.util.Optional;

/**
 * What makes an object: a class, or a method of a class.
 *
 * @param name the class, or {@code CLASS#METHOD}
 * @param members the constructors, or the methods, that may be called for it
 * @param yields the class of the object, as far as it is known
 */
public record ObjectMaker(String name, List<MethodName> members, Optional<String> yields) {

    private static final String CONSTRUCTOR = "<init>";

    public ObjectMaker {
        members = List.copyOf(members);
    }

    /**
     * Something that a plan holds.
     *
     * @param name the class, or {@code CLASS#METHOD}
     * @param made the constructor or the method, as far as it is known
     */
    public static ObjectMaker of(
            String name, Optional<ExecutableFacts> made, Optional<String> yields) {
        String className = name.split("#")[0];
        return new ObjectMaker(
                name,
                made.stream()
                        .map(each -> new MethodName(className, each.name(), each.descriptor()))
                        .toList(),
                yields);
    }

    /** A class, made by whatever constructor; of one that cannot be read the name alone. */
    static ObjectMaker ofClass(String name, Optional<ClassFacts> facts) {
        return new ObjectMaker(
                name,
                facts.map(ClassFacts::constructors).orElse(List.of()).stream()
                        .map(made -> new MethodName(name, CONSTRUCTOR, made.descriptor()))
                        .toList(),
                Optional.of(name));
    }

    /** Returns the class that is made, or has the method. */
    String className() {
        int end = name.indexOf('#');
        return end < 0 ? name : name.substring(0, end);
    }
}
