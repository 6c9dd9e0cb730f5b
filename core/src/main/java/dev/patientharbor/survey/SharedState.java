package dev.patientharbor.survey;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Optional;

/**
 * A static field that all objects of the program share. Immutable.
 *
 * @param className the binary name of the class that has it
 * @param field its name
 * @param type the binary name of its type, as people write it for arrays and primitive types
 * @param change how the state in it changes, as part of a sentence; empty if it does not
 */
public record SharedState(String className, String field, String type, Optional<String> change) {

    public SharedState {
        RequiredArgument.of(className, "className");
        RequiredArgument.of(field, "field");
        RequiredArgument.of(type, "type");
        RequiredArgument.of(change, "change");
    }
}
