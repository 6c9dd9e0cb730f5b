package dev.patientharbor.jars;

import static dev.patientharbor.jars.LittleEndian.signature;
import static dev.patientharbor.jars.LittleEndian.two;

import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.files.UnfitFileException;
import java.io.IOException;
import java.util.Deque;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;

/**
 * The files in a jar, unpacked (ZIP, APPNOTE 4.3.7, 4.3.8 and 4.4.5). May be used by several
 * threads.
 */
public final class PackedFiles {

    /** What each file begins with. */
    static final int HEADER = 0x04034b50;

    private static final String OTHER_SIZE = "it does not have the size that its jar states";

    private static final int HEADER_SIZE = 30;
    private static final int NAME_LENGTH_AT = 26;
    private static final int EXTRA_LENGTH_AT = 28;

    /** The inflater of the JDK asks for one more byte than is packed. */
    private static final int ZEROS = 1;

    private final JarBytes jar;
    private final JarDirectory directory;
    private final Deque<Inflater> idle = new ConcurrentLinkedDeque<>();

    public PackedFiles(JarBytes jar, JarDirectory directory) {
        this.jar = jar;
        this.directory = directory;
    }

    /**
     * Returns what stands in a file.
     *
     * @param at its entry in the directory
     * @throws UnfitFileException if it is larger than its kind may be
     * @throws IOException if it is damaged
     */
    public byte[] bytes(int at, SizeLimit limit) throws IOException {
        if (Math.max(directory.size(at), directory.packed(at)) > limit.bytes()) {
            throw unfit(at, limit.reason());
        }
        int packed = (int) directory.packed(at);
        int size = (int) directory.size(at);
        long start = directory.position(at);
        byte[] header = jar.read(start, HEADER_SIZE);
        if (signature(header, 0) != HEADER) {
            throw unfit(at, "it is not where its jar says");
        }
        int before = two(header, NAME_LENGTH_AT) + two(header, EXTRA_LENGTH_AT);
        long first = start + HEADER_SIZE + before;
        // What is said to be longer than it is may be whole all the same.
        int length = (int) Math.min(packed, Math.max(jar.size() - first, 0));
        byte[] unpacked =
                directory.isPacked(at)
                        ? unpacked(jar.read(first, length, ZEROS), at)
                        : jar.read(first, length);
        if (unpacked.length != size) {
            throw unfit(at, OTHER_SIZE);
        }
        return unpacked;
    }

    private byte[] unpacked(byte[] packed, int at) throws IOException {
        int size = (int) directory.size(at);
        Inflater free = idle.poll();
        Inflater inflater = free == null ? new Inflater(true) : free;
        try {
            inflater.setInput(packed);
            byte[] bytes = new byte[size];
            int length = 0;
            int more = 1;
            while (length < size && more > 0) {
                more = inflater.inflate(bytes, length, size - length);
                length += more;
            }
            // Only with room for more the inflater comes to its end.
            if (length < size || inflater.inflate(new byte[1]) > 0 || !inflater.finished()) {
                throw unfit(at, OTHER_SIZE);
            }
            return bytes;
        } catch (DataFormatException damaged) {
            throw unfit(at, "it cannot be unpacked");
        } finally {
            inflater.reset();
            idle.add(inflater);
        }
    }

    private UnfitFileException unfit(int at, String reason) {
        return new UnfitFileException(directory.name(at), reason);
    }
}
