package dev.patientharbor.surveying;

import dev.patientharbor.bodies.ClassBodies;
import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.bodies.ObjectOrigin;
import dev.patientharbor.bodies.ObjectSource;
import dev.patientharbor.bodies.ObjectUse;
import dev.patientharbor.code.CodeIndex;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Finds which class an object is of that is fetched: the only one that its source hands out. */
final class ImplementationFinder {

    private final CodeIndex code;
    private final NestReader nests;
    private final Set<ObjectSource> asked = new HashSet<>();

    ImplementationFinder(CodeIndex code, NestReader nests) {
        this.code = code;
        this.nests = nests;
    }

    /** Returns the class; empty if there are several, or it cannot be told. */
    Optional<String> of(ObjectSource source) {
        if (!asked.add(source)) {
            return Optional.empty();
        }
        return source.match(
                made -> Optional.of(made.type()),
                call -> handedOut(call.method().owner(), new ObjectOrigin.OfResult(call.method())),
                field ->
                        handedOut(
                                field.owner(),
                                new ObjectOrigin.OfField(field.owner(), field.field())),
                service -> only(code.services(service.type())),
                byName -> Optional.of(byName.type()));
    }

    private static Optional<String> only(List<String> names) {
        return names.size() == 1 ? Optional.of(names.get(0)) : Optional.empty();
    }

    private Optional<String> handedOut(String owner, ObjectOrigin place) {
        Optional<NestBodies> nest =
                code.inCode(owner) ? nests.read(NestBodies.outermost(owner)) : Optional.empty();
        if (nest.isEmpty()) {
            return Optional.empty();
        }
        Set<Optional<String>> found = new HashSet<>();
        for (ClassBodies bodies : nest.get().classes()) {
            for (ObjectOrigin.Obtained obtained : nest.get().obtained(bodies)) {
                if (nest.get().uses(obtained).contains(new ObjectUse.GoesTo(place))) {
                    found.add(of(obtained.source()));
                }
            }
        }
        return found.size() == 1 ? found.iterator().next() : Optional.empty();
    }
}
