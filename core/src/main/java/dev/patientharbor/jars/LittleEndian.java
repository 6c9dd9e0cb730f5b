package dev.patientharbor.jars;

/** Numbers as jars hold them, without sign: the lowest byte first (ZIP, APPNOTE 4.4.1.1). */
final class LittleEndian {

    private LittleEndian() {}

    static int two(byte[] bytes, int at) {
        return bytes[at] & 0xFF | (bytes[at + 1] & 0xFF) << 8;
    }

    /** As it stands there: what is larger than an int can tell is negative. */
    static int signature(byte[] bytes, int at) {
        return two(bytes, at) | two(bytes, at + 2) << 16;
    }

    static long four(byte[] bytes, int at) {
        return Integer.toUnsignedLong(signature(bytes, at));
    }

    /** Negative if it is larger than a long can tell. */
    static long eight(byte[] bytes, int at) {
        return four(bytes, at) | four(bytes, at + 4) << 32;
    }
}
