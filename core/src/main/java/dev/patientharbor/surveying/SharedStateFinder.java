package dev.patientharbor.surveying;

import dev.patientharbor.bodies.ClassBodies;
import dev.patientharbor.bodies.MemberUse;
import dev.patientharbor.bodies.MethodBody;
import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.survey.SharedState;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;

/**
 * Finds static fields whose state changes, and the consumers that read or set them: by themselves,
 * or by static methods of the classes that have them. For one thread.
 */
public final class SharedStateFinder {

    private final CodeIndex code;
    private final NestReader nests;
    private final StateChange changes;

    /**
     * A place where a consumer meets shared state.
     *
     * @param source what stands there: {@code BranchBook.instance()}, {@code Registry.MAP}
     * @param state what it meets by it
     */
    public record Use(CodeLocation at, String source, SharedState state) {}

    /**
     * @param table what reaches outside; asked when it matters
     */
    public static SharedStateFinder of(CodeIndex code, Supplier<TouchTable> table) {
        return new SharedStateFinder(code, () -> new TouchFinder(code, table.get()));
    }

    SharedStateFinder(CodeIndex code, Supplier<TouchFinder> touches) {
        this.code = code;
        nests = new NestReader(code);
        changes =
                new StateChange(
                        code,
                        nests,
                        new ImplementationFinder(code, nests, new ContractTypes(code, Set.of())),
                        type -> touches.get().of(List.of(type)).getOrDefault(type, List.of()));
    }

    /** Takes notice of what some classes change in the static fields of others. */
    public void note(Collection<String> classNames) {
        Set<String> outermost = new TreeSet<>();
        classNames.forEach(name -> outermost.add(NestBodies.outermost(name)));
        for (String name : outermost) {
            if (!holders(name).isEmpty()) {
                nests.read(name).ifPresent(changes::note);
            }
        }
    }

    /** Returns the static fields of a class whose state changes. */
    List<SharedState> of(ClassBodies bodies) {
        List<SharedState> found = new ArrayList<>();
        for (ClassBodies.Field field : bodies.fields()) {
            if (field.isStatic()) {
                changes.of(bodies.name(), field)
                        .map(change -> state(bodies, field, change))
                        .ifPresent(found::add);
            }
        }
        return found;
    }

    private static SharedState state(ClassBodies bodies, ClassBodies.Field field, String change) {
        return new SharedState(bodies.name(), field.name(), field.type(), Optional.of(change));
    }

    /** Returns where a class meets shared state that changes, in order of place. */
    public List<Use> in(String consumer) {
        String outermost = NestBodies.outermost(consumer);
        Set<String> holders = holders(outermost);
        Optional<NestBodies> nest = holders.isEmpty() ? Optional.empty() : nests.read(outermost);
        List<Use> found = new ArrayList<>();
        for (ClassBodies bodies : nest.map(NestBodies::classes).orElse(List.of())) {
            if (isOf(bodies.name(), consumer)) {
                for (MethodBody body : bodies.methods()) {
                    for (MemberUse use : body.calls()) {
                        if (use.isStatic() && holders.contains(use.method().owner())) {
                            add(consumer, bodies, body.name(), use, found);
                        }
                    }
                }
            }
        }
        found.sort((one, other) -> CodeLocation.ORDER.compare(one.at(), other.at()));
        return found;
    }

    /** The classes with static fields that a nest uses, its own among them. */
    private Set<String> holders(String outermost) {
        Set<String> used = new TreeSet<>();
        for (String member : nests.members(outermost)) {
            used.add(member);
            code.find(member).ifPresent(facts -> used.addAll(facts.bodies().mentioned().owners()));
        }
        used.removeIf(
                name ->
                        !code.inCode(name)
                                || code.find(name).filter(ClassFacts::hasStatics).isEmpty());
        return used;
    }

    /** Whether a class is a consumer, or a class without a name in it. */
    private boolean isOf(String className, String consumer) {
        return className.equals(consumer)
                || className.startsWith(consumer + '$')
                        && code.find(className).filter(ClassFacts::isInMethod).isPresent();
    }

    private void add(
            String consumer, ClassBodies bodies, MethodName in, MemberUse use, List<Use> found) {
        for (SharedState state : states(use)) {
            found.add(
                    new Use(
                            new CodeLocation(consumer, in.inSource(), bodies.source(), use.line()),
                            source(consumer, use.method()),
                            state));
        }
    }

    private static String source(String consumer, MethodName member) {
        String name = member.owner().substring(member.owner().lastIndexOf('.') + 1);
        return (member.owner().equals(consumer) ? "" : name.replace('$', '.') + '.')
                + member.name()
                + (member.descriptor().startsWith("(") ? "()" : "");
    }

    /** The fields whose state changes that a static member is, or leads to in its own class. */
    private List<SharedState> states(MemberUse member) {
        Map<String, SharedState> found = new LinkedHashMap<>();
        Optional<NestBodies> nest = nests.read(NestBodies.outermost(member.method().owner()));
        Set<MethodName> met = new HashSet<>();
        Deque<MethodName> open = new ArrayDeque<>(List.of(member.method()));
        while (!open.isEmpty() && nest.isPresent()) {
            MethodName next = open.poll();
            if (!next.descriptor().startsWith("(")) {
                state(nest.get(), next).ifPresent(each -> found.put(each.field(), each));
            } else if (met.add(next)) {
                nest.get().staticsOf(next).forEach(open::add);
            }
        }
        return List.copyOf(found.values());
    }

    private Optional<SharedState> state(NestBodies nest, MethodName field) {
        for (ClassBodies bodies : nest.classes()) {
            for (ClassBodies.Field each : bodies.fields()) {
                if (bodies.name().equals(field.owner())
                        && each.isStatic()
                        && each.name().equals(field.name())) {
                    return changes.of(bodies.name(), each)
                            .map(change -> state(bodies, each, change));
                }
            }
        }
        return Optional.empty();
    }
}
