package dev.patientharbor.observing;

import dev.patientharbor.texts.BarredRow;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What runs really used of the profiles of one set: tests, or an application. Immutable.
 *
 * @param title the title of the set
 * @param answers what was used, and what the profiles of those runs lead to and was not; each thing
 *     once, sorted
 */
public record ObservedUse(String title, List<ObservedAnswer> answers) {

    private static final String HEAD =
            "# What was used: profile | slot | within | what stands there | runs | made | calls";
    private static final String OF = "# Of the set: ";

    /**
     * @param answers what was used; the same thing may be there several times and is added up
     */
    public ObservedUse {
        RequiredArgument.of(title, "title");
        RequiredArgument.of(answers, "answers");
        Map<String, ObservedAnswer> byKey = new TreeMap<>();
        answers.forEach(each -> byKey.merge(each.key(), each, ObservedAnswer::plus));
        answers = List.copyOf(byKey.values());
    }

    /**
     * Returns what some runs used, added up: those of one set.
     *
     * @param all what was observed, of this set and of others
     */
    public static ObservedUse joined(String title, Collection<ObservedUse> all) {
        RequiredArgument.of(title, "title");
        RequiredArgument.of(all, "all");
        return new ObservedUse(
                title,
                all.stream()
                        .filter(each -> each.isOf(title))
                        .flatMap(each -> each.answers().stream())
                        .toList());
    }

    /** Returns whether it was observed of a set of that title. */
    public boolean isOf(String other) {
        return BarredRow.safe(RequiredArgument.of(other, "title")).equals(BarredRow.safe(title));
    }

    /** Returns the text of a file; it ends with {@code \n}. */
    public String text() {
        List<String> lines = new ArrayList<>(List.of(HEAD, OF + BarredRow.safe(title)));
        answers.forEach(each -> lines.add(each.line()));
        return lines.stream().collect(Collectors.joining("\n", "", "\n"));
    }

    /**
     * Reads the text of a file.
     *
     * @param file the name of the file, for messages
     * @throws IllegalArgumentException if it is no such file: which line, and what to do
     */
    public static ObservedUse parse(String text, String file) {
        RequiredArgument.of(text, "text");
        RequiredArgument.of(file, "file");
        List<String> lines = text.lines().toList();
        if (lines.size() < 2 || !lines.get(1).startsWith(OF)) {
            throw unfit(file, 1);
        }
        List<ObservedAnswer> answers = new ArrayList<>();
        for (int i = 2; i < lines.size(); i++) {
            int number = i + 1;
            answers.add(ObservedAnswer.parse(lines.get(i)).orElseThrow(() -> unfit(file, number)));
        }
        return new ObservedUse(lines.get(1).substring(OF.length()), answers);
    }

    private static IllegalArgumentException unfit(String file, int line) {
        return new IllegalArgumentException(
                file
                        + ":"
                        + line
                        + " is no line of what was observed; take the file away, and run again what"
                        + " wrote it");
    }
}
