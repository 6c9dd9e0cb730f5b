package dev.patientharbor.bodies;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.ClassNode;
import org.objectweb.asm.tree.FieldInsnNode;
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
    private final Predicate<String> ours;

    private NestBodies(String outermost) {
        ours = name -> outermost(name).equals(outermost);
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
        for (byte[] file : files) {
            ClassNode tree = new ClassNode();
            new ClassReader(file).accept(tree, ClassReader.SKIP_FRAMES);
            nest.classes.add(BodyVisitor.of(tree));
            nest.add(tree);
        }
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
     * Returns all that becomes of an object in the nest, wherever in it it goes: what is done with
     * it, and the fields, parameters and results that it passes through.
     */
    public Set<ObjectUse> uses(ObjectOrigin origin) {
        return uses.computeIfAbsent(origin, this::allUses);
    }

    private Set<ObjectUse> allUses(ObjectOrigin origin) {
        Set<ObjectUse> all = new LinkedHashSet<>();
        Deque<ObjectOrigin> open = new ArrayDeque<>(List.of(origin));
        while (!open.isEmpty()) {
            for (ObjectUse use : usesAt(open.poll())) {
                if (all.add(use)) {
                    use.next().ifPresent(open::add);
                }
            }
        }
        return all;
    }

    /** Returns what becomes of an object right where it comes from. */
    public Set<ObjectUse> usesAt(ObjectOrigin origin) {
        Set<ObjectUse> found = new LinkedHashSet<>();
        for (MethodName method : methodsWith(origin)) {
            found.addAll(followed(method).getOrDefault(origin, Set.of()));
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
