package dev.patientharbor.surveying;

import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads the bodies of a class and of all within it, when they are asked for. Classes that cannot be
 * read have none: the index tells that they cannot. For one thread.
 */
final class NestReader {

    /** The number of nests that are kept: accessors are asked for again and again. */
    private static final int KEPT = 16;

    private final CodeIndex code;
    private final Map<String, Optional<NestBodies>> recent =
            new LinkedHashMap<>(KEPT, 0.75f, true) {
                private static final long serialVersionUID = 1L;

                @Override
                protected boolean removeEldestEntry(Map.Entry<String, Optional<NestBodies>> last) {
                    return size() > KEPT;
                }
            };

    NestReader(CodeIndex code) {
        this.code = code;
    }

    /** Returns a class with all classes within it that are in the code, the outermost first. */
    Set<String> members(String outermost) {
        if (nested(outermost).isEmpty()) {
            return Set.of(outermost);
        }
        Set<String> members = new LinkedHashSet<>(Set.of(outermost));
        List<String> open = new ArrayList<>(members);
        for (int i = 0; i < open.size(); i++) {
            for (String nested : nested(open.get(i))) {
                if (code.inCode(nested) && members.add(nested)) {
                    open.add(nested);
                }
            }
        }
        return members;
    }

    private List<String> nested(String className) {
        Optional<ClassFacts> facts = code.find(className);
        return facts.isPresent() ? facts.get().bodies().nested() : List.of();
    }

    /** Returns the bodies; empty if there is no class file that can be read. */
    Optional<NestBodies> read(String outermost) {
        Optional<NestBodies> known = recent.get(outermost);
        if (known == null) {
            known = readFiles(outermost);
            recent.put(outermost, known);
        }
        return known;
    }

    private Optional<NestBodies> readFiles(String outermost) {
        List<byte[]> files = new ArrayList<>();
        for (String name : members(outermost)) {
            code.classFile(name).ifPresent(files::add);
        }
        try {
            return files.isEmpty()
                    ? Optional.empty()
                    : Optional.of(NestBodies.read(outermost, files));
        } catch (RuntimeException damaged) {
            // The bytecode library reports damage by whatever exception its parsing runs into.
            return Optional.empty();
        }
    }
}
