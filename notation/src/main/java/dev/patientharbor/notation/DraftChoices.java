package dev.patientharbor.notation;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Severity;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What a draft binds: what a check misses is bound to a class that it names, and what cannot stand
 * is bound to the next one. For one thread.
 */
final class DraftChoices {

    private static final String MAY_BE_EMPTY = "may-be-empty";
    private static final Pattern EMPTY = Pattern.compile(MAY_BE_EMPTY + ": \\[([^]]*)\\]");

    /** What is bound, by slot, in the order in which the check missed it. */
    private final Map<String, DraftChoice> choices = new LinkedHashMap<>();

    /** What collections may have no member, for the code has none. */
    private final Set<String> mayBeEmpty = new TreeSet<>();

    /** The slots as the file writes them, by their whole text. */
    private final Map<String, String> written = new HashMap<>();

    Map<String, DraftChoice> choices() {
        return choices;
    }

    Set<String> mayBeEmpty() {
        return mayBeEmpty;
    }

    /** Returns a slot as the file writes it, by its whole text; blank if it is not bound here. */
    String written(String slot) {
        return written.getOrDefault(slot, "");
    }

    /** Returns the slots that are left to fill, as the file writes them. */
    List<String> toFill() {
        return choices.entrySet().stream()
                .filter(choice -> choice.getValue().isToFill())
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Returns what else is wrong, one sentence each. */
    List<String> remarks(List<Finding> findings) {
        return findings.stream()
                .filter(finding -> finding.severity() == Severity.ERROR)
                .filter(finding -> !isToFill(finding))
                .map(Finding::message)
                .distinct()
                .toList();
    }

    /**
     * Changes what the errors ask for; returns whether anything changed.
     *
     * @param findings what a check found
     * @param lines the slots that were bound here, by the line of the file
     */
    boolean mend(List<Finding> findings, Map<Integer, String> lines) {
        boolean changed = false;
        for (Finding finding : findings) {
            if (finding.severity() == Severity.ERROR) {
                changed |= mend(finding, lines);
            }
        }
        return changed;
    }

    private boolean mend(Finding finding, Map<Integer, String> lines) {
        boolean isMissing =
                finding.kind() == FindingKinds.UNMET_NEED
                        || finding.kind() == FindingKinds.EMPTY_COLLECTION;
        if (finding.kind() == FindingKinds.EMPTY_COLLECTION && candidates(finding).isEmpty()) {
            return mayBeEmpty.addAll(emptyCollections(finding));
        }
        if (isMissing) {
            String slot = writtenSlot(finding);
            if (lines.containsValue(slot) && !choices.containsKey(slot)) {
                return false; // the file says something of it already
            }
            written.put(finding.subjects().get(0), slot);
            return choices.putIfAbsent(slot, new DraftChoice(candidates(finding))) == null;
        }
        Optional<DraftChoice> bound =
                line(finding).map(lines::get).map(choices::get).filter(each -> !each.isToFill());
        bound.ifPresent(choice -> choice.refuse(why(finding)));
        return bound.isPresent();
    }

    /** The slot as the line has it that the finding proposes. */
    private static String writtenSlot(Finding finding) {
        return detail(finding, "write").stream()
                .filter(line -> line.contains(": "))
                .map(line -> line.substring(0, line.indexOf(": ")))
                .filter(slot -> !slot.equals(MAY_BE_EMPTY))
                .findFirst()
                .orElse(finding.subjects().get(0));
    }

    private static List<String> candidates(Finding finding) {
        return detail(finding, "in the code").stream()
                .flatMap(line -> Arrays.stream(line.split(", ")))
                .map(name -> name.replaceFirst(" and \\d+ more$", ""))
                .filter(name -> name.matches("[\\w.$]+"))
                .toList();
    }

    /** The collections that the finding proposes to allow to be empty. */
    private static List<String> emptyCollections(Finding finding) {
        return detail(finding, "write").stream()
                .flatMap(line -> EMPTY.matcher(line).results())
                .flatMap(found -> Arrays.stream(found.group(1).split(", ")))
                .toList();
    }

    /** Why a class cannot stand there: the line that is missing, or what is wrong; else blank. */
    private static String why(Finding finding) {
        if (finding.kind() == FindingKinds.UNKNOWN_CLASS) {
            return "";
        }
        return finding.kind() == FindingKinds.VALUE_MISSING
                ? detail(finding, "write").stream()
                        .map(line -> line.split(" {2,}")[0])
                        .collect(Collectors.joining(", "))
                : finding.message();
    }

    private static List<String> detail(Finding finding, String label) {
        return finding.details().stream()
                .filter(detail -> detail.label().equals(label))
                .flatMap(detail -> detail.lines().stream())
                .toList();
    }

    static Optional<Integer> line(Finding finding) {
        return finding.at()
                .match(
                        in -> Optional.of(in.line()),
                        in -> Optional.empty(),
                        in -> Optional.empty());
    }

    private boolean isToFill(Finding finding) {
        return finding.kind() == FindingKinds.UNMET_NEED
                && Optional.ofNullable(written.get(finding.subjects().get(0)))
                        .map(choices::get)
                        .filter(DraftChoice::isToFill)
                        .isPresent();
    }
}
