package dev.patientharbor.names;

import java.util.BitSet;
import java.util.Collection;

/**
 * Tells without a table of all names that a simple name is that of one class alone: most are.
 * Nothing is kept of a name but a hash of 64 bits.
 */
final class SimpleNameHashes {

    /** How many classes have a simple name, as far as hashes tell. */
    enum Found {
        NONE,
        ONE,
        /** Or one, and another one whose name has the same hash. */
        PERHAPS_SEVERAL
    }

    private final long[] hashes;
    private final BitSet several = new BitSet();

    SimpleNameHashes(Collection<String> binaryNames) {
        // At most half full, so that looking up stays short.
        hashes = new long[Integer.highestOneBit(Math.max(8, binaryNames.size())) << 2];
        for (String name : binaryNames) {
            int start = name.lastIndexOf('.') + 1;
            long hash =
                    name.indexOf('$', start) < 0
                            ? hash(name, start)
                            : hash(SimpleNames.of(name), 0);
            int place = place(hash);
            if (hashes[place] == hash) {
                several.set(place);
            }
            hashes[place] = hash;
        }
    }

    Found find(String simple) {
        int place = place(hash(simple, 0));
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

    /** A hash that is not 0: that stands for nothing. */
    private static long hash(String text, int start) {
        long hash = 1125899906842597L;
        for (int i = start; i < text.length(); i++) {
            hash = 31 * hash + text.charAt(i);
        }
        hash = (hash ^ hash >>> 33) * 0xff51afd7ed558ccdL;
        return (hash ^ hash >>> 33) | 1;
    }
}
