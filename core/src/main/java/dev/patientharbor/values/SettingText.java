package dev.patientharbor.values;

import dev.patientharbor.terms.Settings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A text with its settings put in, as POSIX shells do it (POSIX.1-2017, 2.6.2): {@code ${NAME}},
 * {@code ${NAME:-default}} where a blank setting counts as unset, {@code ${NAME-default}} where it
 * does not; defaults may hold settings again.
 *
 * @param text the text; empty if a setting without a default is not set
 * @param missing the settings that are not set
 * @param malformed whether a brace is not closed, or a name is none
 * @param tooLong whether it would have more than 65,536 characters
 * @param secret whether a setting is in it, so that the text may not be printed
 */
public record SettingText(
        Optional<String> text,
        List<String> missing,
        boolean malformed,
        boolean tooLong,
        boolean secret) {

    /** The most characters of a text with its settings put in. */
    static final int LONGEST = 1 << 16;

    /** The deepest nesting of defaults. */
    private static final int DEEPEST = 50;

    public static SettingText of(String written, Settings settings) {
        Reader reader = new Reader(written, settings);
        String text = reader.read(false);
        boolean whole = reader.missing.isEmpty() && !reader.malformed && !reader.tooLong;
        return new SettingText(
                whole ? Optional.of(text) : Optional.empty(),
                List.copyOf(reader.missing),
                reader.malformed,
                reader.tooLong,
                reader.used);
    }

    private static final class Reader {
        private final String written;
        private final Settings settings;
        private final List<String> missing = new ArrayList<>();
        private boolean malformed;
        private boolean tooLong;
        private int depth;
        private boolean used;
        private int next;

        Reader(String written, Settings settings) {
            this.written = written;
            this.settings = settings;
        }

        /** Reads to the end, or inside a default to the brace that closes it. */
        String read(boolean inside) {
            StringBuilder text = new StringBuilder();
            while (next < written.length() && !(inside && written.charAt(next) == '}')) {
                if (written.startsWith("$$", next)) {
                    text.append('$');
                    next += 2;
                } else if (written.startsWith("${", next)) {
                    next += 2;
                    text.append(setting());
                } else {
                    text.append(written.charAt(next++));
                }
                if (text.length() > LONGEST) {
                    tooLong = true;
                    text.setLength(0);
                }
            }
            return text.toString();
        }

        private String setting() {
            used = true;
            int start = next;
            while (next < written.length() && isNamePart(written.charAt(next))) {
                next++;
            }
            String name = written.substring(start, next);
            boolean blankIsUnset = written.startsWith(":-", next);
            boolean hasDefault = blankIsUnset || written.startsWith("-", next);
            if (hasDefault) {
                next += blankIsUnset ? 2 : 1;
            }
            int missingBefore = missing.size();
            if (++depth > DEEPEST) {
                malformed = true;
                next = written.length();
                return "";
            }
            String otherwise = hasDefault ? read(true) : "";
            depth--;
            if (name.isEmpty() || next >= written.length() || written.charAt(next) != '}') {
                malformed = true;
                next = written.length();
                return "";
            }
            next++;
            Optional<String> value =
                    settings.find(name).filter(other -> !blankIsUnset || !other.isBlank());
            if (value.isPresent()) {
                missing.subList(missingBefore, missing.size()).clear();
                return value.get();
            }
            if (!hasDefault) {
                missing.add(name);
            }
            return otherwise;
        }

        private static boolean isNamePart(char c) {
            return c == '_' || c == '.' || Character.isLetterOrDigit(c);
        }
    }
}
