package dev.patientharbor.code;

import dev.patientharbor.files.IoReason;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.finding.Finding;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What lists of services (java.util.ServiceLoader) list: class names by contract, in order, each
 * once.
 */
final class ServiceLists {

    private final Map<String, Set<String>> byContract = new HashMap<>();

    /** Reads the lists of a source. */
    void read(ClassSource source, List<Finding> findings) {
        for (ClassFile file : source.serviceFiles()) {
            Set<String> listed = of(ClassSource.contract(file));
            try {
                new String(file.bytes(SizeLimit.SERVICES_FILE), StandardCharsets.UTF_8)
                        .lines()
                        .map(ServiceLists::name)
                        .filter(name -> !name.isEmpty())
                        .forEach(listed::add);
            } catch (IOException fault) {
                findings.add(
                        CodeReader.unreadable(
                                file.place(), "list of services", IoReason.of(fault)));
            }
        }
    }

    /** Adds the lists of others behind these. */
    void add(ServiceLists others) {
        others.byContract.forEach((contract, names) -> of(contract).addAll(names));
    }

    Map<String, List<String>> byContract() {
        Map<String, List<String>> all = new HashMap<>();
        byContract.forEach((contract, names) -> all.put(contract, List.copyOf(names)));
        return all;
    }

    private Set<String> of(String contract) {
        return byContract.computeIfAbsent(contract, key -> new LinkedHashSet<>());
    }

    private static String name(String line) {
        int comment = line.indexOf('#');
        return (comment < 0 ? line : line.substring(0, comment)).strip();
    }
}
