package dev.patientharbor.surveying;

import static java.nio.charset.StandardCharsets.UTF_8;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.survey.TouchKind;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/**
 * Which methods and fields reach outside. A line of the table is a kind and a pattern: {@code
 * CLASS}, {@code PACKAGE.**}, {@code CLASS#MEMBER}, or {@code CLASS#MEMBER(TYPES)} where only that
 * one of several counts; {@code new} is a constructor. A class may go by its short name. Immutable.
 */
public final class TouchTable {

    private static final String RESOURCE = "touches.txt";
    private static final String BELOW = ".**";

    private final Map<String, TouchKind> exact = new HashMap<>();
    private final Map<String, TouchKind> packages = new HashMap<>();
    private final Set<String> owners = new HashSet<>();

    /** Whether anything is said of a class: most calls are of classes of which nothing is. */
    private final Map<String, Boolean> isKnown = new ConcurrentHashMap<>();

    private TouchTable(List<String> lines) {
        for (String line : lines) {
            if (!line.isBlank() && !line.startsWith("#")) {
                String[] words = line.strip().split("\\s+");
                add(TouchKind.of(words[0]).orElseThrow(), words[1]);
            }
        }
    }

    private TouchTable(TouchTable other) {
        exact.putAll(other.exact);
        owners.addAll(other.owners);
        packages.putAll(other.packages);
    }

    /** Returns the table of what the JDK and well-known libraries reach. */
    public static TouchTable ofJdk() {
        try (InputStream bytes = TouchTable.class.getResourceAsStream(RESOURCE)) {
            return new TouchTable(new String(bytes.readAllBytes(), UTF_8).lines().toList());
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }

    /** Returns this table with what a house adds: patterns by kind. */
    public TouchTable with(Map<TouchKind, List<String>> more) {
        TouchTable table = new TouchTable(this);
        more.forEach((kind, patterns) -> patterns.forEach(pattern -> table.add(kind, pattern)));
        return table;
    }

    private void add(TouchKind kind, String pattern) {
        if (pattern.endsWith(BELOW)) {
            packages.put(pattern.substring(0, pattern.length() - BELOW.length()), kind);
        } else {
            exact.put(pattern, kind);
            owners.add(pattern.split("#")[0]);
        }
    }

    /** Returns what a method or a static field reaches; empty if nothing. */
    Optional<TouchKind> kind(MethodName member) {
        return isKnown.computeIfAbsent(member.owner(), this::knows)
                ? kindOfKnown(member)
                : Optional.empty();
    }

    /** Returns the methods by which objects of a class reach something, none if it is not known. */
    List<MethodName> membersOf(String type, Supplier<Optional<ClassFacts>> facts) {
        List<MethodName> members = new ArrayList<>();
        if (!isKnown.computeIfAbsent(type, this::knows)) {
            return members;
        }
        MethodName any = new MethodName(type, "<init>", "");
        if (kindOfKnown(any).isPresent()) {
            members.add(any);
        }
        for (String way : exact.keySet()) {
            if (way.startsWith(type + '#')) {
                String name = way.substring(type.length() + 1);
                if (facts.get().filter(each -> each.hasMethodOfObjects(name)).isPresent()) {
                    members.add(new MethodName(type, name, ""));
                }
            }
        }
        members.sort(Comparator.comparing(MethodName::name));
        return members;
    }

    private boolean knows(String owner) {
        return owners.contains(owner)
                || owners.contains(owner.substring(owner.lastIndexOf('.') + 1))
                || ofPackage(owner).isPresent();
    }

    private Optional<TouchKind> kindOfKnown(MethodName member) {
        String owner = member.owner();
        return kind(owner, member)
                .or(() -> kind(owner.substring(owner.lastIndexOf('.') + 1), member))
                .or(() -> ofPackage(owner));
    }

    private Optional<TouchKind> kind(String owner, MethodName member) {
        String name = owner + '#' + (member.isConstructor() ? "new" : member.name());
        List<String> ways = new ArrayList<>(3);
        if (member.descriptor().startsWith("(")) {
            ways.add(name + '(' + String.join(",", member.parameterTypes()) + ')');
        }
        ways.add(name);
        ways.add(owner);
        for (String way : ways) {
            if (exact.containsKey(way)) {
                return Optional.of(exact.get(way));
            }
        }
        return Optional.empty();
    }

    private Optional<TouchKind> ofPackage(String owner) {
        for (String around = owner; around.indexOf('.') > 0; ) {
            around = around.substring(0, around.lastIndexOf('.'));
            if (packages.containsKey(around)) {
                return Optional.of(packages.get(around));
            }
        }
        return Optional.empty();
    }
}
