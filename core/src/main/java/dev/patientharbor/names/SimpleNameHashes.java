package dev.patientharbor.names;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.NameHash;
import java.util.BitSet;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Tells without a table of all names that a simple name is that of one class alone: most are.
 * Nothing is kept of a name but a hash of 64 bits. May be used by several threads.
 */
final class SimpleNameHashes {

    /** How many classes have a simple name, as far as hashes tell. */
    enum Found {
        NONE,
        ONE,
        /** Or one, and another one whose name has the same hash. */
        PERHAPS_SEVERAL
    }

    /** Looking through all hashes is quick; making a table of them takes as long as this often. */
    private static final int FEW = 16;

    /** What is called often is compiled sooner than one long loop. */
    private static final int STEP = 64;

    private final long[] all;
    private final AtomicInteger asked = new AtomicInteger();
    private volatile Table table;

    SimpleNameHashes(CodeIndex code) {
        all = code.simpleNameHashes();
    }

    Found find(String simple) {
        long hash = NameHash.of(simple);
        Table made = table;
        if (made == null && asked.incrementAndGet() <= FEW) {
            return lookThrough(hash);
        }
        if (made == null) {
            made = new Table(all);
            table = made;
        }
        return made.find(hash);
    }

    private Found lookThrough(long hash) {
        int count = 0;
        for (int from = 0; from < all.length; from += STEP) {
            count += count(hash, from, Math.min(from + STEP, all.length));
        }
        return count == 0 ? Found.NONE : count == 1 ? Found.ONE : Found.PERHAPS_SEVERAL;
    }

    private int count(long hash, int from, int to) {
        int count = 0;
        for (int i = from; i < to; i++) {
            if (all[i] == hash) {
                count++;
            }
        }
        return count;
    }

    private static final class Table {
        private final long[] hashes;
        private final BitSet several = new BitSet();

        Table(long[] all) {
            // At most half full, so that looking up stays short.
            hashes = new long[Integer.highestOneBit(Math.max(8, all.length)) << 2];
            for (long hash : all) {
                add(hash);
            }
        }

        private void add(long hash) {
            int place = place(hash);
            if (hashes[place] == hash) {
                several.set(place);
            }
            hashes[place] = hash;
        }

        Found find(long hash) {
            int place = place(hash);
            if (hashes[place] == 0) {
                return Found.NONE;
            }
            return several.get(place) ? Found.PERHAPS_SEVERAL : Found.ONE;
        }

        /** Where a hash is, or would be. */
        private int place(long hash) {
            int mask = hashes.length - 1;
            int place = (int) (hash ^ hash >>> 32) & mask;
            while (hashes[place] != 0 && hashes[place] != hash) {
                place = place + 1 & mask;
            }
            return place;
        }
    }
}
