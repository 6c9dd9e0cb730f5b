package dev.patientharbor.needs;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.terms.TypeRef.ClassType;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes the blueprint of each class once, whatever the number of profiles. */
public final class BlueprintMaker {

    private final NeedReader needs;
    private final KnownMarks marks;
    private final Map<ClassType, Blueprint> made = new HashMap<>();

    public BlueprintMaker(NeedReader needs, KnownMarks marks) {
        this.marks = marks;
        this.needs = needs;
    }

    /** The blueprint of a class with its own choice of constructor. */
    public Blueprint of(ClassFacts facts, ClassType type) {
        Blueprint known = made.get(type);
        if (known == null) {
            known = of(facts, type, Optional.empty());
            made.put(type, known);
        }
        return known;
    }

    /** What is wrong with the marks of a class that is built, as far as they are in use. */
    public List<MarkFault> markFaults(Blueprint blueprint) {
        return needs.faults(blueprint.facts(), blueprint.type(), blueprint.executable());
    }

    /** The marked members of a class that is built. */
    public List<NeedReader.MemberNeeds> marked(Blueprint blueprint) {
        return needs.marked(blueprint.facts(), blueprint.type());
    }

    /**
     * The blueprint of a class, the constructor chosen by its erased parameter types. Where nothing
     * chooses one, what its marked members ask for is known all the same.
     */
    public Blueprint of(ClassFacts facts, ClassType type, Optional<List<String>> constructor) {
        ConstructorChoice choice = ConstructorChoice.of(facts, constructor, marks);
        boolean isKnown = choice.fault().isEmpty() || choice.fault().get().isOfChoice();
        List<Need> all = isKnown ? needs.needs(facts, type, choice.constructor()) : List.of();
        return Blueprint.byConstructor(facts, type, choice.constructor(), all, choice.fault());
    }
}
