package dev.patientharbor.tracing;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.code.CodeIndex;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.tree.ClassNode;
import org.objectweb.asm.tree.MethodNode;

/** The bodies of the code by method, each class read when it is asked for. For one thread. */
final class BodyTrees {

    /** A method with its class. */
    record Body(ClassNode owner, MethodNode method) {}

    private final CodeIndex code;
    private final Map<String, Optional<ClassNode>> classes = new HashMap<>();

    BodyTrees(CodeIndex code) {
        this.code = code;
    }

    Optional<ClassNode> find(String name) {
        return classes.computeIfAbsent(name, this::read);
    }

    private Optional<ClassNode> read(String name) {
        if (!code.inCode(name)) {
            return Optional.empty();
        }
        try {
            return code.classFile(name)
                    .map(
                            file -> {
                                ClassNode tree = new ClassNode();
                                new ClassReader(file).accept(tree, ClassReader.SKIP_FRAMES);
                                return tree;
                            });
        } catch (RuntimeException damaged) {
            // The bytecode library reports damage by whatever exception its parsing runs into.
            return Optional.empty();
        }
    }

    /** Returns a method of that very class, if it has a body. */
    Optional<Body> body(MethodName name) {
        return find(name.owner())
                .flatMap(
                        tree ->
                                tree.methods.stream()
                                        .filter(
                                                method ->
                                                        method.name.equals(name.name())
                                                                && method.desc.equals(
                                                                        name.descriptor()))
                                        .filter(
                                                method ->
                                                        (method.access
                                                                        & (Opcodes.ACC_ABSTRACT
                                                                                | Opcodes
                                                                                        .ACC_NATIVE))
                                                                == 0)
                                        .findFirst()
                                        .map(method -> new Body(tree, method)));
    }

    /** Returns what a call on an object of a class runs: its own method, or an inherited one. */
    Optional<Body> inherited(String type, String name, String descriptor) {
        return code.lineage(type).stream()
                .map(each -> body(new MethodName(each, name, descriptor)))
                .flatMap(Optional::stream)
                .findFirst();
    }
}
