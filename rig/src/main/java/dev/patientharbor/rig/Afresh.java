package dev.patientharbor.rig;

import dev.patientharbor.finding.NearNames;
import dev.patientharbor.model.Lifetime;
import dev.patientharbor.plan.Argument;
import dev.patientharbor.plan.Making;
import dev.patientharbor.plan.Part;
import dev.patientharbor.plan.Site;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Turns a part into one of which each object is new, and is given something else by name. */
final class Afresh {

    private final List<Part> parts;
    private final Map<String, Object> passed;
    private final Set<String> names = new TreeSet<>();

    private Afresh(List<Part> parts, Map<String, Object> passed) {
        this.parts = parts;
        this.passed = passed;
    }

    /**
     * @param passed objects by the names of the parameters or fields that are given them
     * @throws IllegalArgumentException if there is no parameter or field of such a name
     */
    static Part.Made of(Part.Made made, List<Part> parts, Map<String, Object> passed) {
        Afresh afresh = new Afresh(parts, passed);
        Making making = afresh.making(made.making());
        for (String name : passed.keySet()) {
            if (!afresh.names.contains(name)) {
                throw new IllegalArgumentException(afresh.unknown(name, made));
            }
        }
        return new Part.Made(
                made.seat(),
                making,
                made.layers(),
                Lifetime.FRESH,
                Optional.empty(),
                made.kind(),
                made.origin());
    }

    private Making making(Making making) {
        return switch (making.form()) {
            case SAME_CORE ->
                    parts.get(making.sameCoreAs().orElseThrow())
                            .made()
                            .map(other -> making(other.making()))
                            .orElse(making);
            case CALLED -> called((Making.Called) making);
            case CONSTRUCTED -> constructed((Making.Constructed) making);
            case MOCKED, ANSWERING, CONVERTED, HANDED_IN, MADE_BY, NO_OBJECT -> making;
        };
    }

    private Making called(Making.Called called) {
        return new Making.Called(
                called.className(),
                called.method(),
                called.descriptor(),
                called.on(),
                replaced(called.arguments()));
    }

    private Making constructed(Making.Constructed constructed) {
        List<Site> sites = new ArrayList<>();
        for (Site one : constructed.sites()) {
            List<Argument> given = replaced(one.arguments());
            sites.add(new Site(one.owner(), one.kind(), one.name(), one.descriptor(), given));
        }
        return new Making.Constructed(
                constructed.className(),
                constructed.descriptor(),
                replaced(constructed.arguments()),
                sites);
    }

    private List<Argument> replaced(List<Argument> arguments) {
        List<Argument> replaced = new ArrayList<>();
        for (Argument one : arguments) {
            String name = one.name();
            names.add(name);
            replaced.add(
                    passed.containsKey(name) ? new Argument.Passed(name, passed.get(name)) : one);
        }
        return replaced;
    }

    private String unknown(String name, Part.Made made) {
        String slot = Words.slot(made.slot());
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
