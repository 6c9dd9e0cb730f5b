package dev.patientharbor.terms;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.texts.RequiredArgument;

/**
 * A name as the user wrote it, and where.
 *
 * @param text the name, short or full
 * @param at where it stands
 */
public record WrittenName(String text, SourcePosition at) {
    public WrittenName {
        RequiredArgument.of(at, "at");
        RequiredArgument.of(text, "a name");
    }

    // Written out: what a record would make of itself is made at run time, and takes 30 ms.
    @Override
    public boolean equals(Object other) {
        return other instanceof WrittenName that
                && text.equals(that.text)
                && at.text().equals(that.at.text());
    }

    @Override
    public int hashCode() {
        return text.hashCode();
    }
}
