package dev.patientharbor.jars;

import static dev.patientharbor.jars.LittleEndian.eight;
import static dev.patientharbor.jars.LittleEndian.four;
import static dev.patientharbor.jars.LittleEndian.signature;
import static dev.patientharbor.jars.LittleEndian.two;

import dev.patientharbor.files.UnfitFileException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;

/**
 * The directory at the end of a jar (ZIP, APPNOTE 4.3.12), as its bytes: an entry is a position in
 * it, and nothing is made of an entry that nobody asks for. Whether all of it is as the standard
 * says was looked at when it was read.
 *
 * <p>Cannot be changed.
 */
public final class JarDirectory {

    /** What each entry begins with. */
    static final int HEADER = 0x02014b50;

    /** The largest directory that is read, in bytes: some half a million entries. */
    private static final long LARGEST = 64L << 20;

    private static final int HEADER_SIZE = 46;
    private static final int FLAGS_AT = 8;
    private static final int METHOD_AT = 10;
    private static final int PACKED_AT = 20;
    private static final int SIZE_AT = 24;
    private static final int NAME_LENGTH_AT = 28;
    private static final int EXTRA_LENGTH_AT = 30;
    private static final int COMMENT_LENGTH_AT = 32;
    private static final int DISK_AT = 34;
    private static final int OFFSET_AT = 42;

    private static final int ENCRYPTED = 1;
    private static final int SEE_LONG_DISK = 0xFFFF;

    /** The extra field that holds numbers too large for four bytes (APPNOTE 4.5.3). */
    private static final int LONG_NUMBERS = 1;

    private static final int EXTRA_HEADER_SIZE = 4;

    private final byte[] bytes;
    private final long before;

    private JarDirectory(byte[] bytes, long before) {
        this.bytes = bytes;
        this.before = before;
    }

    /**
     * Reads it.
     *
     * @param place what an exception calls the jar
     * @throws UnfitFileException if it is too large
     * @throws ZipException if it is damaged
     */
    public static JarDirectory of(JarBytes jar, String place) throws IOException {
        JarEnd end = JarEnd.of(jar);
        if (end.length() > LARGEST) {
            throw new UnfitFileException(place, "its directory is larger than 64 MiB");
        }
        end.requireRoom();
        if (end.entries() > end.length() / HEADER_SIZE) {
            throw new ZipException("its directory is too short for its entries");
        }
        byte[] bytes = jar.read(end.position(), (int) end.length());
        JarDirectory directory = new JarDirectory(bytes, end.before());
        int at = 0;
        while (at < bytes.length) {
            at = directory.requireSound(at);
        }
        return directory;
    }

    /** Returns the entry behind one that is as it should be. */
    private int requireSound(int at) throws ZipException {
        if (at + HEADER_SIZE > bytes.length || signature(bytes, at) != HEADER) {
            throw new ZipException("an entry does not begin where it should");
        }
        int nameEnd = nameEnd(at);
        int extraEnd = nameEnd + two(bytes, at + EXTRA_LENGTH_AT);
        int next = extraEnd + two(bytes, at + COMMENT_LENGTH_AT);
        if (next > bytes.length) {
            throw new ZipException("an entry is longer than the directory");
        }
        if ((two(bytes, at + FLAGS_AT) & ENCRYPTED) != 0) {
            throw new ZipException("an entry is encrypted");
        }
        int method = two(bytes, at + METHOD_AT);
        if (method != ZipEntry.DEFLATED && method != ZipEntry.STORED) {
            throw new ZipException("an entry is packed in a way that Java does not know");
        }
        requireSoundExtra(at, nameEnd, extraEnd);
        requireText(nameStart(at), nameEnd);
        requireText(extraEnd, next);
        return next;
    }

    private void requireSoundExtra(int at, int from, int end) throws ZipException {
        boolean seesLongNumbers = seesLongNumbers(at);
        if (from == end && seesLongNumbers) {
            throw new ZipException("a size or position is missing");
        }
        for (int field = from; field + EXTRA_HEADER_SIZE <= end; ) {
            field += EXTRA_HEADER_SIZE + two(bytes, field + 2);
            if (field > end) {
                throw new ZipException("an extra field is longer than its entry");
            }
        }
        if (seesLongNumbers && (size(at) < 0 || packed(at) < 0 || position(at) < 0)) {
            throw new ZipException("a size or position is too large");
        }
    }

    private boolean seesLongNumbers(int at) {
        return seesLong(at + SIZE_AT)
                || seesLong(at + PACKED_AT)
                || seesLong(at + OFFSET_AT)
                || two(bytes, at + DISK_AT) == SEE_LONG_DISK;
    }

    /**
     * Whether a number stands among the long ones; the last byte of most tells that it does not.
     */
    private boolean seesLong(int at) {
        return bytes[at + Integer.BYTES - 1] == -1 && four(bytes, at) == JarEnd.SEE_LONG;
    }

    private void requireText(int from, int to) throws ZipException {
        for (int i = from; i < to; i++) {
            if (bytes[i] < 0) {
                try {
                    StandardCharsets.UTF_8
                            .newDecoder()
                            .decode(ByteBuffer.wrap(bytes, from, to - from));
                } catch (CharacterCodingException noText) {
                    throw new ZipException("a name or comment is not UTF-8 text");
                }
                return;
            }
        }
    }

    /** Returns the entry behind one; the first is at 0. */
    public int next(int at) {
        return nameEnd(at) + two(bytes, at + EXTRA_LENGTH_AT) + two(bytes, at + COMMENT_LENGTH_AT);
    }

    /** Returns whether a position is the end, and no entry. */
    public boolean isEnd(int at) {
        return at == bytes.length;
    }

    /** Returns where the name begins among the bytes. */
    public int nameStart(int at) {
        return at + HEADER_SIZE;
    }

    /** Returns where the name ends among the bytes. */
    public int nameEnd(int at) {
        return at + HEADER_SIZE + two(bytes, at + NAME_LENGTH_AT);
    }

    public String name(int at) {
        int start = nameStart(at);
        return new String(bytes, start, nameEnd(at) - start, StandardCharsets.UTF_8);
    }

    /** Returns the bytes of the directory, to look into names; nobody may change them. */
    public byte[] bytes() {
        return bytes;
    }

    boolean isPacked(int at) {
        return two(bytes, at + METHOD_AT) == ZipEntry.DEFLATED;
    }

    /** Returns the number of bytes of the file. */
    public long size(int at) {
        long told = four(bytes, at + SIZE_AT);
        return told == JarEnd.SEE_LONG ? longNumber(at, 0) : told;
    }

    /** Returns the number of bytes of the file in the jar. */
    public long packed(int at) {
        long told = four(bytes, at + PACKED_AT);
        return told == JarEnd.SEE_LONG ? longNumber(at, isLong(at + SIZE_AT)) : told;
    }

    /** Returns where the file begins in the jar, with a header of its own. */
    long position(int at) {
        long told = four(bytes, at + OFFSET_AT);
        if (told == JarEnd.SEE_LONG) {
            told = longNumber(at, isLong(at + SIZE_AT) + isLong(at + PACKED_AT));
        }
        return told < 0 ? told : before + told;
    }

    private int isLong(int at) {
        return seesLong(at) ? 1 : 0;
    }

    /**
     * A number from the extra field, negative if it is too large; as it was told if it has none.
     */
    private long longNumber(int at, int place) {
        int end = nameEnd(at) + two(bytes, at + EXTRA_LENGTH_AT);
        for (int field = nameEnd(at); field + EXTRA_HEADER_SIZE <= end; ) {
            int length = two(bytes, field + 2);
            if (two(bytes, field) == LONG_NUMBERS && length >= (place + 1) * Long.BYTES) {
                long number = eight(bytes, field + EXTRA_HEADER_SIZE + place * Long.BYTES);
                // Far from the largest long, so that it can be added to.
                return number > Long.MAX_VALUE / 2 ? -1 : number;
            }
            field += EXTRA_HEADER_SIZE + length;
        }
        return JarEnd.SEE_LONG;
    }
}
