package dev.patientharbor.finding;

/** How grave a finding is, mildest first. */
public enum Severity {
    NOTE,
    WARNING,
    ERROR;

    /** The word that people and machines read, such as {@code warning}. */
    public String word() {
        return switch (this) {
            case NOTE -> "note";
            case WARNING -> "warning";
            case ERROR -> "error";
        };
    }
}
