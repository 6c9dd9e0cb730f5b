package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.Suppression;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The suppressions of one id, by what they name: each finding looks up those that may mean it. */
final class SuppressionIndex {

    private static final Pattern PACKAGE = Pattern.compile("[\\w$]+\\.(?=[\\w$])");

    /**
     * Each suppression with its place among all, by the text that it names; blank for one that
     * names nothing.
     */
    private final Map<String, Map<Integer, Suppression>> byText = new HashMap<>();

    /** The suppressions that name a line of a file, by the line. */
    private final Map<String, Map<Integer, Suppression>> byLine = new HashMap<>();

    void add(int place, Suppression suppression) {
        byText.computeIfAbsent(suppression.of(), text -> new TreeMap<>()).put(place, suppression);
        int colon = suppression.of().lastIndexOf(':');
        if (colon >= 0) {
            byLine.computeIfAbsent(suppression.of().substring(colon + 1), line -> new TreeMap<>())
                    .put(place, suppression);
        }
    }

    /** Finds the suppressions that mean a finding, in their order. */
    List<Suppression> of(Finding finding) {
        Map<Integer, Suppression> all = new TreeMap<>(byText.getOrDefault("", Map.of()));
        finding.at()
                .match(
                        in -> {
                            addOfLine(in, all);
                            return null;
                        },
                        in -> {
                            addNamed(in.className(), all);
                            return null;
                        },
                        in -> {
                            all.putAll(byText.getOrDefault(in.text(), Map.of()));
                            return null;
                        });
        names(finding).forEach(name -> addNamed(name, all));
        return new ArrayList<>(all.values());
    }

    /**
     * Adds a suppression that names a slot or a class, its class names written short or in full.
     */
    private void addNamed(String name, Map<Integer, Suppression> all) {
        all.putAll(byText.getOrDefault(name, Map.of()));
        String shortName = shortened(name);
        for (int dot = -1; ; ) {
            all.putAll(byText.getOrDefault(shortName.substring(dot + 1), Map.of()));
            dot = shortName.indexOf('.', dot + 1);
            if (dot < 0) {
                return;
            }
        }
    }

    /** Adds a suppression of a line of a file, seen from where the suppression stands. */
    private void addOfLine(SourcePosition.InFile in, Map<Integer, Suppression> all) {
        String path = normal(in.path());
        byLine.getOrDefault(Integer.toString(in.line()), Map.of())
                .forEach(
                        (place, suppression) -> {
                            String file =
                                    suppression
                                            .of()
                                            .substring(0, suppression.of().lastIndexOf(':'));
                            String folder =
                                    suppression
                                            .at()
                                            .match(own -> parent(own.path()), own -> "", own -> "");
                            if (path.equals(normal(file)) || path.equals(normal(folder + file))) {
                                all.put(place, suppression);
                            }
                        });
    }

    private static String parent(String path) {
        return path.substring(0, path.replace('\\', '/').lastIndexOf('/') + 1);
    }

    private static String normal(String path) {
        try {
            return Path.of(path).normalize().toString();
        } catch (InvalidPathException noPath) {
            return path;
        }
    }

    /** Returns the slots, classes and consumers that a finding names. */
    static Stream<String> names(Finding finding) {
        return Stream.concat(finding.subjects().stream(), finding.consumers().stream());
    }

    /** Returns a text with its class names without their packages. */
    static String shortened(String name) {
        return PACKAGE.matcher(name).replaceAll("").replace('$', '.');
    }
}
