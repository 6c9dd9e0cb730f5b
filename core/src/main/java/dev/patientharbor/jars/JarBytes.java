package dev.patientharbor.jars;

import java.io.Closeable;
import java.io.EOFException;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Path;

/** The bytes of a jar, by position; open until closed. May be used by several threads. */
public final class JarBytes implements Closeable {

    /** What is wrong with what is said to stand behind the end. */
    static final String ENDS_BEFORE = "its jar ends before it";

    private final RandomAccessFile file;
    private final long size;

    /** Opens it; what is no file of the disk cannot be opened. */
    public JarBytes(Path jar) throws IOException {
        // No channel: that is closed for all when one thread is interrupted.
        file = new RandomAccessFile(jar.toFile(), "r");
        size = file.length();
    }

    /** The number of bytes when it was opened. */
    public long size() {
        return size;
    }

    /**
     * Returns as many bytes as are asked for.
     *
     * @throws EOFException if there are fewer
     */
    byte[] read(long position, int length) throws IOException {
        if (position < 0 || position > size - length) {
            throw new EOFException(ENDS_BEFORE);
        }
        byte[] bytes = new byte[length];
        read(position, bytes, 0, length);
        return bytes;
    }

    /** Reads bytes that are there. */
    void read(long position, byte[] into, int at, int length) throws IOException {
        synchronized (file) {
            file.seek(position);
            file.readFully(into, at, length);
        }
    }

    @Override
    public void close() throws IOException {
        file.close();
    }
}
