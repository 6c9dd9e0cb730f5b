package dev.patientharbor.resolve;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.model.TypeRef.ClassType;
import dev.patientharbor.resolve.BuildFault.Reason;
import java.util.List;
import java.util.Optional;

/**
 * How an object is made: by a constructor of its class, or by a method.
 *
 * @param facts the class
 * @param type the class with its type arguments
 * @param method the method that makes it; empty for a constructor
 * @param makes the class that the method says it returns
 * @param needs what it asks for, in order of construction; nothing if it cannot be built
 * @param fault why it cannot be built
 */
public record Blueprint(
        ClassFacts facts,
        ClassType type,
        Optional<String> method,
        Optional<String> makes,
        List<Need> needs,
        Optional<BuildFault> fault) {
    public Blueprint {
        needs = List.copyOf(needs);
    }

    static Blueprint byConstructor(
            ClassFacts facts, ClassType type, List<Need> needs, Optional<BuildFault> fault) {
        return new Blueprint(facts, type, Optional.empty(), Optional.empty(), needs, fault);
    }

    /** An object that a method of a class makes. */
    static Blueprint byMethod(
            ClassFacts facts, String method, List<Need> needs, Optional<BuildFault> fault) {
        return new Blueprint(
                facts, facts.asType().raw(), Optional.of(method), Optional.empty(), needs, fault);
    }

    /**
     * What cannot be made: the class has no method of that name that could be meant, or several.
     */
    static Blueprint ofNoMethod(ClassFacts facts, String method, List<ExecutableFacts> found) {
        Reason reason = found.isEmpty() ? Reason.NO_SUCH_METHOD : Reason.SEVERAL_METHODS;
        return byMethod(facts, method, List.of(), Optional.of(new BuildFault(reason, found)));
    }

    /** The same with other needs. */
    Blueprint withNeeds(List<Need> others) {
        return new Blueprint(facts, type, method, makes, others, fault);
    }

    /** The same, and what the method says it returns. */
    Blueprint making(Optional<String> className) {
        return new Blueprint(facts, type, method, className, needs, fault);
    }

    /** What makes it, as programs read it: a class, or {@code Class#method}. */
    public String maker() {
        return method.map(one -> facts.name() + '#' + one).orElse(facts.name());
    }

    public String className() {
        return facts.name();
    }
}
