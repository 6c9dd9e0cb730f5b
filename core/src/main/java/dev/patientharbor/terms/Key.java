package dev.patientharbor.terms;

import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.ShortName;

/**
 * What tells variants of one contract apart.
 *
 * @param text the name ({@code coast}), or a qualifier with its members in order of name ({@code
 *     Zone(3)})
 * @param qualifier the binary name of the qualifier annotation; empty for a plain name
 */
public record Key(String text, String qualifier) {
    public Key {
        RequiredArgument.of(text, "text");
        RequiredArgument.of(qualifier, "qualifier");
    }

    private static final String EITHER = "?";

    /** A key by name, as {@code @Named} gives it. */
    public static Key named(String name) {
        RequiredArgument.of(name, "name");
        return new Key(name, "");
    }

    /**
     * A key that is written without quotes or brackets: a name, but if it may be the name of a
     * class it is a qualifier's where there is one of that name.
     */
    static Key unquoted(String text) {
        boolean mayBeClass = Character.isUpperCase(ShortName.of(text).codePointAt(0));
        return new Key(text, mayBeClass ? EITHER : "");
    }

    /** Whether it is a name or a qualifier, which only the code can tell. */
    public boolean isEither() {
        return qualifier.equals(EITHER);
    }

    /** In decorators, what stands for the plain slot and every key of a contract. */
    public static Key every() {
        return new Key("*", "");
    }

    public boolean isEvery() {
        return text.equals("*") && qualifier.isEmpty();
    }

    /** The key as a file writes it: names with unusual characters in quotes. */
    public String written() {
        return qualifier.isEmpty() && !isPlain(text) && !isEvery() ? '"' + text + '"' : text;
    }

    static boolean isPlain(String text) {
        for (int i = 0; i < text.length(); i++) {
            char letter = text.charAt(i);
            boolean isLetter = letter < 128 && Character.isLetterOrDigit(letter);
            if (!isLetter && letter != '_' && letter != '.' && letter != '-') {
                return false;
            }
        }
        return !text.isEmpty();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Key that
                && text.equals(that.text)
                && qualifier.equals(that.qualifier);
    }

    @Override
    public int hashCode() {
        return 31 * text.hashCode() + qualifier.hashCode();
    }
}
