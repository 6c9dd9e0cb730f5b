package dev.patientharbor.code;

import dev.patientharbor.files.FileIdentity;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.terms.WrittenName;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The folders and jars of a set, opened: what classes there are is known, what is in them is read
 * when it is asked for, once, whoever asks. Jars stay open as long as this is in use.
 *
 * <p>May be used by several threads.
 */
final class OpenedCode {

    /** The number of class files whose names are sorted out sooner than other threads start. */
    private static final int MANY = 20_000;

    private final List<WrittenName> places = new ArrayList<>();
    private final List<String> names = new ArrayList<>();
    private final List<ClassSource> byPlace = new ArrayList<>();
    private final List<Finding> findings;
    private final FactsRequest request;
    private final JdkClasses jdk;
    private final ReadCount count;
    private final Map<WrittenName, List<Integer>> numbers = new HashMap<>();
    private final List<ClassSource> sources;
    private final Map<List<ClassSource>, ClassTable> tables = new HashMap<>();

    /**
     * @param byRoot the sources that each root names; several roots may have one in common
     * @param findings what could not be opened
     * @param count counts the files that are read
     */
    OpenedCode(
            List<CodeRoot> roots,
            List<List<ClassSource>> byRoot,
            List<Finding> findings,
            FactsRequest request,
            ReadCount count) {
        this.findings = findings.stream().sorted(Finding.ORDER).toList();
        this.request = request;
        this.count = count;
        jdk = new JdkClasses(request.ofJdk());
        Set<ClassSource> ofTests = new HashSet<>();
        for (int i = 0; i < roots.size(); i++) {
            for (ClassSource source : byRoot.get(i)) {
                if (roots.get(i).isTests() || TestCode.isNamedSo(source.path())) {
                    ofTests.add(source);
                }
            }
        }
        for (int i = 0; i < roots.size(); i++) {
            numbers.computeIfAbsent(roots.get(i).written(), name -> new ArrayList<>(1));
            for (ClassSource source : byRoot.get(i)) {
                WrittenName place =
                        ofTests.contains(source) ? TestCode.PLACE : roots.get(i).written();
                numbers.computeIfAbsent(place, name -> new ArrayList<>(1)).add(byPlace.size());
                places.add(place);
                names.add(SourceOpener.name(roots.get(i), source.path()));
                byPlace.add(source);
            }
        }
        sources = byPlace.stream().distinct().toList();
        if (sources.size() > 1 && sources.stream().mapToInt(ClassSource::size).sum() > MANY) {
            sources.parallelStream().forEach(ClassSource::classes);
        }
    }

    /** Returns what could not be opened, in order of place. */
    List<Finding> findings() {
        return findings;
    }

    /** Returns how many files were read so far. */
    long filesRead() {
        return count.soFar();
    }

    /** Returns the places as they are written. */
    Set<WrittenName> places() {
        return numbers.keySet();
    }

    /** Returns the classes of some places, in the order in which the places are named. */
    synchronized ClassTable table(Collection<WrittenName> places) {
        // The order counts: of two classes of one name the first one is found.
        List<ClassSource> named = sources(places);
        ClassTable known = tables.get(named);
        if (known == null) {
            known =
                    new ClassTable(
                            names(named),
                            named.stream().map(ServiceLists::new).toList(),
                            request,
                            jdk);
            tables.put(named, known);
        }
        return known;
    }

    private static NameTable names(List<ClassSource> sources) {
        return sources.size() == 1
                ? sources.get(0).names()
                : new NameTable(sources.stream().map(ClassSource::classes).toList());
    }

    /** What some places hold, in the order in which all places are named. */
    private List<ClassSource> sources(Collection<WrittenName> wanted) {
        return wanted.stream()
                .flatMap(place -> numbers.getOrDefault(place, List.of()).stream())
                .distinct()
                .sorted()
                .map(byPlace::get)
                .distinct()
                .toList();
    }

    /** Returns what of the code of the tests has a class, if any has, as it is called. */
    Optional<String> testPlace(String className) {
        for (int number : numbers.getOrDefault(TestCode.PLACE, List.of())) {
            if (byPlace.get(number).names().find(className) != null) {
                return Optional.of(names.get(number));
            }
        }
        return Optional.empty();
    }

    /** Returns the places in which a class of a name is. */
    Set<WrittenName> having(String className) {
        Set<WrittenName> having = new LinkedHashSet<>(2);
        for (int i = 0; i < places.size(); i++) {
            if (byPlace.get(i).names().find(className) != null) {
                having.add(places.get(i));
            }
        }
        return having;
    }

    /** Returns the folders and jars that some places are, absolute, in the order of the places. */
    List<Path> paths(Collection<WrittenName> places) {
        return sources(places).stream().map(ClassSource::path).distinct().toList();
    }

    /** Returns whether a file is a jar, a class file or a list of services of this code. */
    boolean isReadFrom(Path file) {
        Object identity = FileIdentity.of(file);
        return sources.stream()
                .anyMatch(
                        source ->
                                Files.isDirectory(source.path())
                                        ? source.has(identity) || isIn(file, source.path())
                                        : FileIdentity.of(source.path()).equals(identity));
    }

    /** Returns whether a file would be read, were it there when the folder is opened again. */
    private static boolean isIn(Path file, Path place) {
        try {
            Path real = file.toRealPath();
            Path folder = place.toRealPath();
            return real.startsWith(folder)
                    && ClassSource.isWanted(
                            folder.relativize(real)
                                    .toString()
                                    .replace(java.io.File.separatorChar, '/'));
        } catch (IOException notThere) {
            return false;
        }
    }
}
