package dev.patientharbor.code;

import java.util.Arrays;

/**
 * Methods by name and erased types, kept as numbers of 64 bits: that two methods share one is as
 * good as impossible, and texts for all methods of all classes would take much room.
 */
public final class MethodSet {

    /** No method. */
    public static final MethodSet NONE = new MethodSet(new long[0], 0);

    private final long[] numbers;

    private MethodSet(long[] numbers, int count) {
        this.numbers = Arrays.copyOf(numbers, count);
        Arrays.sort(this.numbers);
    }

    /** Whether a method is among them; name and erased types as in JVMS 4.3.3. */
    public boolean has(String name, String descriptor) {
        return Arrays.binarySearch(numbers, number(name, descriptor)) >= 0;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof MethodSet that && Arrays.equals(numbers, that.numbers);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(numbers);
    }

    @Override
    public String toString() {
        return numbers.length + " methods";
    }

    private static long number(String name, String descriptor) {
        return (long) name.hashCode() << Integer.SIZE | descriptor.hashCode() & 0xFFFF_FFFFL;
    }

    /** Collects methods. Not for several threads. */
    static final class Builder {
        private long[] numbers = new long[8];
        private int count;

        void add(String name, String descriptor) {
            if (count == numbers.length) {
                numbers = Arrays.copyOf(numbers, 2 * count);
            }
            numbers[count++] = number(name, descriptor);
        }

        MethodSet set() {
            return count == 0 ? NONE : new MethodSet(numbers, count);
        }
    }
}
