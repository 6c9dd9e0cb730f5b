package dev.patientharbor.code;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Which classes of the code extend or implement a class directly. To know it, the names of the
 * supertypes of all classes are read, and of no class more.
 */
final class DirectSubtypes {

    private final Map<String, List<String>> direct = new HashMap<>();
    private final List<CodeEntry> unreadable = new ArrayList<>();

    private DirectSubtypes() {}

    /**
     * Finds them.
     *
     * @param request what is read of a class of which the names of its supertypes cannot be told
     */
    static DirectSubtypes of(List<CodeEntry> entries, FactsRequest request, int threads) {
        CodeReader.inParallel(threads, entries, CodeEntry::supertypes);
        DirectSubtypes subtypes = new DirectSubtypes();
        for (CodeEntry entry : entries) {
            entry.supertypes()
                    .or(() -> entry.facts(request).map(ClassFacts::superNames))
                    .ifPresentOrElse(
                            supertypes -> subtypes.add(entry.name(), supertypes),
                            () -> subtypes.unreadable.add(entry));
        }
        return subtypes;
    }

    private void add(String name, List<String> supertypes) {
        for (String supertype : supertypes) {
            direct.computeIfAbsent(supertype, key -> new ArrayList<>(2)).add(name);
        }
    }

    /**
     * Returns the names of the classes that name a class as a supertype, in no particular order.
     */
    List<String> direct(String binaryName) {
        return direct.getOrDefault(binaryName, List.of());
    }

    /** Returns the classes that cannot be read. */
    List<CodeEntry> unreadable() {
        return unreadable;
    }
}
