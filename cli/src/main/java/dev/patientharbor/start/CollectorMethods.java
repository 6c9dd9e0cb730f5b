package dev.patientharbor.start;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.StringJoiner;
import java.util.stream.Collector;
import java.util.stream.Collector.Characteristics;
import java.util.stream.Collectors;

/**
 * Some of {@link Collectors}, for the copy of the jar that starts sooner. Those of the JDK are made
 * of lambdas, and the JDK's own cannot be replaced.
 */
public final class CollectorMethods {

    private CollectorMethods() {}

    /** As {@link Collectors#joining()}. */
    public static Collector<CharSequence, ?, String> joining() {
        return Collector.of(
                StringBuilder::new,
                StringBuilder::append,
                StringBuilder::append,
                StringBuilder::toString);
    }

    /** As {@link Collectors#joining(CharSequence)}. */
    public static Collector<CharSequence, ?, String> joining(CharSequence between) {
        return joining(between, "", "");
    }

    /** As {@link Collectors#joining(CharSequence, CharSequence, CharSequence)}. */
    public static Collector<CharSequence, ?, String> joining(
            CharSequence between, CharSequence before, CharSequence after) {
        return Collector.of(
                () -> new StringJoiner(between, before, after),
                StringJoiner::add,
                StringJoiner::merge,
                StringJoiner::toString);
    }

    /** As {@link Collectors#toList()}. */
    public static <T> Collector<T, ?, List<T>> toList() {
        return Collector.<T, List<T>, List<T>>of(
                ArrayList::new,
                List::add,
                CollectorMethods::with,
                all -> all,
                Characteristics.IDENTITY_FINISH);
    }

    /** As {@link Collectors#toSet()}. */
    public static <T> Collector<T, ?, Set<T>> toSet() {
        return Collector.<T, Set<T>, Set<T>>of(
                HashSet::new,
                Set::add,
                CollectorMethods::with,
                all -> all,
                Characteristics.UNORDERED,
                Characteristics.IDENTITY_FINISH);
    }

    private static <T, C extends Collection<T>> C with(C all, C more) {
        all.addAll(more);
        return all;
    }
}
