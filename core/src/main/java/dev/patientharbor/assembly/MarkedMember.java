package dev.patientharbor.assembly;

import java.util.List;

/**
 * A marked member of a class, to be filled once the object is there.
 *
 * @param owner the class that declares it, by its binary name
 * @param kind a field or a method
 * @param name its name
 * @param descriptor the erased types of the parameters of a method, as in JVMS 4.3.3; blank for a
 *     field
 * @param arguments what it is given: one for a field, one for each parameter of a method
 */
public record MarkedMember(
        String owner, Kind kind, String name, String descriptor, List<AssemblyArgument> arguments) {
    public MarkedMember {
        arguments = List.copyOf(arguments);
    }

    /** The kinds of members. */
    public enum Kind {
        FIELD,
        METHOD
    }
}
