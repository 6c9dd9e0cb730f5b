package dev.patientharbor.code;

import dev.patientharbor.files.IoReason;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.finding.Finding;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * The lists of services (java.util.ServiceLoader) of one folder or jar; each is read when it is
 * asked for. May be used by several threads.
 */
final class ServiceLists {

    private final Map<String, ClassFile> byContract = new HashMap<>();

    /** The lists of a source. */
    ServiceLists(ClassSource source) {
        source.serviceFiles().forEach(file -> byContract.put(ClassSource.contract(file), file));
    }

    /**
     * Returns the names of the classes that are listed for a contract, in order.
     *
     * @param unreadable takes the finding that the list cannot be read
     */
    Stream<String> listed(String contract, Consumer<Finding> unreadable) {
        ClassFile file = byContract.get(contract);
        if (file == null) {
            return Stream.empty();
        }
        try {
            return new String(file.bytes(SizeLimit.SERVICES_FILE), StandardCharsets.UTF_8)
                    .lines()
                    .map(ServiceLists::name)
                    .filter(name -> !name.isEmpty());
        } catch (IOException fault) {
            unreadable.accept(
                    CodeReader.unreadable(file.place(), "list of services", IoReason.of(fault)));
            return Stream.empty();
        }
    }

    /** Reads all lists, for what is wrong with them. */
    void readAll(Consumer<Finding> unreadable) {
        byContract.keySet().forEach(contract -> listed(contract, unreadable));
    }

    private static String name(String line) {
        int comment = line.indexOf('#');
        return (comment < 0 ? line : line.substring(0, comment)).strip();
    }
}
