package dev.patientharbor.code;

import java.util.concurrent.atomic.LongAdder;

/** Counts the files that were read; one that is read again counts again. */
final class ReadCount {

    private final LongAdder count = new LongAdder();

    /** Counts one more, and returns what was read of it. */
    <T> T counted(T read) {
        count.increment();
        return read;
    }

    long soFar() {
        return count.sum();
    }
}
