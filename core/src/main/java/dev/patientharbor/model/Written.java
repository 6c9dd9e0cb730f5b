package dev.patientharbor.model;

import dev.patientharbor.finding.RequiredArgument;
import dev.patientharbor.finding.Where;

/**
 * A name as the user wrote it, and where.
 *
 * @param text the name, short or full
 * @param at where it stands
 */
public record Written(String text, Where at) {
    public Written {
        RequiredArgument.of(text, "a name");
    }

    // Written out: what a record would make of itself is made at run time, and takes 30 ms.
    @Override
    public boolean equals(Object other) {
        return other instanceof Written that
                && text.equals(that.text)
                && at.text().equals(that.at.text());
    }

    @Override
    public int hashCode() {
        return text.hashCode();
    }
}
