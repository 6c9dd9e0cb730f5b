package dev.patientharbor.code;

import dev.patientharbor.jars.JarDirectory;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicReferenceArray;

/**
 * The classes of a jar. Of each only where it stands in the directory and hashes of its names are
 * kept: of most nothing is ever asked.
 */
final class JarEntries implements ClassEntries {

    private static final int ENDING = ClassSource.CLASS.length();

    private final OpenJar jar;
    private final int[] entries;
    private final PackageStart start;
    private final long[] hashes;
    private final long[] simpleHashes;
    private final AtomicReferenceArray<CodeEntry> made;

    /**
     * @param entries those of class files, in the directory; nobody may change them
     */
    JarEntries(OpenJar jar, int[] entries) {
        this.jar = jar;
        this.entries = entries;
        start = PackageStart.of(firstFiles());
        made = new AtomicReferenceArray<>(entries.length);
        hashes = new long[entries.length];
        simpleHashes = new long[entries.length];
        PathHashes path = new PathHashes();
        for (int i = 0; i < hashes.length; i++) {
            hash(i, path);
        }
    }

    private void hash(int number, PathHashes path) {
        boolean isRead = start.isRoot() && isRead(path, entries[number]);
        boolean isSimpleRead = isRead && path.simple() != 0;
        String name = isSimpleRead ? "" : name(number);
        hashes[number] = isRead ? path.whole() : NameHash.of(name);
        simpleHashes[number] = isSimpleRead ? path.simple() : NameHash.ofSimple(name);
    }

    /** The first files by name: as many as may be needed to see where packages start. */
    private List<ClassFile> firstFiles() {
        int[] first = new int[Math.min(PackageStart.MOST_TRIED, entries.length)];
        int count = 0;
        for (int entry : entries) {
            if (count < first.length || isBefore(entry, first[count - 1])) {
                count = Math.min(count + 1, first.length);
                int place = count - 1;
                while (place > 0 && isBefore(entry, first[place - 1])) {
                    first[place] = first[place - 1];
                    place--;
                }
                first[place] = entry;
            }
        }
        return Arrays.stream(first).mapToObj(jar::file).toList();
    }

    private boolean isBefore(int entry, int other) {
        JarDirectory in = jar.directory();
        byte[] bytes = in.bytes();
        int from = in.nameStart(entry);
        int otherFrom = in.nameStart(other);
        int length = in.nameEnd(entry) - from;
        int otherLength = in.nameEnd(other) - otherFrom;
        for (int i = 0; i < length && i < otherLength; i++) {
            int difference = (bytes[from + i] & 0xFF) - (bytes[otherFrom + i] & 0xFF);
            if (difference != 0) {
                return difference < 0;
            }
        }
        return length < otherLength;
    }

    /** Reads a path that is the name of the class; one with a version is none. */
    private boolean isRead(PathHashes path, int entry) {
        JarDirectory in = jar.directory();
        int from = in.nameStart(entry);
        return in.bytes()[from] != OpenJar.VERSIONS.charAt(0)
                && path.read(in.bytes(), from, in.nameEnd(entry) - ENDING);
    }

    @Override
    public int size() {
        return entries.length;
    }

    @Override
    public String name(int number) {
        return start.className(jar.path(entries[number]));
    }

    @Override
    public long hash(int number) {
        return hashes[number];
    }

    @Override
    public long[] simpleHashes() {
        return simpleHashes;
    }

    @Override
    public CodeEntry entry(int number) {
        CodeEntry known = made.get(number);
        if (known != null) {
            return known;
        }
        CodeEntry entry = new CodeEntry(name(number), jar.file(entries[number]));
        return made.compareAndSet(number, null, entry) ? entry : made.get(number);
    }
}
