package dev.patientharbor.survey;

import dev.patientharbor.texts.RequiredArgument;
import java.util.List;

/**
 * The shortest way from the methods of a class to the outside. Immutable.
 *
 * @param kind what is reached
 * @param way the methods on the way, each as {@code CLASS.METHOD} with a binary name; the last is
 *     not of the code, or native
 * @param at where the last one is called
 */
public record Touch(TouchKind kind, List<String> way, CodeLocation at) {

    public Touch {
        RequiredArgument.of(kind, "kind");
        RequiredArgument.of(way, "way");
        RequiredArgument.of(at, "at");
        way = List.copyOf(way);
    }
}
