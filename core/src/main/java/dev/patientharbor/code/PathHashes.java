package dev.patientharbor.code;

/**
 * The two {@linkplain NameHash hashes} of a class, its name and its simple name, from the path of
 * its file: each letter is looked at once. Is used again for the next path. For one thread.
 */
final class PathHashes {

    private long whole;
    private long simple;

    /**
     * Looks at a path without the ending; the package starts where the path does.
     *
     * @return whether all its letters are ASCII; nothing is known of others
     */
    boolean read(byte[] bytes, int from, int to) {
        long hash = NameHash.START;
        int at = to - 1;
        boolean isNested = false;
        for (; at >= from && bytes[at] != '/'; at--) {
            byte letter = bytes[at];
            if (letter < 0) {
                return false;
            }
            isNested |= letter == '$' || letter == '.';
            hash = hash * NameHash.FACTOR + letter;
        }
        simple = isNested ? 0 : NameHash.mixed(hash);
        for (; at >= from; at--) {
            byte letter = bytes[at];
            if (letter < 0) {
                return false;
            }
            hash = hash * NameHash.FACTOR + (letter == '/' ? '.' : letter);
        }
        whole = NameHash.mixed(hash);
        return true;
    }

    /** Returns the hash of the binary name. */
    long whole() {
        return whole;
    }

    /** Returns the hash of the simple name; 0 if that must be looked at more closely. */
    long simple() {
        return simple;
    }
}
