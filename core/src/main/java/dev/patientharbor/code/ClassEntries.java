package dev.patientharbor.code;

/**
 * The classes of one folder or jar, numbered from 0 on. Where two have the same name, the one with
 * the higher number counts. May be used by several threads.
 */
interface ClassEntries {

    int size();

    /** Returns the binary name of a class. */
    String name(int number);

    /** Returns the {@linkplain NameHash hash} of its name. */
    long hash(int number);

    /** Returns the hashes of the simple names, by number; nobody may change them. */
    long[] simpleHashes();

    /** Returns the class itself, the same whenever it is asked for. */
    CodeEntry entry(int number);
}
