package dev.patientharbor.code;

import dev.patientharbor.files.FileIdentity;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Code that is given in one piece, as a class path is: what a profile names as its own stays its
 * own, and the others do not see it there either.
 */
public final class GivenCode {

    private GivenCode() {}

    /**
     * Returns the roots for what is given.
     *
     * @param given the places, in their order
     * @param own the roots of what profiles name as their own
     */
    public static List<CodeRoot> roots(List<CodeRoot> given, List<CodeRoot> own) {
        Map<Object, List<CodeRoot>> byIdentity = new HashMap<>();
        for (CodeRoot root : own) {
            byIdentity
                    .computeIfAbsent(FileIdentity.of(root.path()), key -> new ArrayList<>(1))
                    .add(root);
        }
        List<CodeRoot> roots = new ArrayList<>();
        for (CodeRoot root : given) {
            roots.addAll(byIdentity.getOrDefault(FileIdentity.of(root.path()), List.of(root)));
        }
        return roots;
    }
}
