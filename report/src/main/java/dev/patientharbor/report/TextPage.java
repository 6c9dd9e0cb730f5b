package dev.patientharbor.report;

import dev.patientharbor.texts.VisibleText;
import java.util.List;

/**
 * Text under construction, line by line, folded at spaces to the width of a layout. All that people
 * read comes through here, and nothing that cannot be seen.
 */
final class TextPage {

    /** Stands between two parts of a line; at the start of a line there is nothing to part. */
    private static final String SEPARATOR = "·";

    private final StringBuilder text = new StringBuilder();
    private final TextLayout layout;

    TextPage(TextLayout layout) {
        this.layout = layout;
    }

    /** The columns that a text takes. */
    static int width(String words) {
        return VisibleText.of(words).length();
    }

    TextPage blank() {
        text.append('\n');
        return this;
    }

    /** Starts a line, so many spaces in; what is folded goes two further in. */
    Line line(int indent) {
        return new Line(indent);
    }

    /** Adds a line as it is, folded nowhere. */
    TextPage verbatim(int indent, String words) {
        text.append(words.isEmpty() ? "" : " ".repeat(indent) + VisibleText.of(words)).append('\n');
        return this;
    }

    /** A label, and from a column on a text. */
    void labelled(int indent, String label, int column, String words) {
        labelled(indent, label, column, List.of(words));
    }

    /** A label, and from a column on a text of several lines. */
    void labelled(int indent, String label, int column, List<String> lines) {
        String shown = label;
        for (String one : lines) {
            line(indent).put(TextTone.QUIET, shown).tab(column).put(one).end();
            shown = "";
        }
    }

    /** One line under construction. */
    final class Line {
        private int hang;
        private int used;
        private int gap;

        private Line(int indent) {
            pad(indent);
            hang = indent + 2;
        }

        Line put(String words) {
            return put(null, words);
        }

        /** Adds words, and cuts none of them. */
        Line put(TextTone tone, String words) {
            if (words.isEmpty()) {
                return this;
            }
            for (String word : VisibleText.of(words).split(" ", -1)) {
                if (!word.isEmpty()) {
                    word(tone, word);
                }
                gap++;
            }
            return this;
        }

        private void word(TextTone tone, String word) {
            if (used > hang && used + gap + word.length() > layout.width()) {
                text.append('\n');
                used = 0;
                pad(hang);
                if (word.equals(SEPARATOR)) {
                    gap = -1;
                    return;
                }
            } else {
                pad(gap);
            }
            gap = 0;
            text.append(tone == null ? word : layout.ink().paint(tone, word));
            used += word.length();
        }

        /** Goes on at a column, on a new line if this one is past it; folds go there too. */
        Line tab(int column) {
            if (used >= column) {
                text.append('\n');
                used = 0;
            }
            pad(column - used);
            gap = 0;
            hang = column;
            return this;
        }

        private void pad(int spaces) {
            text.append(" ".repeat(spaces));
            used += spaces;
        }

        TextPage end() {
            int end = text.length();
            while (end > 0 && text.charAt(end - 1) == ' ') {
                end--;
            }
            text.setLength(end);
            text.append('\n');
            return TextPage.this;
        }
    }

    @Override
    public String toString() {
        return text.toString();
    }
}
