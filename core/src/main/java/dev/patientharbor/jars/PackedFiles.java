package dev.patientharbor.jars;

import static dev.patientharbor.jars.LittleEndian.signature;
import static dev.patientharbor.jars.LittleEndian.two;

import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.files.UnfitFileException;
import java.io.EOFException;
import java.io.IOException;
import java.util.Arrays;
import java.util.Deque;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.zip.ZipException;

/**
 * The files in a jar, unpacked (ZIP, APPNOTE 4.3.7, 4.3.8 and 4.4.5). May be used by several
 * threads.
 */
public final class PackedFiles {

    /** What each file begins with. */
    static final int HEADER = 0x04034b50;

    private static final int HEADER_SIZE = 30;
    private static final int NAME_LENGTH_AT = 26;
    private static final int EXTRA_LENGTH_AT = 28;

    /**
     * How much there may be between the header and the file, its name aside, to be read at once.
     */
    private static final int USUAL_EXTRA = 64;

    private final JarBytes jar;
    private final JarDirectory directory;
    private final Deque<FileUnpacker> idle = new ConcurrentLinkedDeque<>();

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
        return look(at, limit, Arrays::copyOf);
    }

    /**
     * Returns what somebody sees in a file. That is cheaper than to hand out its bytes.
     *
     * @param at its entry in the directory
     * @throws UnfitFileException if it is larger than its kind may be
     * @throws IOException if it is damaged
     */
    public <T> T look(int at, SizeLimit limit, LookAtBytes<T> look) throws IOException {
        if (Math.max(directory.size(at), directory.packed(at)) > limit.bytes()) {
            throw unfit(at, limit.reason());
        }
        FileUnpacker free = idle.poll();
        FileUnpacker unpacker = free == null ? new FileUnpacker() : free;
        try {
            int size = (int) directory.size(at);
            return look.at(unpacked(at, unpacker, size), size);
        } catch (ZipException damaged) {
            throw unfit(at, damaged.getMessage());
        } finally {
            unpacker.tidy();
            idle.add(unpacker);
        }
    }

    /** Looks at the bytes of a file, and keeps none. */
    public interface LookAtBytes<T> {
        /**
         * Returns what it sees.
         *
         * @param bytes begins with those of the file
         * @param length how many these are
         */
        T at(byte[] bytes, int length);
    }

    /** Returns the room of the unpacker, with the file in it. */
    private byte[] unpacked(int at, FileUnpacker unpacker, int size) throws IOException {
        long position = directory.position(at);
        int packed = (int) directory.packed(at);
        int name = directory.nameEnd(at) - directory.nameStart(at);
        // The header, the name and the file in one go, if nothing unusual stands between them.
        int known = unpacker.read(jar, position, 0, HEADER_SIZE + name + USUAL_EXTRA + packed);
        if (known < HEADER_SIZE) {
            throw new EOFException(JarBytes.ENDS_BEFORE);
        }
        byte[] header = unpacker.packed();
        if (signature(header, 0) != HEADER) {
            throw new ZipException("it is not where its jar says");
        }
        int first = HEADER_SIZE + two(header, NAME_LENGTH_AT) + two(header, EXTRA_LENGTH_AT);
        if (first + packed > known) {
            known += unpacker.read(jar, position + known, known, first + packed - known);
        }
        // What is said to be longer than it is may be whole all the same.
        int length = Math.min(packed, known - first);
        if (length < 0) {
            throw new EOFException(JarBytes.ENDS_BEFORE);
        }
        return directory.isPacked(at)
                ? unpacker.unpacked(first, length, size)
                : unpacker.copied(first, length, size);
    }

    private UnfitFileException unfit(int at, String reason) {
        return new UnfitFileException(directory.name(at), reason);
    }
}
