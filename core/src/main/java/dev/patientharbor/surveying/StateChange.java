package dev.patientharbor.surveying;

import dev.patientharbor.bodies.ClassBodies;
import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.bodies.ObjectOrigin;
import dev.patientharbor.bodies.ObjectSource;
import dev.patientharbor.bodies.ObjectUse;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.survey.Touch;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Tells by what the state changes that a static field holds: the field is set, what the JDK holds
 * in it is changed, or its object is of a class of which that is true, or which reaches outside.
 * For one thread.
 */
final class StateChange {

    /** The methods of the JDK's collections, atomic values and buffers that change them. */
    private static final Pattern CHANGING =
            Pattern.compile(
                    "(add|put|remove|clear|set|push|pop|poll|offer|take|drain|compute|merge|replace|retain|insert"
                        + "|append|delete|reverse|get(And)|(in|de)crement|accumulate|update|compareAnd"
                        + "|lazySet|flip).*|sort|load");

    private static final Pattern CHANGEABLE =
            Pattern.compile(
                    "java\\.util\\.(concurrent\\.(atomic\\.)?)?\\w+"
                            + "|java\\.lang\\.(StringBuilder|StringBuffer|\\w*ThreadLocal)");

    private final CodeIndex code;
    private final NestReader nests;
    private final ImplementationFinder implementations;
    private final Function<String, List<Touch>> touches;
    private final Map<String, Optional<String>> ofClass = new HashMap<>();

    /** Fields that classes of other nests change. */
    private final Set<String> changedElsewhere = new HashSet<>();

    /**
     * @param touches what the objects of a class reach outside
     */
    StateChange(
            CodeIndex code,
            NestReader nests,
            ImplementationFinder implementations,
            Function<String, List<Touch>> touches) {
        this.code = code;
        this.nests = nests;
        this.implementations = implementations;
        this.touches = touches;
    }

    /** Takes notice of what the classes of a nest change in static fields of others. */
    void note(NestBodies nest) {
        for (ClassBodies bodies : nest.classes()) {
            changedElsewhere.addAll(bodies.changed());
            for (ObjectOrigin.Obtained obtained : nest.obtained(bodies)) {
                fieldOf(obtained.source())
                        .filter(
                                field ->
                                        CHANGEABLE.matcher(obtained.source().type()).matches()
                                                && isChanged(nest.uses(obtained)))
                        .ifPresent(changedElsewhere::add);
            }
        }
    }

    private static Optional<String> fieldOf(ObjectSource source) {
        return source.match(
                made -> Optional.empty(),
                method -> Optional.empty(),
                field -> Optional.of(field.owner() + '#' + field.field()),
                service -> Optional.empty(),
                byName -> Optional.empty(),
                lambda -> Optional.empty());
    }

    /** Returns how the state in a static field changes, as part of a sentence; empty if not. */
    Optional<String> of(String owner, ClassBodies.Field field) {
        if (!field.isFinal()) {
            return Optional.of("the field can be set again");
        }
        if (isValue(field.type())) {
            return Optional.empty();
        }
        String name = owner + '#' + field.name();
        boolean isChanged =
                changedElsewhere.contains(name)
                        || nests.read(NestBodies.outermost(owner))
                                .filter(nest -> isChanged(nest, owner, field))
                                .isPresent();
        return isChanged
                ? Optional.of("what is in it changes")
                : ofClass(implementation(owner, field));
    }

    private static boolean isValue(String type) {
        return type.indexOf('.') < 0 && !type.endsWith("]") || type.equals("java.lang.String");
    }

    private String implementation(String owner, ClassBodies.Field field) {
        return code.inCode(field.type())
                ? implementations
                        .of(new ObjectSource.StaticField(owner, field.name(), field.type()))
                        .orElse(field.type())
                : field.type();
    }

    /** How the objects of a class change after they are made. */
    private Optional<String> ofClass(String type) {
        Optional<String> known = ofClass.get(type);
        if (known == null) {
            // Whoever comes back here by a circle of fields learns nothing.
            ofClass.put(type, Optional.empty());
            known = code.inCode(type) ? find(type) : Optional.empty();
            ofClass.put(type, known);
        }
        return known;
    }

    private Optional<String> find(String type) {
        for (String name : code.lineage(type)) {
            Optional<NestBodies> nest =
                    code.inCode(name) ? nests.read(NestBodies.outermost(name)) : Optional.empty();
            for (ClassBodies bodies : nest.map(NestBodies::classes).orElse(List.of())) {
                if (bodies.name().equals(name)) {
                    Optional<String> change = ofFields(nest.get(), bodies);
                    if (change.isPresent()) {
                        return change;
                    }
                }
            }
        }
        return Optional.of(touches.apply(type))
                .filter(found -> !found.isEmpty())
                .map(
                        found ->
                                "it touches "
                                        + found.stream()
                                                .map(touch -> touch.kind().phrase())
                                                .collect(Collectors.joining(", ")));
    }

    private Optional<String> ofFields(NestBodies nest, ClassBodies bodies) {
        for (ClassBodies.Field field : bodies.fields()) {
            if (!field.isStatic() && isChanged(nest, bodies.name(), field)) {
                return Optional.of("its field " + field.name() + " changes");
            }
        }
        for (ClassBodies.Field field : bodies.fields()) {
            if (!field.isStatic() && ofClass(field.type()).isPresent()) {
                return ofClass(field.type())
                        .map(change -> "its field " + field.name() + ": " + change);
            }
        }
        return Optional.empty();
    }

    private static boolean isChanged(NestBodies nest, String owner, ClassBodies.Field field) {
        String name = owner + '#' + field.name();
        return nest.classes().stream().anyMatch(each -> each.changed().contains(name))
                || !isValue(field.type())
                        && isChanged(
                                nest.usesOnceMade(new ObjectOrigin.OfField(owner, field.name())));
    }

    private static boolean isChanged(Set<ObjectUse> uses) {
        return uses.stream()
                .anyMatch(
                        use ->
                                use.isFilled()
                                        || use.called().filter(StateChange::changes).isPresent());
    }

    private static boolean changes(MethodName called) {
        return CHANGEABLE.matcher(called.owner()).matches()
                && CHANGING.matcher(called.name()).matches();
    }
}
