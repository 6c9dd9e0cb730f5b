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

    private static final long START = 1125899906842597L;

    private final long[] hashes;
    private final BitSet several = new BitSet();

    SimpleNameHashes(Collection<String> binaryNames) {
        // At most half full, so that looking up stays short.
        hashes = new long[Integer.highestOneBit(Math.max(8, binaryNames.size())) << 2];
        for (String name : binaryNames) {
            long hash = hashOfSimple(name);
            int place = place(hash);
            if (hashes[place] == hash) {
                several.set(place);
            }
            hashes[place] = hash;
        }
    }

    Found find(String simple) {
        int place = place(hash(simple));
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

    /** The hash of the simple name of a class, from its end on: one look at each letter. */
    private static long hashOfSimple(String binaryName) {
        long hash = START;
        for (int i = binaryName.length() - 1; i >= 0; i--) {
            char letter = binaryName.charAt(i);
            if (letter == '.') {
                break;
            }
            if (letter == '$') {
                return hash(SimpleNames.of(binaryName));
            }
            hash = 31 * hash + letter;
        }
        return mixed(hash);
    }

    private static long hash(String simple) {
        long hash = START;
        for (int i = simple.length() - 1; i >= 0; i--) {
            hash = 31 * hash + simple.charAt(i);
        }
        return mixed(hash);
    }

    /** Never 0: that stands for nothing. */
    private static long mixed(long hash) {
        long half = (hash ^ hash >>> 33) * 0xff51afd7ed558ccdL;
        return (half ^ half >>> 33) | 1;
    }
}
