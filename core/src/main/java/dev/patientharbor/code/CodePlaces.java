package dev.patientharbor.code;

import dev.patientharbor.files.FileIdentity;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.terms.WrittenName;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * What was read, place by place: each class file once, whoever may see it.
 *
 * <p>Immutable once it was read; may be used by several threads.
 */
public final class CodePlaces {

    private final List<CodeRoot> roots;
    private final List<Finding> findings;
    private final JdkClasses jdk;
    private final Map<ClassSource, Read> bySource = new HashMap<>();
    private final List<List<Read>> byRoot = new ArrayList<>();
    private final List<List<Path>> pathsByRoot = new ArrayList<>();
    private final Map<WrittenName, List<Integer>> numbers = new HashMap<>();
    private volatile CodeIndex whole;
    private volatile Map<String, Set<WrittenName>> byClass;

    /** What was read of one folder or jar. */
    private record Read(List<ClassFacts> classes, ServiceLists services) {

        // Two are the same only if they are one: comparing all facts would take long.
        @Override
        public boolean equals(Object other) {
            return this == other;
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(this);
        }
    }

    CodePlaces(List<CodeRoot> roots, List<Finding> missing, FactsRequest request) {
        this.roots = List.copyOf(roots);
        jdk = new JdkClasses(request.ofJdk());
        findings = new ArrayList<>(missing);
        for (int i = 0; i < roots.size(); i++) {
            numbers.computeIfAbsent(roots.get(i).written(), name -> new ArrayList<>(1)).add(i);
        }
    }

    /** Adds what was read of one source: facts, and findings where there are none. */
    void add(ClassSource source, List<Object> read) {
        List<ClassFacts> classes = new ArrayList<>(read.size());
        for (Object one : read) {
            if (one instanceof Finding finding) {
                findings.add(finding);
            } else {
                classes.add((ClassFacts) one);
            }
        }
        ServiceLists services = new ServiceLists();
        services.read(source, findings);
        bySource.put(source, new Read(classes, services));
    }

    /** Adds the sources of the next root; several roots may have one in common. */
    void addRoot(List<ClassSource> sources) {
        pathsByRoot.add(sources.stream().map(ClassSource::path).toList());
        byRoot.add(sources.stream().map(bySource::get).toList());
    }

    /** Ends the reading: no more will be added. */
    void close() {
        findings.sort(Finding.ORDER);
    }

    /** Returns the code of all places. */
    public CodeIndex whole() {
        CodeIndex known = whole;
        if (known == null) {
            known = index(IntStream.range(0, roots.size()));
            whole = known;
        }
        return known;
    }

    /** The places in which a class stands. */
    public Set<WrittenName> having(String className) {
        Map<String, Set<WrittenName>> known = byClass;
        if (known == null) {
            known = new HashMap<>();
            for (int i = 0; i < roots.size(); i++) {
                for (Read read : byRoot.get(i)) {
                    for (ClassFacts facts : read.classes()) {
                        known.computeIfAbsent(facts.name(), key -> new LinkedHashSet<>(2))
                                .add(roots.get(i).written());
                    }
                }
            }
            byClass = known;
        }
        return known.getOrDefault(className, Set.of());
    }

    /** The numbers of some places, in the order in which they were read. */
    private IntStream numbers(Collection<WrittenName> places) {
        return places.stream()
                .flatMap(place -> numbers.getOrDefault(place, List.of()).stream())
                .mapToInt(Integer::intValue)
                .distinct()
                .sorted();
    }

    /** The folders and jars that some of the places are, absolute, in the order of the places. */
    public List<Path> paths(Collection<WrittenName> places) {
        Set<Path> paths = new LinkedHashSet<>();
        numbers(places).forEach(place -> paths.addAll(pathsByRoot.get(place)));
        return List.copyOf(paths);
    }

    /** Whether a file is a jar, a class file or a list of services that was read. */
    public boolean isReadFrom(Path file) {
        Object identity = FileIdentity.of(file);
        return bySource.keySet().stream()
                .anyMatch(
                        source ->
                                Files.isDirectory(source.path())
                                        ? source.has(identity) || isIn(file, source.path())
                                        : FileIdentity.of(source.path()).equals(identity));
    }

    /** Whether a file would be read, were it there when the folder is read again. */
    private static boolean isIn(Path file, Path place) {
        try {
            Path real = file.toRealPath();
            Path folder = place.toRealPath();
            return real.startsWith(folder)
                    && ClassSource.isWanted(
                            folder.relativize(real).toString().replace(File.separatorChar, '/'));
        } catch (IOException notThere) {
            return false;
        }
    }

    /** What stands in some of the places, in the order in which they were read. */
    public CodeIndex only(Collection<WrittenName> places) {
        return places.containsAll(numbers.keySet()) ? whole() : index(numbers(places));
    }

    private CodeIndex index(IntStream wanted) {
        Set<Read> seen = new LinkedHashSet<>();
        wanted.forEach(root -> seen.addAll(byRoot.get(root)));
        List<ClassFacts> classes = new ArrayList<>();
        ServiceLists services = new ServiceLists();
        for (Read read : seen) {
            classes.addAll(read.classes());
            services.add(read.services());
        }
        return new CodeIndex(classes, services.byContract(), findings, jdk);
    }
}
