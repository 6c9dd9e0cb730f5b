package dev.patientharbor.bodies;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.ClassNode;
import org.objectweb.asm.tree.FieldInsnNode;
import org.objectweb.asm.tree.FieldNode;
import org.objectweb.asm.tree.MethodInsnNode;
import org.objectweb.asm.tree.MethodNode;

/**
 * The bodies of a class and of all classes within it, and the ways of objects through them. A body
 * is followed when it is asked for, once. For one thread.
 */
public final class NestBodies {

    private record Body(ClassNode owner, MethodNode method) {}

    private final List<ClassBodies> classes = new ArrayList<>();
    private final Map<String, List<ObjectOrigin.Obtained>> obtained = new HashMap<>();
    private final Map<MethodName, Body> bodies = new HashMap<>();
    private final Map<String, Set<MethodName>> fieldReaders = new HashMap<>();
    private final Map<MethodName, Set<MethodName>> callers = new HashMap<>();
    private final Map<MethodName, Map<ObjectOrigin, Set<ObjectUse>>> followed = new HashMap<>();
    private final Map<ObjectOrigin, Set<ObjectUse>> uses = new HashMap<>();
    private final Set<String> constants = new HashSet<>();
    private final NestMembership ours;

    private NestBodies(String outermost) {
        ours = new NestMembership(outermost, constants);
    }

    /**
     * Reads class files.
     *
     * @param outermost the binary name of the class around all others
     * @param files the class files
     * @throws RuntimeException of any kind if one of them is damaged
     */
    public static NestBodies read(String outermost, List<byte[]> files) {
        NestBodies nest = new NestBodies(outermost);
        List<ClassNode> trees = new ArrayList<>();
        for (byte[] file : files) {
            ClassNode tree = new ClassNode();
            new ClassReader(file).accept(tree, ClassReader.SKIP_FRAMES);
            nest.classes.add(BodyVisitor.of(tree));
            for (FieldNode each : tree.fields) {
                if ((each.access & Opcodes.ACC_ENUM) != 0) {
                    nest.constants.add(field(ObtainedReader.className(tree.name), each.name));
                }
            }
            trees.add(tree);
        }
        trees.forEach(nest::add);
        return nest;
    }

    /** Returns the class around all others, by the binary name of one: up to its first dollar. */
    public static String outermost(String binaryName) {
        int dollar = binaryName.indexOf('$', binaryName.lastIndexOf('.') + 2);
        return dollar < 0 || dollar == binaryName.length() - 1
                ? binaryName
                : binaryName.substring(0, dollar);
    }

    private void add(ClassNode tree) {
        String owner = ObtainedReader.className(tree.name);
        obtained.put(owner, ObtainedReader.read(tree, ours));
        for (MethodNode method : tree.methods) {
            MethodName name = new MethodName(owner, method.name, method.desc);
            bodies.put(name, new Body(tree, method));
            for (AbstractInsnNode each : method.instructions) {
                if (each instanceof FieldInsnNode field) {
                    fieldReaders
                            .computeIfAbsent(
                                    field(ObtainedReader.className(field.owner), field.name),
                                    key -> new LinkedHashSet<>())
                            .add(name);
                } else if (each instanceof MethodInsnNode call) {
                    callers.computeIfAbsent(ObtainedReader.name(call), key -> new LinkedHashSet<>())
                            .add(name);
                }
            }
        }
    }

    /** Returns its classes, in the order in which they were given. */
    public List<ClassBodies> classes() {
        return classes;
    }

    /** Returns the objects that one of the classes makes or fetches, in the order of its file. */
    public List<ObjectOrigin.Obtained> obtained(ClassBodies of) {
        return obtained.getOrDefault(of.name(), List.of());
    }

    /**
     * Returns the static methods of the nest that a method calls, and the static fields it reads.
     */
    public List<MethodName> staticsOf(MethodName method) {
        return classes.stream()
                .filter(each -> each.name().equals(method.owner()))
                .flatMap(each -> each.methods().stream())
                .filter(body -> body.name().equals(method))
                .flatMap(body -> body.calls().stream())
                .filter(MemberUse::isStatic)
                .map(MemberUse::method)
                .filter(called -> ours.has(called.owner()))
                .toList();
    }

    /** Returns what the methods of an object call that is made in the nest, on other objects. */
    public List<MethodName> run(ObjectSource source) {
        Optional<MethodName> lambda =
                source.match(
                        made -> Optional.empty(),
                        method -> Optional.empty(),
                        field -> Optional.empty(),
                        service -> Optional.empty(),
                        byName -> Optional.empty(),
                        written -> Optional.of(written.body()));
        if (lambda.isPresent() && !ours.has(lambda.get().owner())) {
            return List.of(lambda.get());
        }
        return classes.stream()
                .flatMap(each -> each.methods().stream())
                .filter(
                        body ->
                                lambda.map(body.name()::equals)
                                        .orElse(body.name().owner().equals(source.type())))
                .flatMap(body -> body.calls().stream())
                .filter(MemberUse::isVirtual)
                .map(MemberUse::method)
                .toList();
    }

    /**
     * Returns all that becomes of an object in the nest, wherever in it it goes: what is done with
     * it, and the fields, parameters and results that it passes through.
     */
    public Set<ObjectUse> uses(ObjectOrigin origin) {
        return uses.computeIfAbsent(origin, this::allUses);
    }

    /** Returns the same, but for what is done while objects and classes are being made. */
    public Set<ObjectUse> usesOnceMade(ObjectOrigin origin) {
        return allUses(origin, method -> !method.isInitializer());
    }

    private Set<ObjectUse> allUses(ObjectOrigin origin) {
        return allUses(origin, method -> true);
    }

    private Set<ObjectUse> allUses(ObjectOrigin origin, Predicate<MethodName> counts) {
        Set<ObjectUse> all = new LinkedHashSet<>();
        Deque<ObjectOrigin> open = new ArrayDeque<>(List.of(origin));
        while (!open.isEmpty()) {
            for (ObjectUse use : usesAt(open.poll(), counts)) {
                if (all.add(use)) {
                    use.next().ifPresent(open::add);
                }
            }
        }
        return all;
    }

    /** Returns what becomes of an object right where it comes from. */
    public Set<ObjectUse> usesAt(ObjectOrigin origin) {
        return usesAt(origin, method -> true);
    }

    private Set<ObjectUse> usesAt(ObjectOrigin origin, Predicate<MethodName> counts) {
        Set<ObjectUse> found = new LinkedHashSet<>();
        for (MethodName method : methodsWith(origin)) {
            if (counts.test(method)) {
                found.addAll(followed(method).getOrDefault(origin, Set.of()));
            }
        }
        return found;
    }

    private Set<MethodName> methodsWith(ObjectOrigin origin) {
        return origin.match(
                obtained -> Set.of(obtained.in()),
                ofField ->
                        fieldReaders.getOrDefault(
                                field(ofField.owner(), ofField.field()), Set.of()),
                ofParameter -> Set.of(ofParameter.method()),
                ofResult -> callers.getOrDefault(ofResult.method(), Set.of()));
    }

    private Map<ObjectOrigin, Set<ObjectUse>> followed(MethodName method) {
        Body body = bodies.get(method);
        return body == null
                ? Map.of()
                : followed.computeIfAbsent(
                        method, name -> MethodFlow.of(body.owner(), body.method(), ours));
    }

    private static String field(String owner, String name) {
        return owner + '#' + name;
    }
}
