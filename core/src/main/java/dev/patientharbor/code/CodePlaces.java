package dev.patientharbor.code;

import dev.patientharbor.files.FileIdentity;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.model.Written;
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
        ServiceLists services = new ServiceLists();
        services.read(source, findings);
        bySource.put(source, new Read(classes, services));
    }

    /** Adds the sources of the next root; several roots may have one in common. */
    void addRoot(List<ClassSource> sources) {
        pathsByRoot.add(sources.stream().map(ClassSource::path).toList());
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

    /** Whether a file is a jar, a class file or a list of services that was read. */
    public boolean isReadFrom(Path file) {
        return pathsByRoot.stream().flatMap(List::stream).anyMatch(one -> isIn(file, one));
    }

    private static boolean isIn(Path file, Path place) {
        if (!Files.isDirectory(place)) {
            return FileIdentity.of(file).equals(FileIdentity.of(place));
        }
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
    public CodeIndex only(Collection<Written> places) {
        Set<Read> seen = new LinkedHashSet<>();
        for (int i = 0; i < roots.size(); i++) {
            if (places.contains(roots.get(i).written())) {
                seen.addAll(byRoot.get(i));
            }
        }
        List<ClassFacts> classes = new ArrayList<>();
        ServiceLists services = new ServiceLists();
        for (Read read : seen) {
            classes.addAll(read.classes());
            services.add(read.services());
        }
        return new CodeIndex(classes, services.byContract(), findings, wanted);
    }
}
