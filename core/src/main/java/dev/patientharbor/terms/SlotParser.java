package dev.patientharbor.terms;

import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.ShortName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads a slot or a type from the text that a user writes, such as {@code Reader<Ship>@coast}. */
public final class SlotParser {

    /** The deepest nesting of type arguments that is read: deeper than anybody writes. */
    private static final int DEEPEST = 100;

    /** The most dimensions that an array can have (JVMS 4.3.2). */
    private static final int MOST_DIMENSIONS = 255;

    private final String text;
    private int next;
    private int depth;

    private SlotParser(String text) {
        this.text = text;
    }

    /** The slot, or empty if the text is none. Class names stay as written. */
    public static Optional<Slot> slot(String text) {
        RequiredArgument.of(text, "text");
        SlotParser parser = new SlotParser(text);
        Optional<TypeRef> type = parser.type();
        if (type.isEmpty()) {
            return Optional.empty();
        }
        if (parser.next == text.length()) {
            return Optional.of(new Slot(type.get(), Optional.empty()));
        }
        return parser.take('@')
                ? parser.key().map(key -> new Slot(type.get(), Optional.of(key)))
                : Optional.empty();
    }

    private Optional<Key> key() {
        String rest = text.substring(next);
        if (rest.equals("*")) {
            return Optional.of(Key.every());
        }
        if (Key.isPlain(rest)) {
            return Optional.of(Key.unquoted(rest));
        }
        if (rest.length() > 2
                && rest.startsWith("\"")
                && rest.indexOf('"', 1) == rest.length() - 1) {
            return Optional.of(Key.named(rest.substring(1, rest.length() - 1)));
        }
        int members = rest.indexOf('(');
        if (members > 0
                && rest.endsWith(")")
                && Key.isPlain(rest.substring(0, members).replace('$', '_'))) {
            String qualifier = rest.substring(0, members);
            return Optional.of(
                    new Key(ShortName.of(qualifier) + rest.substring(members), qualifier));
        }
        return Optional.empty();
    }

    private Optional<TypeRef> type() {
        if (take('?')) {
            return wildcard();
        }
        int start = next;
        while (next < text.length()
                && (Character.isJavaIdentifierPart(text.charAt(next))
                        || text.charAt(next) == '.')) {
            next++;
        }
        String name = text.substring(start, next);
        if (!isName(name)) {
            return Optional.empty();
        }
        List<TypeRef> arguments = new ArrayList<>();
        if (take('<')) {
            if (++depth > DEEPEST) {
                return Optional.empty();
            }
            do {
                Optional<TypeRef> argument = type();
                if (argument.isEmpty()) {
                    return argument;
                }
                arguments.add(argument.get());
            } while (take(','));
            if (!take('>')) {
                return Optional.empty();
            }
            depth--;
        }
        TypeRef type = new TypeRef.ClassType(name, arguments);
        int dimensions = 0;
        while (text.startsWith("[]", next) && dimensions++ < MOST_DIMENSIONS) {
            next += 2;
            type = new TypeRef.ArrayType(type);
        }
        return Optional.of(type);
    }

    private Optional<TypeRef> wildcard() {
        for (String word : List.of("extends", "super")) {
            if (text.startsWith(' ' + word + ' ', next)) {
                next += word.length() + 2;
                return type().map(bound -> new TypeRef.Wildcard(word, Optional.of(bound)));
            }
        }
        return Optional.of(new TypeRef.Wildcard("", Optional.empty()));
    }

    private boolean take(char wanted) {
        int at = next;
        while (at < text.length() && text.charAt(at) == ' ' && (wanted == ',' || wanted == '>')) {
            at++;
        }
        if (at < text.length() && text.charAt(at) == wanted) {
            next = at + 1;
            while (wanted == ',' && next < text.length() && text.charAt(next) == ' ') {
                next++;
            }
            return true;
        }
        return false;
    }

    /** Whether a text can be the name of a class, short or full. */
    public static boolean isName(String text) {
        RequiredArgument.of(text, "text");
        boolean start = true;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (start
                    ? !Character.isJavaIdentifierStart(c)
                    : c != '.' && !Character.isJavaIdentifierPart(c)) {
                return false;
            }
            start = c == '.';
        }
        return !start;
    }
}
