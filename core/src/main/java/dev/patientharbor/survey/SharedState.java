package dev.patientharbor.survey;

import dev.patientharbor.texts.RequiredArgument;

/**
 * A static field that all objects of the program share. Immutable.
 *
 * @param className the binary name of the class that has it
 * @param field its name
 * @param type the binary name of its type, as people write it for arrays and primitive types
 * @param changes whether it can be set again
 */
public record SharedState(String className, String field, String type, boolean changes) {

    public SharedState {
        RequiredArgument.of(className, "className");
        RequiredArgument.of(field, "field");
        RequiredArgument.of(type, "type");
    }
}
