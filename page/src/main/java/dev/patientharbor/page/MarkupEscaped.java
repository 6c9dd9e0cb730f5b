package dev.patientharbor.page;

import com.fasterxml.jackson.core.SerializableString;
import com.fasterxml.jackson.core.io.CharacterEscapes;
import com.fasterxml.jackson.core.io.SerializedString;

/** JSON inside of HTML: what could end a script element, or begin markup, stands as its number. */
final class MarkupEscaped extends CharacterEscapes {

    private static final long serialVersionUID = 1;

    private final int[] ascii = standardAsciiEscapesForJSON();

    MarkupEscaped() {
        for (char each : "<>&".toCharArray()) {
            ascii[each] = ESCAPE_STANDARD;
        }
    }

    @Override
    public int[] getEscapeCodesForAscii() {
        return ascii.clone();
    }

    /** Lines of scripts end at these two as well; halves of a pair are no characters. */
    @Override
    public SerializableString getEscapeSequence(int sign) {
        boolean ends = sign == 0x2028 || sign == 0x2029;
        return ends ? new SerializedString(String.format("\\u%04x", sign)) : null;
    }
}
