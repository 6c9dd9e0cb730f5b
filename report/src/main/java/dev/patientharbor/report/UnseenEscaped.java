package dev.patientharbor.report;

import com.fasterxml.jackson.core.SerializableString;
import com.fasterxml.jackson.core.io.CharacterEscapes;
import com.fasterxml.jackson.core.io.SerializedString;
import dev.patientharbor.texts.VisibleText;
import java.util.Locale;

/**
 * Escapes in JSON what a terminal would act on or nobody would see, beyond what RFC 8259 (section
 * 7) demands. A pair of surrogates is escaped as well: the two are met one by one.
 */
final class UnseenEscaped extends CharacterEscapes {

    private static final long serialVersionUID = 1;

    private static final int DELETE = 0x7f;

    private final int[] ascii = standardAsciiEscapesForJSON();

    UnseenEscaped() {
        ascii[DELETE] = ESCAPE_STANDARD;
    }

    @Override
    public int[] getEscapeCodesForAscii() {
        return ascii.clone();
    }

    @Override
    public SerializableString getEscapeSequence(int sign) {
        return VisibleText.isVisible(sign)
                ? null
                : new SerializedString(String.format(Locale.ROOT, "\\u%04x", sign));
    }
}
