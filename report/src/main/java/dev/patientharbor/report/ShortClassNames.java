package dev.patientharbor.report;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Shortens class names to their last part, but for those that would be the same then. */
final class ShortClassNames {

    private final Map<String, String> first = new HashMap<>();
    private final boolean shortens;

    private ShortClassNames(boolean shortens) {
        this.shortens = shortens;
    }

    /** Returns names that are left as they are. */
    static ShortClassNames none() {
        return new ShortClassNames(false);
    }

    /** Returns names that are short, as long as no two of these classes share one. */
    static ShortClassNames among(Collection<String> classes) {
        ShortClassNames names = new ShortClassNames(true);
        for (String name : classes) {
            names.first.merge(last(name), name, (one, other) -> one.equals(other) ? one : "");
        }
        return names;
    }

    private static String last(String name) {
        return name.substring(name.lastIndexOf('.') + 1).replace('$', '.');
    }

    String of(String binaryName) {
        boolean isAlone = binaryName.equals(first.get(last(binaryName)));
        return shortens && isAlone ? last(binaryName) : binaryName;
    }

    String list(List<String> binaryNames) {
        return binaryNames.stream().map(this::of).collect(Collectors.joining(", "));
    }
}
