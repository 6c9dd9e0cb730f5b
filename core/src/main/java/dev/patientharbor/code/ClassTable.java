package dev.patientharbor.code;

import dev.patientharbor.finding.Finding;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/**
 * The classes of some folders and jars, by name, as a class path finds them: of two classes of one
 * name the first. What is in them is read when it is asked for.
 *
 * <p>May be used by several threads. What is worked out of all classes is kept.
 */
final class ClassTable {

    private final FactsRequest request;
    private final JdkClasses jdk;
    private final List<ServiceLists> services;
    private final NameTable byName;
    private List<String> names;
    private Map<String, List<String>> byPackage;
    private DirectSubtypes subtypes;
    private boolean allRead;

    /**
     * @param byName the classes of all folders and jars
     * @param services their lists of services, in the order of the class path
     * @param request what is read of a class
     * @param jdk the classes of the running Java
     */
    ClassTable(
            NameTable byName, List<ServiceLists> services, FactsRequest request, JdkClasses jdk) {
        this.request = request;
        this.jdk = jdk;
        this.services = List.copyOf(services);
        this.byName = byName;
    }

    /** Returns the names of all classes, in no particular order; none of them is read for it. */
    synchronized List<String> names() {
        if (names == null) {
            names = byName.names();
        }
        return names;
    }

    long[] simpleHashes() {
        return byName.simpleHashes();
    }

    int size() {
        return byName.size();
    }

    boolean has(String binaryName) {
        return byName.find(binaryName) != null;
    }

    /** Returns the entry of a class of the code, or null. */
    CodeEntry entry(String binaryName) {
        return byName.find(binaryName);
    }

    List<CodeEntry> entries() {
        return byName.entries();
    }

    FactsRequest request() {
        return request;
    }

    JdkClasses jdk() {
        return jdk;
    }

    /** Returns the classes that the service files list for a contract, in order, each once. */
    List<String> services(String contract, Consumer<Finding> unreadable) {
        return services.stream()
                .flatMap(lists -> lists.listed(contract, unreadable))
                .distinct()
                .toList();
    }

    /** Reads every list of services. */
    void readServices(Consumer<Finding> unreadable) {
        services.forEach(lists -> lists.readAll(unreadable));
    }

    /** Returns the names of the classes of each package. */
    synchronized Map<String, List<String>> byPackage() {
        if (byPackage == null) {
            byPackage = new HashMap<>();
            for (String name : names()) {
                byPackage
                        .computeIfAbsent(ClassFacts.packageOf(name), key -> new ArrayList<>())
                        .add(name);
            }
        }
        return byPackage;
    }

    /** Reads all that was not read yet, with a number of threads. */
    synchronized void readAll(int threads) {
        if (!allRead) {
            CodeReader.inParallel(threads, entries(), this::read);
            allRead = true;
        }
    }

    private void read(CodeEntry entry) {
        entry.facts(request);
    }

    /** Returns which classes extend and implement others. */
    synchronized DirectSubtypes subtypes(int threads) {
        if (subtypes == null) {
            subtypes = DirectSubtypes.of(entries(), request, threads);
        }
        return subtypes;
    }
}
