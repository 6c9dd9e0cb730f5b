package dev.patientharbor.model;

/**
 * An entry as it is written: a class; a pattern for the classes of packages, or for those of them
 * that are marked and that nobody asks for; or what patterns leave out.
 *
 * @param kind what it does
 * @param name the class or the pattern
 */
public record EntryText(Kind kind, String name) {

    /** The word before a pattern for marked classes that nobody asks for. */
    public static final String UNASKED = "unasked ";

    /** What an entry does. */
    public enum Kind {
        /** Names consumers. */
        NAMED,
        /** Names marked classes that no marked class asks for. */
        UNASKED,
        /** Takes classes out of what patterns name. */
        EXCLUDED
    }

    /** Reads an entry. */
    public static EntryText of(String text) {
        if (text.startsWith("!")) {
            return new EntryText(Kind.EXCLUDED, text.substring(1).strip());
        }
        return text.startsWith(UNASKED)
                ? new EntryText(Kind.UNASKED, text.substring(UNASKED.length()).strip())
                : new EntryText(Kind.NAMED, text);
    }

    /** Whether it stands for the classes of packages. */
    public boolean isPattern() {
        return name.endsWith(".*") || name.endsWith(".**");
    }
}
