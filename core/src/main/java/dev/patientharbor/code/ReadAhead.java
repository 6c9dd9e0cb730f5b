package dev.patientharbor.code;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Reads, on a second thread, classes that a check will probably ask for: those that a file names,
 * and what these extend and ask for in turn. No answer depends on it; what it read and nobody asks
 * for counts as not looked at. Closing it ends the reading.
 */
public final class ReadAhead {

    /** The number of names for which a second thread is no gain. */
    private static final int FEW = 60;

    /**
     * The number of names that are read in the order in which they are asked for. Until then the
     * one who asks is slower, for its code is not compiled yet; later it would wait for each class.
     */
    private static final int IN_ORDER = 500;

    private final ClassTable table;
    private final List<String> packages;
    private final Deque<CodeEntry> open = new ArrayDeque<>();
    private final Set<CodeEntry> met = new HashSet<>();
    private volatile boolean closed;

    private ReadAhead(ClassTable table, List<String> packages) {
        this.table = table;
        this.packages = packages;
    }

    /**
     * Begins to read, if there is a processor for it and enough to read.
     *
     * @param names class names and patterns as users write them
     * @param packages where short names are looked up
     */
    static ReadAhead of(ClassTable table, Collection<String> names, List<String> packages) {
        ReadAhead ahead = new ReadAhead(table, packages);
        if (names.size() > FEW || names.stream().anyMatch(ClassPattern::isPattern)) {
            if (Runtime.getRuntime().availableProcessors() > 1) {
                Thread thread = new Thread(() -> ahead.run(names), "reading ahead");
                thread.setDaemon(true);
                thread.start();
            }
        }
        return ahead;
    }

    private void run(Collection<String> names) {
        try {
            read(names);
        } catch (RuntimeException | StackOverflowError fault) {
            // Whoever asks for the class meets the same, and reports it.
            close();
        }
    }

    private void read(Collection<String> names) {
        for (String name : inOrder(names)) {
            if (closed) {
                return;
            }
            if (ClassPattern.isPattern(name)) {
                ClassPattern pattern = ClassPattern.of(name);
                // Whoever asks begins with the first.
                table.byPackage().getOrDefault(pattern.packageName(), List.of()).stream()
                        .sorted(Comparator.reverseOrder())
                        .forEach(this::add);
            } else {
                add(name);
                packages.forEach(packageName -> add(packageName + '.' + name));
            }
            follow();
        }
    }

    /** The first ones, then from the last one on backwards. */
    private static List<String> inOrder(Collection<String> names) {
        List<String> order = new ArrayList<>(names);
        if (order.size() > IN_ORDER) {
            Collections.reverse(order.subList(IN_ORDER, order.size()));
        }
        return order;
    }

    private void add(String binaryName) {
        CodeEntry entry = table.entry(binaryName);
        if (entry != null && met.add(entry)) {
            open.add(entry);
        }
    }

    private void follow() {
        for (CodeEntry next = open.poll(); next != null && !closed; next = open.poll()) {
            next.facts(table.request()).ifPresent(this::addAskedFor);
        }
    }

    private void addAskedFor(ClassFacts facts) {
        facts.superName().ifPresent(this::add);
        facts.interfaces().forEach(this::add);
        facts.constructors().forEach(made -> made.erasedParameterTypes().forEach(this::add));
    }

    /** Ends the reading. */
    public void close() {
        closed = true;
    }
}
