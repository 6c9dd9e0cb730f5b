package dev.patientharbor.code;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Classes whose names are all known. */
final class NamedEntries implements ClassEntries {

    private final List<CodeEntry> entries;

    NamedEntries(List<CodeEntry> entries) {
        this.entries = List.copyOf(entries);
    }

    /** The classes of the files of a folder. */
    static NamedEntries of(List<ClassFile> files) {
        PackageStart start = PackageStart.of(files);
        List<ClassFile> ordered =
                start.isRoot()
                        ? files
                        // Two paths may lead to one name now: which counts must not be chance.
                        : files.stream().sorted(Comparator.comparing(ClassFile::name)).toList();
        List<CodeEntry> entries = new ArrayList<>(files.size());
        ordered.forEach(file -> entries.add(new CodeEntry(start.className(file.name()), file)));
        return new NamedEntries(entries);
    }

    @Override
    public int size() {
        return entries.size();
    }

    @Override
    public String name(int number) {
        return entries.get(number).name();
    }

    @Override
    public long hash(int number) {
        return NameHash.of(name(number));
    }

    @Override
    public long[] simpleHashes() {
        long[] hashes = new long[entries.size()];
        for (int i = 0; i < hashes.length; i++) {
            hashes[i] = NameHash.ofSimple(name(i));
        }
        return hashes;
    }

    @Override
    public CodeEntry entry(int number) {
        return entries.get(number);
    }
}
