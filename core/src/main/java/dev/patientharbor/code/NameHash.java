package dev.patientharbor.code;

/**
 * Hashes of class names, of 64 bits, never 0: so many that two names seldom share one. They look at
 * each letter once, from the end on.
 */
public final class NameHash {

    static final long START = 1125899906842597L;

    /** Odd, and without a pattern: short names that differ have hashes that differ. */
    static final long FACTOR = 0x9e3779b97f4a7c15L;

    private NameHash() {}

    /** Returns the hash of a name. */
    public static long of(String name) {
        long hash = START;
        for (int i = name.length() - 1; i >= 0; i--) {
            hash = hash * FACTOR + name.charAt(i);
        }
        return mixed(hash);
    }

    /**
     * Returns the hash of the simple name of a class: what stands behind its package, with a dot
     * before each class within another one that has a name of its own.
     */
    static long ofSimple(String binaryName) {
        long hash = START;
        char behind = 0;
        for (int i = binaryName.length() - 1; i >= 0; i--) {
            char letter = binaryName.charAt(i);
            if (letter == '.') {
                break;
            }
            hash = hash * FACTOR + simple(letter, behind);
            behind = letter;
        }
        return mixed(hash);
    }

    static char simple(char letter, char behind) {
        return letter == '$' && (behind < '0' || behind > '9') ? '.' : letter;
    }

    static long mixed(long hash) {
        long half = (hash ^ hash >>> 33) * 0xff51afd7ed558ccdL;
        return (half ^ half >>> 33) | 1;
    }
}
