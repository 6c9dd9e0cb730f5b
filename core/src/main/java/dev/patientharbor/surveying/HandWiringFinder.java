package dev.patientharbor.surveying;

import dev.patientharbor.bodies.ClassBodies;
import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.bodies.ObjectOrigin;
import dev.patientharbor.bodies.ObjectUse;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.survey.HandWiring;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Finds the methods that make objects of contracts and hand them to the constructors of others. */
final class HandWiringFinder {

    private final ContractTypes types;

    HandWiringFinder(ContractTypes types) {
        this.types = types;
    }

    /** Returns the methods, in the order of the class files. */
    List<HandWiring> in(NestBodies nest) {
        List<HandWiring> found = new ArrayList<>();
        for (ClassBodies bodies : nest.classes()) {
            Map<MethodName, List<ObjectOrigin.Obtained>> made = new LinkedHashMap<>();
            for (ObjectOrigin.Obtained obtained : nest.obtained(bodies)) {
                if (obtained.source().isMade()
                        && !types.contractsOf(obtained.source().type()).isEmpty()) {
                    made.computeIfAbsent(obtained.in(), key -> new ArrayList<>()).add(obtained);
                }
            }
            made.forEach(
                    (method, objects) -> {
                        int handOvers =
                                objects.stream().mapToInt(each -> handOvers(nest.uses(each))).sum();
                        if (handOvers > 0) {
                            found.add(handWiring(bodies, objects, handOvers));
                        }
                    });
        }
        return found;
    }

    private static int handOvers(Set<ObjectUse> uses) {
        return (int)
                uses.stream()
                        .flatMap(use -> use.handedTo().stream())
                        .filter(to -> !to.owner().startsWith("java."))
                        .count();
    }

    private static HandWiring handWiring(
            ClassBodies bodies, List<ObjectOrigin.Obtained> objects, int handOvers) {
        ObjectOrigin.Obtained first = objects.get(0);
        return new HandWiring(
                new CodeLocation(
                        bodies.name(), first.in().inSource(), bodies.source(), first.line()),
                objects.size(),
                handOvers);
    }
}
