package dev.patientharbor.needs;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.needs.BuildFault.Reason;
import dev.patientharbor.terms.TypeRef.ClassType;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How an object is made: by a constructor of its class, or by a method.
 *
 * @param facts the class
 * @param type the class with its type arguments
 * @param method the method that makes it; empty for a constructor
 * @param makes the type that the method says it returns
 * @param executable the constructor or the method; empty where there is none that could be read
 * @param values what its parameters are given, by their places from 0: those are no needs
 * @param needs what it asks for, in order of construction; nothing if it cannot be built
 * @param fault why it cannot be built
 */
public record Blueprint(
        ClassFacts facts,
        ClassType type,
        Optional<String> method,
        Optional<ClassType> makes,
        Optional<ExecutableFacts> executable,
        Map<Integer, GivenValue> values,
        List<Need> needs,
        Optional<BuildFault> fault) {
    public Blueprint {
        needs = List.copyOf(needs);
    }

    public static Blueprint byConstructor(
            ClassFacts facts,
            ClassType type,
            Optional<ExecutableFacts> constructor,
            List<Need> needs,
            Optional<BuildFault> fault) {
        return new Blueprint(
                facts,
                type,
                Optional.empty(),
                Optional.empty(),
                constructor,
                Map.of(),
                needs,
                fault);
    }

    /** An object that a method of a class makes. */
    public static Blueprint byMethod(
            ClassFacts facts,
            String method,
            Optional<ExecutableFacts> executable,
            List<Need> needs,
            Optional<BuildFault> fault) {
        return new Blueprint(
                facts,
                facts.asType().raw(),
                Optional.of(method),
                Optional.empty(),
                executable,
                Map.of(),
                needs,
                fault);
    }

    /**
     * What cannot be made: the class has no method of that name that could be meant, or several.
     */
    public static Blueprint ofNoMethod(
            ClassFacts facts, String method, List<ExecutableFacts> found) {
        Reason reason = found.isEmpty() ? Reason.NO_SUCH_METHOD : Reason.SEVERAL_METHODS;
        return byMethod(
                facts,
                method,
                Optional.empty(),
                List.of(),
                Optional.of(new BuildFault(reason, found)));
    }

    /** Returns this blueprint with some parameters given, and the needs that are left. */
    public Blueprint given(Map<Integer, GivenValue> byPlace, List<Need> left) {
        return new Blueprint(facts, type, method, makes, executable, byPlace, left, fault);
    }

    /** Returns this blueprint with what its method says it returns. */
    Blueprint making(Optional<ClassType> returned) {
        return new Blueprint(facts, type, method, returned, executable, values, needs, fault);
    }

    /** Whether there are several constructors without a mark, and nothing chooses one. */
    public boolean isUndecided() {
        return fault.filter(fault -> fault.reason() == Reason.SEVERAL_UNMARKED).isPresent();
    }

    /** The type of the object that comes of it; empty where a method does not say it. */
    public Optional<ClassType> handsOut() {
        return method.isPresent() ? makes : Optional.of(type);
    }

    /** What makes it, as programs read it: a class, or {@code Class#method}. */
    public String maker() {
        return method.map(name -> facts.name() + '#' + name).orElse(facts.name());
    }

    public String className() {
        return facts.name();
    }
}
