package dev.patientharbor.code;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Names of classes, short or full: a short one fits a class of any package. */
final class NameSet {

    /** The names, written with dots, by their last part: few are looked at for each class. */
    private final Map<String, List<String>> byLastPart = new HashMap<>();

    NameSet(Collection<String> names) {
        for (String name : names) {
            String dotted = name.replace('$', '.');
            byLastPart.computeIfAbsent(lastPart(dotted), part -> new ArrayList<>(1)).add(dotted);
        }
    }

    boolean isEmpty() {
        return byLastPart.isEmpty();
    }

    boolean fits(String binaryName) {
        if (byLastPart.isEmpty()) {
            return false;
        }
        String dotted = binaryName.replace('$', '.');
        for (String wanted : byLastPart.getOrDefault(lastPart(dotted), List.of())) {
            int before = dotted.length() - wanted.length() - 1;
            if (dotted.endsWith(wanted) && (before < 0 || dotted.charAt(before) == '.')) {
                return true;
            }
        }
        return false;
    }

    /** Returns whether all names of another set are in this one too, as they are written. */
    boolean covers(NameSet other) {
        return other.byLastPart.entrySet().stream()
                .allMatch(
                        entry ->
                                byLastPart
                                        .getOrDefault(entry.getKey(), List.of())
                                        .containsAll(entry.getValue()));
    }

    private static String lastPart(String dotted) {
        return dotted.substring(dotted.lastIndexOf('.') + 1);
    }
}
