package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyArgument;
import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.assembly.MarkedMember;
import dev.patientharbor.assembly.ObjectMaking;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.texts.NearNames;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Turns a part into one of which each object is new, and is given something else by name. */
final class FreshParts {

    private final List<AssemblyPart> parts;
    private final Map<String, Object> passed;
    private final Set<String> names = new TreeSet<>();

    private FreshParts(List<AssemblyPart> parts, Map<String, Object> passed) {
        this.parts = parts;
        this.passed = passed;
    }

    /**
     * @param passed objects by the names of the parameters or fields that are given them
     * @throws IllegalArgumentException if there is no parameter or field of such a name
     */
    static AssemblyPart.Made of(
            AssemblyPart.Made made, List<AssemblyPart> parts, Map<String, Object> passed) {
        FreshParts afresh = new FreshParts(parts, passed);
        ObjectMaking making = afresh.making(made.making());
        for (String name : passed.keySet()) {
            if (!afresh.names.contains(name)) {
                throw new IllegalArgumentException(afresh.unknown(name, made));
            }
        }
        return new AssemblyPart.Made(
                made.seat(),
                making,
                made.layers(),
                Lifetime.FRESH,
                Optional.empty(),
                made.kind(),
                made.origin());
    }

    private ObjectMaking making(ObjectMaking making) {
        return switch (making.form()) {
            case SAME_CORE ->
                    parts.get(making.sameCoreAs().orElseThrow())
                            .made()
                            .map(other -> making(other.making()))
                            .orElse(making);
            case CALLED -> called((ObjectMaking.Called) making);
            case CONSTRUCTED -> constructed((ObjectMaking.Constructed) making);
            case MOCKED, ANSWERING, CONVERTED, HANDED_IN, MADE_BY, NO_OBJECT -> making;
        };
    }

    private ObjectMaking called(ObjectMaking.Called called) {
        return new ObjectMaking.Called(
                called.className(),
                called.method(),
                called.descriptor(),
                called.on(),
                replaced(called.arguments()));
    }

    private ObjectMaking constructed(ObjectMaking.Constructed constructed) {
        List<MarkedMember> sites = new ArrayList<>();
        for (MarkedMember site : constructed.sites()) {
            List<AssemblyArgument> given = replaced(site.arguments());
            sites.add(
                    new MarkedMember(
                            site.owner(), site.kind(), site.name(), site.descriptor(), given));
        }
        return new ObjectMaking.Constructed(
                constructed.className(),
                constructed.descriptor(),
                replaced(constructed.arguments()),
                sites);
    }

    private List<AssemblyArgument> replaced(List<AssemblyArgument> arguments) {
        List<AssemblyArgument> replaced = new ArrayList<>();
        for (AssemblyArgument argument : arguments) {
            String name = argument.name();
            names.add(name);
            replaced.add(
                    passed.containsKey(name)
                            ? new AssemblyArgument.Passed(name, passed.get(name))
                            : argument);
        }
        return replaced;
    }

    private String unknown(String name, AssemblyPart.Made made) {
        String slot = RigWording.slot(made.slot());
        if (names.isEmpty()) {
            return slot + " is given nothing by name, so it cannot be given " + name;
        }
        List<String> near = NearNames.of(name, List.copyOf(names));
        return "what makes "
                + slot
                + " has no parameter or field "
                + name
                + (near.isEmpty()
                        ? "; it has " + String.join(", ", names)
                        : "; did you mean " + String.join(", ", near) + "?");
    }
}
