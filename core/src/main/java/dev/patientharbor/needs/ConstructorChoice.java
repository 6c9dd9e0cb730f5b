package dev.patientharbor.needs;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.needs.BuildFault.Reason;
import dev.patientharbor.terms.TypeRef;
import java.util.List;
import java.util.Optional;

/**
 * The constructor that makes an object of a class, or why there is none.
 *
 * @param constructor the one to use
 * @param fault why there is none
 */
public record ConstructorChoice(Optional<ExecutableFacts> constructor, Optional<BuildFault> fault) {

    /**
     * Chooses: the one that the binding names; else the one with the standard's mark; else the only
     * one that is not private. A private one is used only if it is named or marked.
     *
     * @param wanted the parameter types that the binding names, erased
     */
    public static ConstructorChoice of(
            ClassFacts facts, Optional<List<String>> wanted, KnownMarks marks) {
        if (facts.isInterface()) {
            return fault(Reason.INTERFACE, List.of());
        }
        if (facts.isEnum()) {
            return fault(Reason.ENUM, List.of());
        }
        if (facts.isAbstract()) {
            return fault(Reason.ABSTRACT, List.of());
        }
        List<ExecutableFacts> all = facts.constructors();
        if (wanted.isPresent()) {
            List<ExecutableFacts> named =
                    all.stream().filter(executable -> isMeant(executable, wanted.get())).toList();
            return named.isEmpty() ? fault(Reason.NO_SUCH_CONSTRUCTOR, all) : of(named.get(0));
        }
        if (all.isEmpty()) {
            return fault(Reason.NO_CONSTRUCTOR, List.of());
        }
        if (all.size() == 1 && !all.get(0).isPrivate()) {
            return of(all.get(0));
        }
        List<ExecutableFacts> marked =
                all.stream()
                        .filter(executable -> marks.isInject(executable.annotations()))
                        .toList();
        if (!marked.isEmpty()) {
            return marked.size() == 1 ? of(marked.get(0)) : fault(Reason.SEVERAL_MARKED, marked);
        }
        List<ExecutableFacts> open =
                all.stream().filter(executable -> !executable.isPrivate()).toList();
        if (open.isEmpty()) {
            return fault(Reason.ONLY_PRIVATE, all);
        }
        return open.size() == 1 ? of(open.get(0)) : fault(Reason.SEVERAL_UNMARKED, open);
    }

    /** Whether the types are those of a constructor; a type variable is written by its name. */
    private static boolean isMeant(ExecutableFacts constructor, List<String> types) {
        List<String> erased = constructor.erasedParameterTypes();
        List<TypeRef> generic = constructor.parameterTypes();
        if (erased.size() != types.size()) {
            return false;
        }
        for (int i = 0; i < types.size(); i++) {
            String type = types.get(i);
            if (!erased.get(i).equals(type) && !generic.get(i).text().equals(type)) {
                return false;
            }
        }
        return true;
    }

    /** Returns whether there is a constructor to use, even if several are and none is chosen. */
    public boolean isThereAny() {
        return fault.isEmpty() || fault.get().isOfChoice();
    }

    private static ConstructorChoice of(ExecutableFacts constructor) {
        return new ConstructorChoice(Optional.of(constructor), Optional.empty());
    }

    private static ConstructorChoice fault(Reason reason, List<ExecutableFacts> constructors) {
        return new ConstructorChoice(
                Optional.empty(), Optional.of(new BuildFault(reason, constructors)));
    }
}
