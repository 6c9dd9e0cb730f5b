package dev.patientharbor.start;

import java.util.Comparator;
import java.util.function.Function;
import java.util.function.ToIntFunction;

/**
 * The orders of {@link Comparator}, for the copy of the jar that starts sooner. Those of the JDK
 * can be written to a stream, and for each of them the virtual machine writes a class at each
 * start.
 */
public final class ComparatorMethods {

    private ComparatorMethods() {}

    /** As {@link Comparator#comparing(Function)}. */
    public static <T, U extends Comparable<? super U>> Comparator<T> comparing(
            Function<? super T, ? extends U> key) {
        return (one, other) -> key.apply(one).compareTo(key.apply(other));
    }

    /** As {@link Comparator#comparing(Function, Comparator)}. */
    public static <T, U> Comparator<T> comparing(
            Function<? super T, ? extends U> key, Comparator<? super U> order) {
        return (one, other) -> order.compare(key.apply(one), key.apply(other));
    }

    /** As {@link Comparator#comparingInt}. */
    public static <T> Comparator<T> comparingInt(ToIntFunction<? super T> key) {
        return (one, other) -> Integer.compare(key.applyAsInt(one), key.applyAsInt(other));
    }

    /** As {@link Comparator#thenComparing(Comparator)}. */
    public static <T> Comparator<T> thenComparing(Comparator<T> first, Comparator<? super T> then) {
        return (one, other) -> {
            int found = first.compare(one, other);
            return found != 0 ? found : then.compare(one, other);
        };
    }

    /** As {@link Comparator#thenComparing(Function)}. */
    public static <T, U extends Comparable<? super U>> Comparator<T> thenComparing(
            Comparator<T> first, Function<? super T, ? extends U> key) {
        return thenComparing(first, ComparatorMethods.<T, U>comparing(key));
    }

    /** As {@link Comparator#thenComparing(Function, Comparator)}. */
    public static <T, U> Comparator<T> thenComparing(
            Comparator<T> first,
            Function<? super T, ? extends U> key,
            Comparator<? super U> order) {
        return thenComparing(first, comparing(key, order));
    }

    /** As {@link Comparator#thenComparingInt}. */
    public static <T> Comparator<T> thenComparingInt(
            Comparator<T> first, ToIntFunction<? super T> key) {
        return thenComparing(first, comparingInt(key));
    }
}
