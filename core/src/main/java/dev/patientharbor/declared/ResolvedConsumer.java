package dev.patientharbor.declared;

import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.plan.PassedParameter;
import dev.patientharbor.terms.WrittenName;
import java.util.List;
import java.util.Optional;

/**
 * A consumer that the set states, names looked up.
 *
 * @param declared what was declared
 * @param names every class name in it, looked up
 * @param blueprint what it asks for; empty where a name is not known
 * @param needsObject whether it is a method of an object, which must be built
 * @param passed the parameters that its caller passes
 * @param unknown names of parameters that it does not have
 */
public record ResolvedConsumer(
        StatedConsumer declared,
        List<NameLookup> names,
        Optional<Blueprint> blueprint,
        boolean needsObject,
        List<PassedParameter> passed,
        List<WrittenName> unknown) {
    public ResolvedConsumer {
        names = List.copyOf(names);
        passed = List.copyOf(passed);
        unknown = List.copyOf(unknown);
    }

    /** What it asks for, if that is known and nothing is wrong with it. */
    public Optional<Blueprint> sound() {
        return blueprint.filter(blueprint -> blueprint.fault().isEmpty());
    }

    /** The name by which it stands among the entry consumers: a class and a method, or its own. */
    public String entryName() {
        return declared.match(
                thing -> thing.name().text(),
                handler -> blueprint.orElseThrow().className() + '#' + handler.method(),
                statics -> blueprint.orElseThrow().className() + "#static");
    }
}
