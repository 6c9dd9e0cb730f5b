package dev.patientharbor.code;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.terms.WrittenName;
import java.nio.file.Path;

/**
 * One place to read compiled code from.
 *
 * @param written the place as the user wrote it
 * @param path a folder, a jar, or a pattern whose last name may hold {@code *} and {@code ?}
 * @param name what findings call it
 * @param isTests whether it is known to hold code of the tests; {@link TestCode} tells more of them
 */
public record CodeRoot(WrittenName written, Path path, String name, boolean isTests) {

    /** A place that is called as it was written. */
    public CodeRoot(WrittenName written, Path path) {
        this(written, path, written.text(), false);
    }

    /** Returns this place, known to hold code of the tests. */
    public CodeRoot ofTests() {
        return new CodeRoot(written, path, name, true);
    }

    /**
     * The finding that a place, or a part of it, is not read.
     *
     * @param written the place as the user wrote it
     * @param reason a part of a sentence
     */
    public static Finding notRead(WrittenName written, String reason) {
        return notRead(written, written.text(), reason);
    }

    /** Reports that one part of a place was not read. */
    static Finding notRead(WrittenName written, String part, String reason) {
        return Finding.of(
                        FindingKinds.CODE_MISSING,
                        written.at(),
                        part,
                        "The code at " + part + " is not read: " + reason + ".")
                .with("do", "correct the path, or mend what stands there");
    }
}
