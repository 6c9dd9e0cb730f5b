package dev.patientharbor.names;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.NameHash;
import java.util.BitSet;

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

    SimpleNameHashes(CodeIndex code) {
        // At most half full, so that looking up stays short.
        hashes = new long[Integer.highestOneBit(Math.max(8, code.size())) << 2];
        for (long hash : code.simpleNameHashes()) {
            int place = place(hash);
            if (hashes[place] == hash) {
                several.set(place);
            }
            hashes[place] = hash;
        }
    }

    Found find(String simple) {
        int place = place(NameHash.of(simple));
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
