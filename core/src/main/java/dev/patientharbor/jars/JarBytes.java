package dev.patientharbor.jars;

import java.io.Closeable;
import java.io.EOFException;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Path;

/** The bytes of a jar, by position; open until closed. May be used by several threads. */
public final class JarBytes implements Closeable {

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
        return read(position, length, 0);
    }

    /** The same with some zeros behind it. */
    byte[] read(long position, int length, int zeros) throws IOException {
        if (position < 0 || position > size - length) {
            throw new EOFException("its jar ends before it");
        }
        byte[] bytes = new byte[length + zeros];
        synchronized (file) {
            file.seek(position);
            file.readFully(bytes, 0, length);
        }
        return bytes;
    }

    @Override
    public void close() throws IOException {
        file.close();
    }
}
