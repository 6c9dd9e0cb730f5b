package dev.patientharbor.code;

import dev.patientharbor.finding.Finding;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The classes of the code, and of the running JDK, as one check sees them. What classes there are
 * is known at once; what is in one is read when it is asked for, and questions about all of them
 * read all of them. Answers do not depend on what was asked before.
 *
 * <p>May be used by several threads.
 */
public final class CodeIndex {

    private final ClassTable table;
    private final LookedAt lookedAt;
    private final List<Finding> ofPlaces;
    private final Map<String, Optional<ClassFacts>> seen = new ConcurrentHashMap<>();
    private final Set<Finding> unreadable = ConcurrentHashMap.newKeySet();
    private volatile boolean sawAll;

    /**
     * @param lookedAt remembers what is looked at
     * @param ofPlaces what is wrong with the places themselves
     */
    CodeIndex(ClassTable table, LookedAt lookedAt, List<Finding> ofPlaces) {
        this.table = table;
        this.lookedAt = lookedAt;
        this.ofPlaces = List.copyOf(ofPlaces);
    }

    /** Returns what is wrong with all places of code, whoever sees them, in order of place. */
    public List<Finding> findings() {
        return ofPlaces;
    }

    /**
     * Returns what could not be read of all for which somebody asked so far, class by class or
     * together: an answer that rests on its absence may be wrong. In no particular order.
     */
    public Set<Finding> unreadable() {
        return Set.copyOf(unreadable);
    }

    /** Returns the facts of a class of the code or of the running JDK; empty if there are none. */
    public Optional<ClassFacts> find(String binaryName) {
        Optional<ClassFacts> known = seen.get(binaryName);
        return known != null ? known : look(binaryName);
    }

    private Optional<ClassFacts> look(String binaryName) {
        CodeEntry entry = table.entry(binaryName);
        if (entry == null) {
            return table.jdk().find(binaryName);
        }
        Optional<ClassFacts> facts = entry.facts(table.request());
        lookedAt.add(entry);
        entry.fault().ifPresent(unreadable::add);
        seen.put(binaryName, facts);
        return facts;
    }

    /**
     * Returns the bytes of a class file of the code whose facts can be read; empty for others. They
     * are read again: for questions that facts do not answer.
     */
    public Optional<byte[]> classFile(String binaryName) {
        return table.has(binaryName) && find(binaryName).isPresent()
                ? table.entry(binaryName).bytes()
                : Optional.empty();
    }

    /**
     * Returns every method of a class of the code, marked or not; none if one of them is damaged.
     * Its file is read again.
     */
    public List<ExecutableFacts> methodsOf(String binaryName) {
        Set<String> none = Set.of();
        FactsRequest every = new FactsRequest(Set.of(binaryName), none, none, false, none, none);
        try {
            return classFile(binaryName)
                    .map(bytes -> ClassFileReader.read(bytes, every).methods())
                    .orElse(List.of());
        } catch (ClassFileReader.NotAClassFile damaged) {
            // What is damaged is a method that nothing else asked for.
            return List.of();
        }
    }

    /** Returns the classes that the service files list for a contract, in order. */
    public List<String> services(String contract) {
        return table.services(
                contract,
                fault -> {
                    lookedAt.add(fault);
                    unreadable.add(fault);
                });
    }

    /**
     * Returns whether a lookup method, {@code CLASS#METHOD}, is called somewhere with constants.
     * Classes that were looked at are asked first; only if none calls it all others are read.
     */
    public boolean callsLookup(String method) {
        FactsRequest request = FactsRequest.of(false, Set.of(method));
        return seen.values().stream().flatMap(Optional::stream).anyMatch(f -> calls(f, request))
                || classes().stream().anyMatch(facts -> calls(facts, request));
    }

    private static boolean calls(ClassFacts facts, FactsRequest request) {
        return facts.bodies().lookups().stream()
                .map(LookupFacts::called)
                .anyMatch(
                        called ->
                                request.isLookup(
                                        called.substring(0, called.indexOf('#')),
                                        called.substring(called.indexOf('#') + 1)));
    }

    /** Returns whether there is such a class in the code, rather than in the JDK alone. */
    public boolean inCode(String binaryName) {
        return seen.containsKey(binaryName) || table.has(binaryName);
    }

    /** Returns the binary names of all classes of the code, in no particular order; reads none. */
    public Collection<String> names() {
        return table.names();
    }

    /**
     * Returns the {@linkplain NameHash hashes} of the simple names of all classes of the code, in
     * no particular order; reads none.
     */
    public long[] simpleNameHashes() {
        return table.simpleHashes();
    }

    /** Returns how many classes there are in the code. */
    public int size() {
        return table.size();
    }

    /** Reads all classes, and all lists of services, with as many threads as processors. */
    public void readAll() {
        readClasses();
        table.readServices(lookedAt::add);
    }

    private void readClasses() {
        readAll(Runtime.getRuntime().availableProcessors());
    }

    /** Reads all classes with a number of threads, on which the answer does not depend. */
    void readAll(int threads) {
        if (!sawAll) {
            table.readAll(threads);
            lookedAt.addAll(table.entries());
            sawAll = true;
        }
    }

    /** Returns all classes of the code that can be read, in no particular order. */
    public Collection<ClassFacts> classes() {
        readClasses();
        for (CodeEntry entry : table.entries()) {
            entry.fault().ifPresent(unreadable::add);
        }
        return table.entries().stream()
                .map(entry -> entry.facts(table.request()))
                .flatMap(Optional::stream)
                .toList();
    }

    /** Returns all classes of the code that can be read, sorted by name. */
    public List<ClassFacts> sorted() {
        return classes().stream().sorted(ClassFacts.BY_NAME).toList();
    }

    /** Returns a type and all its supertypes as far as they are known, nearest first. */
    public Set<String> lineage(String binaryName) {
        Set<String> lineage = new LinkedHashSet<>(Set.of(binaryName));
        List<String> open = new ArrayList<>(lineage);
        for (int i = 0; i < open.size(); i++) {
            Optional<ClassFacts> facts = find(open.get(i));
            List<String> parents = new ArrayList<>();
            facts.flatMap(ClassFacts::superName).ifPresent(parents::add);
            facts.ifPresent(found -> parents.addAll(found.interfaces()));
            parents.stream().filter(lineage::add).forEach(open::add);
        }
        return lineage;
    }

    /**
     * Returns the classes of the code that extend or implement a type, directly or not, sorted by
     * name, itself left out. Reads these, and of all others what they extend and implement; one
     * that cannot be read counts as looked at.
     */
    public List<ClassFacts> subtypesOf(String binaryName) {
        DirectSubtypes subtypes = table.subtypes(Runtime.getRuntime().availableProcessors());
        subtypes.unreadable().forEach(entry -> look(entry.name()));
        Map<String, ClassFacts> found = new TreeMap<>();
        List<String> open = new ArrayList<>(List.of(binaryName));
        for (int i = 0; i < open.size(); i++) {
            for (String subtype : subtypes.direct(open.get(i))) {
                if (!found.containsKey(subtype)) {
                    find(subtype)
                            .ifPresent(
                                    facts -> {
                                        found.put(subtype, facts);
                                        open.add(subtype);
                                    });
                }
            }
        }
        return List.copyOf(found.values());
    }

    /** Returns the classes that fit a pattern, sorted by name; reads these and no others. */
    public List<ClassFacts> inPackage(ClassPattern pattern) {
        Map<String, List<String>> packages = table.byPackage();
        List<String> names =
                new ArrayList<>(packages.getOrDefault(pattern.packageName(), List.of()));
        if (pattern.below()) {
            packages.forEach(
                    (name, classes) -> {
                        if (name.startsWith(pattern.packageName() + '.')) {
                            names.addAll(classes);
                        }
                    });
        }
        names.sort(Comparator.naturalOrder());
        List<ClassFacts> found = new ArrayList<>(names.size());
        for (String name : names) {
            find(name).ifPresent(found::add);
        }
        return List.copyOf(found);
    }
}
