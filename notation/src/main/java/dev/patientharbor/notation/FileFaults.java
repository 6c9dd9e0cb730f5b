package dev.patientharbor.notation;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.texts.NearNames;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/** Collects what is wrong with the text of a file, each fault with the line it stands on. */
final class FileFaults {

    private static final int LONGEST_LINE = 100;

    private static final int MOST_VALUES = 500_000;

    /** Written out, each value takes a sign or more: where there are more, aliases repeat them. */
    private int mostValues = MOST_VALUES;

    private static final int DEEPEST_VALUE = 20;

    private final String file;
    private int values;
    private final List<Finding> findings = new ArrayList<>();
    private List<String> lines = List.of();

    FileFaults(String file) {
        this.file = file;
    }

    /** The text, so that faults can show their lines. */
    void text(String text) {
        lines = text.lines().toList();
        mostValues = Math.min(text.length(), MOST_VALUES);
    }

    /**
     * Counts a value of free shape; false, and told once, when there are more of them than anybody
     * writes: a list that holds itself has no end.
     */
    boolean mayRead(YamlNode value, int depth) {
        boolean inTime = values < mostValues;
        values = depth > DEEPEST_VALUE ? mostValues : values + 1;
        if (inTime && values >= mostValues) {
            malformed(
                    value.at(),
                    "The values of this file have no end: an alias holds itself, or too many.",
                    "write the values out");
        }
        return values < mostValues;
    }

    SourcePosition at(int line, int column) {
        return new SourcePosition.InFile(file, line, column);
    }

    String name() {
        return file;
    }

    List<Finding> all() {
        return findings.stream().sorted(Finding.ORDER).toList();
    }

    /** Reports that the file, or a part of it, is not what it should be. */
    void malformed(SourcePosition at, String message, String remedy) {
        add(FindingKinds.MALFORMED_FILE, at, message, message, remedy);
    }

    void unknownKey(SourcePosition at, String key, String place, Collection<String> known) {
        unknown(at, key, "The key " + key + " is not known in " + place + ".", known);
    }

    /** Reports a word that is none of those that the notation knows there. */
    void unknown(SourcePosition at, String word, String message, Collection<String> known) {
        Finding finding = shown(FindingKinds.UNKNOWN_WORD, at, word, message);
        List<String> near = NearNames.of(word, known);
        findings.add(
                near.isEmpty()
                        ? finding.with("known", String.join(", ", known))
                        : finding.with("did you mean", String.join(", ", near)));
    }

    void repeatedKey(SourcePosition at, String key, String place, SourcePosition first) {
        add(
                FindingKinds.REPEATED_KEY,
                at,
                key,
                "The key " + key + " stands twice in " + place + ", first at " + first.text() + ".",
                "keep one of the two");
    }

    private void add(
            FindingKind kind, SourcePosition at, String cause, String message, String remedy) {
        findings.add(shown(kind, at, cause, message).with("do", remedy));
    }

    private Finding shown(FindingKind kind, SourcePosition at, String cause, String message) {
        Finding finding = Finding.of(kind, at, cause, message);
        int line = at.match(SourcePosition.InFile::line, in -> 0, in -> 0);
        if (line < 1 || line > lines.size() || lines.get(line - 1).isBlank()) {
            return finding;
        }
        String text = lines.get(line - 1).strip();
        boolean cut = text.length() > LONGEST_LINE;
        return finding.with("line", cut ? text.substring(0, LONGEST_LINE) + " …" : text);
    }
}
