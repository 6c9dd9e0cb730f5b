package dev.patientharbor.code;

import dev.patientharbor.files.UnfitFileException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * The directory at the end of a jar (ZIP, APPNOTE 4.3.12 to 4.3.16): whoever opens a jar takes it
 * whole into memory, however large it says it is.
 */
final class JarDirectory {

    /** The largest directory that is read, in bytes: some half a million entries. */
    private static final long LARGEST = 64L << 20;

    private static final int END = 0x06054b50;
    private static final int END_SIZE = 22;
    private static final int LONGEST_COMMENT = 0xFFFF;
    private static final int LENGTH_AT = 12;
    private static final long SEE_ZIP64 = 0xFFFFFFFFL;

    private JarDirectory() {}

    /**
     * Refuses a directory that is too large to be read; of one that is not found whoever opens the
     * jar says so.
     *
     * @throws UnfitFileException if it is too large
     */
    static void requireSound(Path jar) throws IOException {
        try (FileChannel file = FileChannel.open(jar, StandardOpenOption.READ)) {
            long size = file.size();
            int length = (int) Math.min(size, END_SIZE + LONGEST_COMMENT);
            ByteBuffer end = ByteBuffer.allocate(length).order(ByteOrder.LITTLE_ENDIAN);
            while (end.hasRemaining() && file.read(end, size - length + end.position()) >= 0) {
                // until all of it is there
            }
            for (int at = length - END_SIZE; at >= 0; at--) {
                if (end.getInt(at) == END) {
                    long told = Integer.toUnsignedLong(end.getInt(at + LENGTH_AT));
                    // With more than four bytes can tell, it may be as large as the file.
                    if ((told == SEE_ZIP64 ? size : told) > LARGEST) {
                        throw new UnfitFileException(
                                jar.toString(), "its directory is larger than 64 MiB");
                    }
                    return;
                }
            }
        }
    }
}
