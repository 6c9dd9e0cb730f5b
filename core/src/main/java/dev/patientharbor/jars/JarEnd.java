package dev.patientharbor.jars;

import static dev.patientharbor.jars.LittleEndian.eight;
import static dev.patientharbor.jars.LittleEndian.four;
import static dev.patientharbor.jars.LittleEndian.signature;
import static dev.patientharbor.jars.LittleEndian.two;

import java.io.IOException;
import java.util.zip.ZipException;

/**
 * What the record at the end of a jar says about its directory (ZIP, APPNOTE 4.3.14 to 4.3.16).
 *
 * @param position where the directory begins in the file
 * @param length its length in bytes
 * @param entries how many entries there should be: fewer than there are, in some jars
 * @param before the number of bytes that stand in the file before the archive: a script, say
 */
record JarEnd(long position, long length, long entries, long before) {

    private static final int END = 0x06054b50;
    private static final int END_SIZE = 22;
    private static final int ENTRIES_AT = 10;
    private static final int LENGTH_AT = 12;
    private static final int OFFSET_AT = 16;
    private static final int COMMENT_AT = 20;
    private static final int LONGEST_COMMENT = 0xFFFF;

    private static final int LOCATOR = 0x07064b50;
    private static final int LOCATOR_SIZE = 20;
    private static final int LOCATED_AT = 8;
    private static final int LONG_END = 0x06064b50;
    private static final int LONG_END_SIZE = 56;
    private static final int LONG_ENTRIES_AT = 32;
    private static final int LONG_LENGTH_AT = 40;
    private static final int LONG_OFFSET_AT = 48;

    /** What stands in place of a number of entries that is too large for two bytes. */
    private static final int SEE_LONG_ENTRIES = 0xFFFF;

    /** What stands in place of a number that is too large for four bytes. */
    static final long SEE_LONG = 0xFFFFFFFFL;

    /**
     * Finds it, whatever it says.
     *
     * @throws ZipException if there is none
     */
    static JarEnd of(JarBytes jar) throws IOException {
        int length = (int) Math.min(jar.size(), END_SIZE + LONGEST_COMMENT);
        long start = jar.size() - length;
        byte[] tail = jar.read(start, length);
        for (int at = length - END_SIZE; at >= 0; at--) {
            if (signature(tail, at) == END) {
                JarEnd told = told(tail, at, start + at);
                int end = at + END_SIZE + two(tail, at + COMMENT_AT);
                if (end == length || told.leadsToEntries(jar)) {
                    if (end > length) {
                        throw new ZipException("its comment is longer than the file");
                    }
                    return told.longer(jar, start + at);
                }
            }
        }
        throw new ZipException("it has no directory at its end");
    }

    private static JarEnd told(byte[] tail, int at, long end) {
        if (end == 0) {
            // Nothing stands before it: a jar without entries, whatever it says.
            return new JarEnd(0, 0, 0, 0);
        }
        long length = four(tail, at + LENGTH_AT);
        long offset = four(tail, at + OFFSET_AT);
        return new JarEnd(end - length, length, two(tail, at + ENTRIES_AT), end - length - offset);
    }

    /** Whether entries are where it says: then bytes may stand behind it. */
    private boolean leadsToEntries(JarBytes jar) throws IOException {
        return before >= 0
                && position <= jar.size() - Integer.BYTES
                && signature(jar.read(position, Integer.BYTES), 0) == JarDirectory.HEADER
                && signature(jar.read(before, Integer.BYTES), 0) == PackedFiles.HEADER;
    }

    /** The same from the longer record that stands before the end, if one does. */
    private JarEnd longer(JarBytes jar, long end) throws IOException {
        if (end < LOCATOR_SIZE) {
            return this;
        }
        byte[] locator = jar.read(end - LOCATOR_SIZE, LOCATOR_SIZE);
        long at = eight(locator, LOCATED_AT);
        if (signature(locator, 0) != LOCATOR || at < 0 || at > end - LONG_END_SIZE) {
            return this;
        }
        byte[] record = jar.read(at, LONG_END_SIZE);
        JarEnd other =
                new JarEnd(
                        at - eight(record, LONG_LENGTH_AT),
                        eight(record, LONG_LENGTH_AT),
                        eight(record, LONG_ENTRIES_AT),
                        at - eight(record, LONG_LENGTH_AT) - eight(record, LONG_OFFSET_AT));
        return signature(record, 0) == LONG_END && other.agreesWith(this) ? other : this;
    }

    private boolean agreesWith(JarEnd told) {
        long toldOffset = told.position - told.before;
        return (told.length == SEE_LONG || told.length == length)
                && (toldOffset == SEE_LONG || toldOffset == position - before)
                && (told.entries == SEE_LONG_ENTRIES || told.entries == entries);
    }

    /**
     * Refuses what cannot be.
     *
     * @throws ZipException if there is no room for it
     */
    void requireRoom() throws ZipException {
        if (length < 0 || position < 0) {
            throw new ZipException("the size or position of its directory is too large");
        }
        if (before < 0 || before > position) {
            throw new ZipException("its directory is not where it should be");
        }
    }
}
