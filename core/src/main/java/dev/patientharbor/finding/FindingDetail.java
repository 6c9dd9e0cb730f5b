package dev.patientharbor.finding;

import dev.patientharbor.texts.RequiredArgument;
import java.util.List;

/**
 * One more fact of a finding.
 *
 * @param label what the fact is, such as {@code looked in}
 * @param lines the fact, a line each; what is shown of one never breaks into two
 */
public record FindingDetail(String label, List<String> lines) {
    public FindingDetail {
        RequiredArgument.of(label, "label");
        RequiredArgument.of(lines, "lines");
        lines = List.copyOf(lines);
    }

    /** Returns the fact as one text, its lines separated by {@code \n}. */
    public String text() {
        return String.join("\n", lines);
    }
}
