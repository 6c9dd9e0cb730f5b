package dev.patientharbor.resolve;

import dev.patientharbor.model.Written;
import dev.patientharbor.names.ClassNames;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What the sides of a set have in common: who sees what, and which profiles any of them checks. */
final class AllSides {

    private final Map<String, ClassNames> byName = new LinkedHashMap<>();
    private final BitSet lineages = new BitSet();
    private final Map<String, List<String>> seen = new HashMap<>();

    /**
     * Adds a side.
     *
     * @param name the names of its profiles
     * @param lineage its profiles, and all that they extend
     */
    void add(String name, BitSet lineage, ClassNames names) {
        byName.put(name, names);
        lineages.or(lineage);
    }

    /** The profiles that some side checks, and all that they extend. */
    BitSet lineages() {
        return lineages;
    }

    /** The sides that see a class of that name. */
    synchronized List<String> whoSees(Written wanted) {
        return seen.computeIfAbsent(wanted.text(), text -> find(wanted));
    }

    private List<String> find(Written wanted) {
        List<String> found = new ArrayList<>();
        byName.forEach(
                (name, names) -> {
                    if (!names.lookup(wanted).found().isEmpty()) {
                        found.add(name);
                    }
                });
        return found;
    }
}
