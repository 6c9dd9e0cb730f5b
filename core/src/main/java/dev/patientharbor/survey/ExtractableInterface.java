package dev.patientharbor.survey;

import dev.patientharbor.texts.RequiredArgument;
import java.util.List;

/**
 * An interface that could stand where consumers ask for a class: it has the members that they use.
 * Immutable.
 *
 * @param className the binary name of the class that it would be taken from
 * @param name the proposed name of the interface, without a package
 * @param members the methods that others use, in source form: {@code find(java.time.LocalDate)}
 * @param source the interface as Java source that compiles in the package of the class; the class
 *     has all its methods
 */
public record ExtractableInterface(
        String className, String name, List<String> members, String source) {

    public ExtractableInterface {
        RequiredArgument.of(className, "className");
        RequiredArgument.of(name, "name");
        RequiredArgument.of(members, "members");
        RequiredArgument.of(source, "source");
        members = List.copyOf(members);
    }
}
