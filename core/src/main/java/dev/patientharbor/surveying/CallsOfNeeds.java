package dev.patientharbor.surveying;

import dev.patientharbor.bodies.ClassBodies;
import dev.patientharbor.bodies.MemberUse;
import dev.patientharbor.bodies.MethodBody;
import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.bodies.ObjectOrigin;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.code.FieldFacts;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Tells which calls are of objects that a class asks for: what these reach is told of whatever a
 * profile puts there. For one thread.
 */
final class CallsOfNeeds {

    private final CodeIndex code;
    private final NestReader nests;
    private final Map<String, Set<MethodName>> byNest = new HashMap<>();

    CallsOfNeeds(CodeIndex code, NestReader nests) {
        this.code = code;
        this.nests = nests;
    }

    /**
     * Returns whether a method calls what its class asks for, and nothing of the class's own is
     * called so.
     */
    boolean isOfNeed(MethodName from, MemberUse call) {
        return call.isVirtual()
                && byNest.computeIfAbsent(NestBodies.outermost(from.owner()), this::calls)
                        .contains(call.method());
    }

    private Set<MethodName> calls(String outermost) {
        Optional<NestBodies> nest = nests.read(outermost);
        Set<MethodName> ofNeeds = new HashSet<>();
        Set<MethodName> ofOwn = new HashSet<>();
        for (ClassBodies bodies : nest.map(NestBodies::classes).orElse(List.of())) {
            for (ObjectOrigin need : needs(bodies)) {
                nest.get().uses(need).forEach(use -> use.called().ifPresent(ofNeeds::add));
            }
            for (ObjectOrigin own : nest.get().obtained(bodies)) {
                nest.get().uses(own).forEach(use -> use.called().ifPresent(ofOwn::add));
            }
        }
        ofNeeds.removeAll(ofOwn);
        return ofNeeds;
    }

    /** Where a class is handed what it asks for: constructors, and members with marks. */
    private Set<ObjectOrigin> needs(ClassBodies bodies) {
        Set<ObjectOrigin> needs = new HashSet<>();
        Optional<ClassFacts> facts = code.find(bodies.name());
        Set<String> marked =
                facts.map(ClassFacts::methods).orElse(List.of()).stream()
                        .map(CallsOfNeeds::signature)
                        .collect(Collectors.toSet());
        for (MethodBody body : bodies.methods()) {
            MethodName method = body.name();
            if (method.isConstructor() || marked.contains(method.name() + method.descriptor())) {
                for (int i = 0; i < method.parameterTypes().size(); i++) {
                    needs.add(new ObjectOrigin.OfParameter(method, i));
                }
            }
        }
        for (FieldFacts field : facts.map(ClassFacts::fields).orElse(List.of())) {
            needs.add(new ObjectOrigin.OfField(bodies.name(), field.name()));
        }
        return needs;
    }

    private static String signature(ExecutableFacts method) {
        return method.name() + method.descriptor();
    }
}
