package dev.patientharbor.jars;

import java.io.IOException;
import java.util.Arrays;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;
import java.util.zip.ZipException;

/**
 * Unpacks files of a jar, one after the other, in rooms that it keeps; for one thread at a time.
 */
final class FileUnpacker {

    /** What a file says of its size that is not so. */
    static final String OTHER_SIZE = "it does not have the size that its jar states";

    private static final int USUAL_ROOM = 16 << 10;

    /** The inflater of the JDK asks for one more byte than is packed. */
    private static final int MORE = 1;

    private final Inflater inflater = new Inflater(true);
    private byte[] packed = new byte[USUAL_ROOM];
    private byte[] unpacked = new byte[0];

    /** Reads what is packed, and returns how many bytes there were: fewer at the end of the jar. */
    int read(JarBytes jar, long position, int to, int length) throws IOException {
        int there = (int) Math.min(length, Math.max(jar.size() - position, 0));
        if (packed.length < to + there + MORE) {
            packed = Arrays.copyOf(packed, to + there + MORE);
        }
        jar.read(position, packed, to, there);
        return there;
    }

    /** Returns what was read, to look into it until more is read. */
    byte[] packed() {
        return packed;
    }

    /**
     * Returns an array that begins with the unpacked bytes of a file, valid until the next one. The
     * byte behind what was packed is lost.
     */
    byte[] unpacked(int from, int length, int size) throws ZipException {
        byte[] bytes = roomFor(size);
        packed[from + length] = 0;
        inflater.reset();
        inflater.setInput(packed, from, length + MORE);
        // Only with room for more the inflater comes to its end.
        if (inflate(bytes, size) < size || inflate(new byte[1], 1) > 0 || !inflater.finished()) {
            throw new ZipException(OTHER_SIZE);
        }
        return bytes;
    }

    /** Returns the same for a file that is stored as it is. */
    byte[] copied(int from, int length, int size) throws ZipException {
        if (length != size) {
            throw new ZipException(OTHER_SIZE);
        }
        byte[] bytes = roomFor(size);
        System.arraycopy(packed, from, bytes, 0, size);
        return bytes;
    }

    private byte[] roomFor(int size) {
        if (unpacked.length < size) {
            unpacked = new byte[Math.max(size, USUAL_ROOM)];
        }
        return unpacked;
    }

    private int inflate(byte[] into, int length) throws ZipException {
        try {
            int done = 0;
            int more = 1;
            while (done < length && more > 0) {
                more = inflater.inflate(into, done, length - done);
                done += more;
            }
            return done;
        } catch (DataFormatException damaged) {
            throw new ZipException("it cannot be unpacked");
        }
    }

    /** Gives back what an unusually large file took. */
    void tidy() {
        packed = packed.length > USUAL_ROOM ? new byte[USUAL_ROOM] : packed;
        unpacked = unpacked.length > USUAL_ROOM ? new byte[0] : unpacked;
    }
}
