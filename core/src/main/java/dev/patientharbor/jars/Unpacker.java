package dev.patientharbor.jars;

import java.io.IOException;
import java.util.Arrays;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;
import java.util.zip.ZipException;

/**
 * Unpacks files of a jar, one after the other, in a room that it keeps; for one thread at a time.
 */
final class Unpacker {

    /** What a file says of its size that is not so. */
    static final String OTHER_SIZE = "it does not have the size that its jar states";

    private static final int USUAL_ROOM = 16 << 10;

    /** The inflater of the JDK asks for one more byte than is packed. */
    private static final int MORE = 1;

    private final Inflater inflater = new Inflater(true);
    private byte[] room = new byte[USUAL_ROOM];

    /** Reads into the room, and returns how many bytes there were: fewer at the end of the jar. */
    int read(JarBytes jar, long position, int to, int length) throws IOException {
        int there = (int) Math.min(length, Math.max(jar.size() - position, 0));
        if (room.length < to + there + MORE) {
            room = Arrays.copyOf(room, to + there + MORE);
        }
        jar.read(position, room, to, there);
        return there;
    }

    /** Returns the room, to look into it until more is read. */
    byte[] room() {
        return room;
    }

    /** Returns what stands in the room, unpacked; the byte behind it is lost. */
    byte[] unpacked(int from, int packed, int size) throws ZipException {
        room[from + packed] = 0;
        try {
            inflater.setInput(room, from, packed + MORE);
            byte[] bytes = new byte[size];
            int length = 0;
            int more = 1;
            while (length < size && more > 0) {
                more = inflater.inflate(bytes, length, size - length);
                length += more;
            }
            // Only with room for more the inflater comes to its end.
            if (length < size || inflater.inflate(new byte[1]) > 0 || !inflater.finished()) {
                throw new ZipException(OTHER_SIZE);
            }
            return bytes;
        } catch (DataFormatException damaged) {
            throw new ZipException("it cannot be unpacked");
        } finally {
            inflater.reset();
        }
    }

    /** Gives back what an unusually large file took. */
    void tidy() {
        if (room.length > USUAL_ROOM) {
            room = new byte[USUAL_ROOM];
        }
    }
}
