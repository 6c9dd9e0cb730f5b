package dev.patientharbor.standins;

import dev.patientharbor.texts.RequiredArgument;
import java.lang.reflect.Array;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.Future;
import java.util.function.Supplier;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/**
 * What a mock answers that was told nothing: zero for numbers and their boxes, {@code false}, the
 * blank text for {@code String} and {@code CharSequence}, zero for {@code BigDecimal}, {@code
 * BigInteger} and {@code Duration}; an empty array, collection, map, iterator, {@code Optional} or
 * stream; a future or stage that is complete with {@code null}; {@code null} for all else.
 * Collections are new and may be changed.
 */
public final class NeutralAnswers {

    private static final Map<Class<?>, Supplier<?>> ANSWERS =
            Map.ofEntries(
                    Map.entry(String.class, () -> ""),
                    Map.entry(CharSequence.class, () -> ""),
                    Map.entry(BigDecimal.class, () -> BigDecimal.ZERO),
                    Map.entry(BigInteger.class, () -> BigInteger.ZERO),
                    Map.entry(Duration.class, () -> Duration.ZERO),
                    Map.entry(Optional.class, Optional::empty),
                    Map.entry(OptionalInt.class, OptionalInt::empty),
                    Map.entry(OptionalLong.class, OptionalLong::empty),
                    Map.entry(OptionalDouble.class, OptionalDouble::empty),
                    Map.entry(Stream.class, Stream::empty),
                    Map.entry(IntStream.class, IntStream::empty),
                    Map.entry(LongStream.class, LongStream::empty),
                    Map.entry(DoubleStream.class, DoubleStream::empty),
                    Map.entry(Iterable.class, ArrayList::new),
                    Map.entry(Iterator.class, Collections::emptyIterator),
                    Map.entry(Collection.class, ArrayList::new),
                    Map.entry(List.class, ArrayList::new),
                    Map.entry(ArrayList.class, ArrayList::new),
                    Map.entry(Set.class, LinkedHashSet::new),
                    Map.entry(HashSet.class, HashSet::new),
                    Map.entry(LinkedHashSet.class, LinkedHashSet::new),
                    Map.entry(SortedSet.class, TreeSet::new),
                    Map.entry(NavigableSet.class, TreeSet::new),
                    Map.entry(TreeSet.class, TreeSet::new),
                    Map.entry(Map.class, LinkedHashMap::new),
                    Map.entry(HashMap.class, HashMap::new),
                    Map.entry(LinkedHashMap.class, LinkedHashMap::new),
                    Map.entry(SortedMap.class, TreeMap::new),
                    Map.entry(NavigableMap.class, TreeMap::new),
                    Map.entry(TreeMap.class, TreeMap::new),
                    Map.entry(Future.class, () -> CompletableFuture.completedFuture(null)),
                    Map.entry(CompletionStage.class, () -> CompletableFuture.completedFuture(null)),
                    Map.entry(
                            CompletableFuture.class, () -> CompletableFuture.completedFuture(null)),
                    Map.entry(Boolean.class, () -> false),
                    Map.entry(Character.class, () -> '\0'),
                    Map.entry(Byte.class, () -> (byte) 0),
                    Map.entry(Short.class, () -> (short) 0),
                    Map.entry(Integer.class, () -> 0),
                    Map.entry(Long.class, () -> 0L),
                    Map.entry(Float.class, () -> 0f),
                    Map.entry(Double.class, () -> 0d));

    private NeutralAnswers() {}

    /** Returns the neutral answer of a method that returns that type. */
    public static Object of(Class<?> returned) {
        RequiredArgument.of(returned, "returned");
        if (returned == void.class) {
            return null;
        }
        if (returned.isPrimitive()) {
            return Array.get(Array.newInstance(returned, 1), 0);
        }
        if (returned.isArray()) {
            return Array.newInstance(returned.getComponentType(), 0);
        }
        return ANSWERS.getOrDefault(returned, () -> null).get();
    }
}
