package dev.patientharbor.code;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.WrittenName;
import java.nio.file.Path;
import java.util.regex.Pattern;

/**
 * Which places hold code of the tests: those that a build says, folders named {@code test-classes},
 * and {@code classes/LANGUAGE/test}. Profiles see them if they, or what they extend, say so.
 */
public final class TestCode {

    /** The word that stands for all places of the tests under {@code code}. */
    public static final String WORD = "test-code";

    /** All places of the tests, as one place. */
    static final WrittenName PLACE = new WrittenName(WORD, SourcePosition.startOf(WORD));

    private static final Pattern FOLDER =
            Pattern.compile("(.*/)?(test-classes|classes/[^/]+/test)");

    private TestCode() {}

    /** Returns whether what is written stands for all places of the tests. */
    public static boolean isWord(WrittenName written) {
        return written.text().equals(WORD);
    }

    /** Returns whether a folder is of the tests by its name. */
    static boolean isNamedSo(Path folder) {
        return FOLDER.matcher(folder.toString().replace('\\', '/')).matches();
    }

    /** Returns whether what is written stands for a place of the tests, or for all of them. */
    public static boolean isNamed(WrittenName written) {
        return isWord(written) || FOLDER.matcher(written.text().replaceFirst("/+$", "")).matches();
    }

    /**
     * Returns what a place is to whoever sees it: all places of the tests are one place, under
     * whatever name they are written.
     */
    public static WrittenName placeOf(WrittenName written) {
        return isNamed(written) ? PLACE : written;
    }
}
