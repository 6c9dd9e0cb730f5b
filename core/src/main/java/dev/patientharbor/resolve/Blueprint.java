package dev.patientharbor.resolve;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.model.TypeRef.ClassType;
import java.util.List;
import java.util.Optional;

/**
 * How an object of a class is made.
 *
 * @param facts the class
 * @param type the class with its type arguments
 * @param needs what it asks for, in order of construction; nothing if it cannot be built
 * @param fault why it cannot be built
 */
public record Blueprint(
        ClassFacts facts, ClassType type, List<Need> needs, Optional<BuildFault> fault) {
    public Blueprint {
        needs = List.copyOf(needs);
    }

    public String className() {
        return facts.name();
    }
}
