package dev.patientharbor.cli;

import java.io.BufferedOutputStream;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/** A stream of the process, in UTF-8, that knows whether its reader has gone. */
final class StandardStream extends PrintStream {

    private final WatchedStream watched;

    private StandardStream(WatchedStream watched) {
        super(new BufferedOutputStream(watched, 1 << 15), false, StandardCharsets.UTF_8);
        this.watched = watched;
    }

    static StandardStream of(FileDescriptor descriptor) {
        return new StandardStream(new WatchedStream(new FileOutputStream(descriptor)));
    }

    /** Whether nobody reads any more, as {@code head} does when it has enough. */
    boolean isLeft() {
        return watched.left;
    }

    private static final class WatchedStream extends FilterOutputStream {
        private boolean left;

        WatchedStream(OutputStream out) {
            super(out);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            try {
                out.write(bytes, from, length);
            } catch (IOException fault) {
                left |= String.valueOf(fault.getMessage()).contains("Broken pipe");
                throw fault;
            }
        }
    }
}
