package dev.patientharbor.code;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.LongStream;
import org.objectweb.asm.ClassReader;

/**
 * The classes that a class file mentions, by the hashes of their names: a text for each would take
 * much room. What is not mentioned is neither made nor cast to.
 */
public final class ClassMentions {

    /** Nothing is mentioned. */
    public static final ClassMentions NONE = new ClassMentions(new long[0], Set.of());

    private static final int CLASS = 7;
    private static final int FIELD = 9;
    private static final int METHOD = 10;
    private static final String JDK = "java/";

    private final long[] hashes;
    private final Set<String> owners;

    private ClassMentions(long[] hashes, Set<String> owners) {
        this.hashes = hashes;
        this.owners = owners;
    }

    /** Reads them from the constant pool (JVMS 4.4); those of the JDK are left out. */
    static ClassMentions read(ClassReader reader) {
        char[] buffer = new char[reader.getMaxStringLength()];
        LongStream.Builder found = LongStream.builder();
        Set<String> owners = new HashSet<>(0);
        for (int i = 1; i < reader.getItemCount(); i++) {
            int at = reader.getItem(i);
            int tag = at == 0 ? 0 : reader.readByte(at - 1);
            if (tag == CLASS) {
                String name = reader.readUTF8(at, buffer);
                if (!name.startsWith(JDK)) {
                    found.add(NameHash.of(FactsCollector.className(name)));
                }
            } else if (tag == FIELD || tag == METHOD) {
                String name = reader.readClass(at, buffer);
                if (!name.startsWith(JDK) && !name.equals(reader.getClassName())) {
                    owners.add(FactsCollector.className(name));
                }
            }
        }
        long[] hashes = found.build().sorted().toArray();
        return hashes.length == 0 ? NONE : new ClassMentions(hashes, Set.copyOf(owners));
    }

    /** Returns the other classes of which it uses fields or methods; interfaces are left out. */
    public Set<String> owners() {
        return owners;
    }

    /** Returns whether a class of that binary name is mentioned; very seldom another one. */
    public boolean has(String binaryName) {
        return Arrays.binarySearch(hashes, NameHash.of(binaryName)) >= 0;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof ClassMentions that
                && Arrays.equals(hashes, that.hashes)
                && owners.equals(that.owners);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(hashes);
    }
}
