package dev.patientharbor.code;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.model.Written;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What was read, place by place: each class file once, whoever may see it.
 *
 * <p>Immutable once it was read; may be used by several threads.
 */
public final class CodePlaces {

    private final List<CodeRoot> roots;
    private final List<Finding> findings;
    private final Wanted wanted;
    private final Map<ClassSource, Read> bySource = new HashMap<>();
    private final List<List<Read>> byRoot = new ArrayList<>();
    private final List<List<Path>> pathsByRoot = new ArrayList<>();

    /** What was read of one folder or jar. */
    private record Read(List<ClassFacts> classes, Map<String, List<String>> services) {

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

    CodePlaces(List<CodeRoot> roots, List<Finding> missing, Wanted wanted) {
        this.roots = List.copyOf(roots);
        this.wanted = wanted;
        findings = new ArrayList<>(missing);
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
        Map<String, List<String>> services = new HashMap<>();
        source.readServices(services);
        bySource.put(source, new Read(classes, services));
    }

    /**
     * Adds the sources of the next root, with where they are; several roots may have one in common.
     */
    void addRoot(List<ClassSource> sources, List<Path> paths) {
        pathsByRoot.add(paths);
        byRoot.add(sources.stream().map(bySource::get).toList());
    }

    /** All of it. */
    public CodeIndex whole() {
        return only(roots.stream().map(CodeRoot::written).toList());
    }

    /** The folders and jars that some of the places are, absolute, in the order of the places. */
    public List<Path> paths(Collection<Written> places) {
        Set<Path> paths = new LinkedHashSet<>();
        for (int i = 0; i < roots.size(); i++) {
            if (places.contains(roots.get(i).written())) {
                paths.addAll(pathsByRoot.get(i));
            }
        }
        return List.copyOf(paths);
    }

    /** What stands in some of the places, in the order in which they were read. */
    public CodeIndex only(Collection<Written> places) {
        Set<Read> seen = new LinkedHashSet<>();
        for (int i = 0; i < roots.size(); i++) {
            if (places.contains(roots.get(i).written())) {
                seen.addAll(byRoot.get(i));
            }
        }
        List<ClassFacts> classes = new ArrayList<>();
        Map<String, List<String>> services = new HashMap<>();
        for (Read read : seen) {
            classes.addAll(read.classes());
            read.services().forEach((contract, names) -> join(services, contract, names));
        }
        return new CodeIndex(classes, services, findings, wanted);
    }

    private static void join(
            Map<String, List<String>> services, String contract, List<String> names) {
        List<String> known = services.computeIfAbsent(contract, one -> new ArrayList<>());
        names.stream().filter(name -> !known.contains(name)).forEach(known::add);
    }
}
