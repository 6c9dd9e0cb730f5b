package dev.patientharbor.code;

import dev.patientharbor.finding.Finding;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * The facts of all classes that were read, and, when asked for, of the running JDK's.
 *
 * <p>Immutable but for what is remembered of earlier questions; may be used by several threads.
 */
public final class CodeIndex {

    private final Map<String, ClassFacts> byName;
    private final List<Finding> findings;
    private final JdkClasses jdk;
    private volatile Map<String, List<String>> direct;
    private volatile Map<String, List<ClassFacts>> byPackage;

    private final Map<String, List<String>> services;

    CodeIndex(
            Collection<ClassFacts> classes,
            Map<String, List<String>> services,
            List<Finding> findings,
            JdkClasses jdk) {
        this.services = Map.copyOf(services);
        this.jdk = jdk;
        byName = new HashMap<>(classes.size() * 2);
        // As in a class path, the first of two classes of one name wins.
        classes.forEach(facts -> byName.putIfAbsent(facts.name(), facts));
        this.findings = List.copyOf(findings);
    }

    /** What was wrong with all code that was read, whoever sees it, in order of place. */
    public List<Finding> findings() {
        return findings;
    }

    /** The facts of a class of the code or of the running JDK. */
    public Optional<ClassFacts> find(String binaryName) {
        ClassFacts facts = byName.get(binaryName);
        return facts != null ? Optional.of(facts) : jdk.find(binaryName);
    }

    /** The classes that the service files of the code list for a contract, in order. */
    public List<String> services(String contract) {
        return services.getOrDefault(contract, List.of());
    }

    /** Whether a lookup method, {@code CLASS#METHOD}, is called somewhere with constants. */
    public boolean callsLookup(String method) {
        FactsRequest request = FactsRequest.of(false, Set.of(method));
        return byName.values().stream()
                .flatMap(facts -> facts.bodies().lookups().stream())
                .map(LookupFacts::called)
                .anyMatch(
                        called ->
                                request.isLookup(
                                        called.substring(0, called.indexOf('#')),
                                        called.substring(called.indexOf('#') + 1)));
    }

    /** Whether the class was read from the code, rather than from the JDK. */
    public boolean inCode(String binaryName) {
        return byName.containsKey(binaryName);
    }

    /** All classes of the code, in no particular order. */
    public Collection<ClassFacts> classes() {
        return byName.values();
    }

    /** The number of classes that were read. */
    public int size() {
        return byName.size();
    }

    /**
     * The classes of the code that extend or implement a type, directly or not, sorted by name,
     * itself left out.
     */
    public List<ClassFacts> subtypesOf(String binaryName) {
        Map<String, ClassFacts> found = new TreeMap<>();
        List<String> open = new ArrayList<>(List.of(binaryName));
        for (int i = 0; i < open.size(); i++) {
            for (String subtype : directSubtypes().getOrDefault(open.get(i), List.of())) {
                if (found.put(subtype, byName.get(subtype)) == null) {
                    open.add(subtype);
                }
            }
        }
        return List.copyOf(found.values());
    }

    private Map<String, List<String>> directSubtypes() {
        Map<String, List<String>> known = direct;
        if (known == null) {
            known = new HashMap<>();
            for (ClassFacts facts : sorted()) {
                List<String> supertypes = new ArrayList<>(facts.interfaces());
                facts.superName().ifPresent(supertypes::add);
                for (String supertype : supertypes) {
                    known.computeIfAbsent(supertype, name -> new ArrayList<>(2)).add(facts.name());
                }
            }
            direct = known;
        }
        return known;
    }

    /** The classes that fit a pattern, sorted by name. */
    public List<ClassFacts> inPackage(ClassPattern pattern) {
        List<ClassFacts> found =
                new ArrayList<>(packages().getOrDefault(pattern.packageName(), List.of()));
        if (pattern.below()) {
            packages()
                    .forEach(
                            (name, classes) -> {
                                if (name.startsWith(pattern.packageName() + '.')) {
                                    found.addAll(classes);
                                }
                            });
        }
        found.sort(Comparator.comparing(ClassFacts::name));
        return found;
    }

    private Map<String, List<ClassFacts>> packages() {
        Map<String, List<ClassFacts>> known = byPackage;
        if (known == null) {
            known = new HashMap<>();
            for (ClassFacts facts : byName.values()) {
                known.computeIfAbsent(facts.packageName(), name -> new ArrayList<>()).add(facts);
            }
            byPackage = known;
        }
        return known;
    }

    /** All classes of the code, sorted by name. */
    public List<ClassFacts> sorted() {
        return byName.values().stream().sorted(Comparator.comparing(ClassFacts::name)).toList();
    }
}
