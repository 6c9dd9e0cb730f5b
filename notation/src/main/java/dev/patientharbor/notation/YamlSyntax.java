package dev.patientharbor.notation;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.snakeyaml.engine.v2.exceptions.Mark;
import org.snakeyaml.engine.v2.exceptions.MarkedYamlEngineException;

/** Tells in our words what keeps a text from being YAML, where the reason can be seen. */
final class YamlSyntax {

    private static final Pattern SETTING = Pattern.compile("\\$\\{[^}]*}?");

    private final List<String> lines;
    private final FileFaults faults;

    YamlSyntax(String text, FileFaults faults) {
        lines = text.lines().toList();
        this.faults = faults;
    }

    void report(MarkedYamlEngineException fault) {
        Optional<Mark> mark = fault.getProblemMark().or(fault::getContextMark);
        int line = mark.map(Mark::getLine).orElse(0);
        int column = mark.map(Mark::getColumn).orElse(0);
        if (!unquotedSetting(line, column) && !wrongIndentation(fault, line)) {
            asItIs(fault, line, column);
        }
    }

    /** A setting without quotes in brackets: its brace begins a map there. */
    private boolean unquotedSetting(int line, int column) {
        if (line >= lines.size()) {
            return false;
        }
        Matcher setting = SETTING.matcher(lines.get(line));
        while (setting.find()) {
            if (setting.start() + 1 == column) {
                faults.malformed(
                        faults.at(line + 1, setting.start() + 1),
                        setting.group()
                                + " stands in brackets without quotes, where its { would begin a"
                                + " map.",
                        "write \"" + setting.group() + "\"");
                return true;
            }
        }
        return false;
    }

    /**
     * A line that belongs to none of those above it, or is below one that has its value already.
     */
    private boolean wrongIndentation(MarkedYamlEngineException fault, int line) {
        String problem = String.valueOf(fault.getProblem());
        boolean ofBlocks =
                problem.contains("<block end>") || problem.contains("mapping values are not");
        if (!ofBlocks || line >= lines.size() || lines.get(line).isBlank()) {
            return false;
        }
        Deque<Integer> open = new ArrayDeque<>();
        int last = -1;
        for (int i = 0; i < line; i++) {
            if (!lines.get(i).isBlank() && !lines.get(i).strip().startsWith("#")) {
                int indentation = indentation(i);
                while (!open.isEmpty() && open.peek() >= indentation) {
                    open.pop();
                }
                open.push(indentation);
                last = i;
            }
        }
        int own = indentation(line);
        if (last < 0 || open.contains(own)) {
            return false;
        }
        boolean below = own > open.peek();
        TreeSet<Integer> fit = new TreeSet<>(open);
        faults.malformed(
                faults.at(line + 1, own + 1),
                "This line is indented by "
                        + own
                        + (below
                                ? ", below line " + (last + 1) + ", which has its value already."
                                : ", and none of the lines above that it could belong to is."),
                "indent it by "
                        + Stream.of(fit.floor(own), fit.ceiling(own))
                                .filter(Objects::nonNull)
                                .map(String::valueOf)
                                .collect(Collectors.joining(" or ")));
        return true;
    }

    private int indentation(int line) {
        String text = lines.get(line);
        return text.length() - text.stripLeading().length();
    }

    private void asItIs(MarkedYamlEngineException fault, int line, int column) {
        String problem =
                fault.getProblem() == null ? "it cannot be understood" : fault.getProblem();
        String context =
                fault.getContextMark()
                        .filter(start -> fault.getContext() != null)
                        .map(
                                start ->
                                        " ("
                                                + fault.getContext()
                                                + " from line "
                                                + (start.getLine() + 1)
                                                + ")")
                        .orElse("");
        boolean tab = problem.contains("\\t") || problem.contains("TAB");
        faults.malformed(
                faults.at(line + 1, column + 1),
                "The file is no YAML: " + problem + context + ".",
                tab
                        ? "indent with spaces: YAML does not allow tabs"
                        : "correct it here or in the lines above");
    }
}
