package dev.patientharbor.surveying;

import dev.patientharbor.bodies.ClassBodies;
import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.bodies.ObjectOrigin;
import dev.patientharbor.bodies.ObjectSource;
import dev.patientharbor.bodies.ObjectUse;
import dev.patientharbor.code.CodeIndex;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Finds which class an object is of that is fetched: the only one that its source hands out. */
final class ImplementationFinder {

    private final CodeIndex code;
    private final NestReader nests;
    private final ContractTypes types;
    private final Map<ObjectSource, Optional<String>> known = new HashMap<>();

    ImplementationFinder(CodeIndex code, NestReader nests, ContractTypes types) {
        this.types = types;
        this.code = code;
        this.nests = nests;
    }

    /** Returns the class; empty if there are several, or it cannot be told. */
    Optional<String> of(ObjectSource source) {
        Optional<String> found = known.get(source);
        if (found == null) {
            // Whoever comes back here by a circle of accessors learns nothing.
            known.put(source, Optional.empty());
            found = find(source);
            known.put(source, found);
        }
        return found;
    }

    private Optional<String> find(ObjectSource source) {
        return source.match(
                made -> Optional.of(made.type()),
                call ->
                        handedOut(
                                call.type(),
                                call.method().owner(),
                                new ObjectOrigin.OfResult(call.method())),
                field ->
                        handedOut(
                                field.type(),
                                field.owner(),
                                new ObjectOrigin.OfField(field.owner(), field.field())),
                service -> only(code.services(service.type())),
                byName -> Optional.of(byName.type()),
                lambda -> Optional.empty());
    }

    private static Optional<String> only(List<String> names) {
        return names.size() == 1 ? Optional.of(names.get(0)) : Optional.empty();
    }

    private Optional<String> handedOut(String type, String owner, ObjectOrigin place) {
        Optional<NestBodies> nest =
                code.inCode(owner) ? nests.read(NestBodies.outermost(owner)) : Optional.empty();
        if (nest.isEmpty()) {
            return Optional.empty();
        }
        Set<Optional<String>> found = new HashSet<>();
        for (ClassBodies bodies : nest.get().classes()) {
            for (ObjectOrigin.Obtained obtained : nest.get().obtained(bodies)) {
                if (types.lineage(obtained.source().type()).contains(type)
                        && nest.get().uses(obtained).contains(new ObjectUse.GoesTo(place))) {
                    found.add(of(obtained.source()));
                }
            }
        }
        return found.size() == 1 ? found.iterator().next() : Optional.empty();
    }
}
