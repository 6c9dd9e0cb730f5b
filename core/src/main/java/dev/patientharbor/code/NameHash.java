package dev.patientharbor.code;

/**
 * Hashes of class names, of 64 bits, never 0: so many that two names seldom share one. They look at
 * each letter once, from the end on.
 */
public final class NameHash {

    private static final long START = 1125899906842597L;

    /** Odd, and without a pattern: short names that differ have hashes that differ. */
    private static final long FACTOR = 0x9e3779b97f4a7c15L;

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
     * Returns the hash of the binary name of a class, from the path of its file without the ending.
     *
     * @return 0 if the path has letters beyond ASCII
     */
    static long ofPath(byte[] bytes, int from, int to) {
        long hash = START;
        for (int i = to - 1; i >= from; i--) {
            byte letter = bytes[i];
            if (letter < 0) {
                return 0;
            }
            hash = hash * FACTOR + (letter == '/' ? '.' : letter);
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

    /** The same, from the path of its file without the ending; 0 if it has others than ASCII. */
    static long ofSimpleInPath(byte[] bytes, int from, int to) {
        long hash = START;
        char behind = 0;
        for (int i = to - 1; i >= from; i--) {
            byte letter = bytes[i];
            if (letter < 0) {
                return 0;
            }
            if (letter == '/' || letter == '.') {
                break;
            }
            hash = hash * FACTOR + simple((char) letter, behind);
            behind = (char) letter;
        }
        return mixed(hash);
    }

    private static char simple(char letter, char behind) {
        return letter == '$' && (behind < '0' || behind > '9') ? '.' : letter;
    }

    private static long mixed(long hash) {
        long half = (hash ^ hash >>> 33) * 0xff51afd7ed558ccdL;
        return (half ^ half >>> 33) | 1;
    }
}
