package dev.patientharbor.plan;

import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.texts.RequiredArgument;

/**
 * A parameter of a handler that its caller passes, so that nothing supplies it.
 *
 * @param consumer the class of the handler, its binary name
 * @param place the parameter
 * @param name its name
 * @param type what is passed
 */
public record PassedParameter(String consumer, NeedPlace place, String name, TypeRef type) {
    public PassedParameter {
        RequiredArgument.of(consumer, "consumer");
        RequiredArgument.of(place, "place");
        RequiredArgument.of(name, "name");
        RequiredArgument.of(type, "type");
    }
}
