package dev.patientharbor.finding;

import dev.patientharbor.texts.RequiredArgument;

/**
 * What one kind of finding is.
 *
 * @param id its name for people and machines, never changed and never used again for something else
 * @param severity how grave it is unless the user says otherwise
 * @param breaksCompleteness whether a profile with such a finding is not whole, whatever the
 *     severity in force
 * @param title one line that says what it is about
 */
public record FindingKind(String id, Severity severity, boolean breaksCompleteness, String title) {
    public FindingKind {
        RequiredArgument.of(id, "id");
        RequiredArgument.of(severity, "severity");
        RequiredArgument.of(title, "title");
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof FindingKind that && id.equals(that.id);
    }

    @Override
    public int hashCode() {
        return id.hashCode();
    }

    static FindingKind error(String id, String title) {
        return new FindingKind(id, Severity.ERROR, true, title);
    }

    /** Returns a kind that is an error, though every need is met and everything can be built. */
    static FindingKind inSpiteOfAll(String id, String title) {
        return new FindingKind(id, Severity.ERROR, false, title);
    }

    static FindingKind note(String id, String title) {
        return new FindingKind(id, Severity.NOTE, false, title);
    }

    static FindingKind warning(String id, String title) {
        return new FindingKind(id, Severity.WARNING, false, title);
    }
}
