package dev.patientharbor.tracing;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.tracing.TracedCollection.Kind;
import dev.patientharbor.tracing.TracedValue.Constant;
import dev.patientharbor.tracing.TracedValue.Nothing;
import dev.patientharbor.tracing.TracedValue.Unknown;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The collections of the JDK: how wiring makes and fills them. */
final class JdkCollections {

    /** An array that is larger holds no parts. */
    static final int LARGEST = 10_000;

    private static final Set<String> ELEMENTS =
            Set.of(
                    "java.util.ArrayList",
                    "java.util.LinkedList",
                    "java.util.HashSet",
                    "java.util.LinkedHashSet",
                    "java.util.TreeSet",
                    "java.util.ArrayDeque",
                    "java.util.concurrent.CopyOnWriteArrayList",
                    "java.util.concurrent.CopyOnWriteArraySet");
    private static final Set<String> MAPS =
            Set.of(
                    "java.util.HashMap",
                    "java.util.LinkedHashMap",
                    "java.util.TreeMap",
                    "java.util.EnumMap",
                    "java.util.concurrent.ConcurrentHashMap");
    private static final Set<String> TEXTS =
            Set.of("java.lang.StringBuilder", "java.lang.StringBuffer");

    /** Methods that hand on the very collection, or one with the same elements. */
    private static final Set<String> SAME =
            Set.of(
                    "copyOf",
                    "unmodifiableList",
                    "unmodifiableSet",
                    "unmodifiableMap",
                    "unmodifiableCollection",
                    "unmodifiableSortedMap",
                    "synchronizedList",
                    "synchronizedMap",
                    "stream",
                    "values",
                    "toArray",
                    "toList");

    /** Methods that change nothing, and are not followed further. */
    private static final Set<String> READING =
            Set.of(
                    "contains",
                    "containsAll",
                    "containsValue",
                    "equals",
                    "hashCode",
                    "indexOf",
                    "length",
                    "toString",
                    "ifPresent",
                    "orElseThrow",
                    "orElseGet");

    private JdkCollections() {}

    /** Returns an empty one for a class of the JDK that is one. */
    static Optional<TracedCollection> made(String type) {
        return ELEMENTS.contains(type)
                ? Optional.of(new TracedCollection(Kind.ELEMENTS))
                : MAPS.contains(type)
                        ? Optional.of(new TracedCollection(Kind.MAP))
                        : TEXTS.contains(type)
                                ? Optional.of(new TracedCollection(Kind.TEXT))
                                : Optional.empty();
    }

    /** Takes what a constructor is given: another collection, or a text. */
    static void construct(TracedCollection made, List<TracedValue> arguments) {
        for (TracedValue argument : arguments) {
            argument.collection().ifPresent(made::addAll);
            argument.unknown().ifPresent(made::addUnknown);
            if (made.kind() == Kind.TEXT && argument.written().isPresent()) {
                made.add(argument);
            }
        }
    }

    /** Returns what a static method of a collection type yields. */
    static Optional<TracedValue> of(MethodName called, List<TracedValue> arguments) {
        String owner = called.owner();
        String name = called.name();
        boolean isCollections = owner.equals("java.util.Collections");
        if (owner.equals("java.util.Optional")) {
            return Optional.of(optional(arguments));
        }
        if (SAME.contains(name) && arguments.size() == 1) {
            return arguments
                    .get(0)
                    .collection()
                    .map(held -> name.equals("copyOf") ? copy(held) : held);
        }
        boolean isMap = owner.equals("java.util.Map") || name.endsWith("Map");
        if (isMap && owner.equals("java.util.Map") && name.equals("entry")) {
            TracedCollection entry = new TracedCollection(Kind.MAP);
            entry.put(arguments.get(0), arguments.get(1));
            return Optional.of(entry);
        }
        if (owner.equals("java.util.Map") && name.equals("ofEntries")) {
            return arguments.get(0).collection().map(JdkCollections::joined);
        }
        if (isMap && (name.equals("of") || isCollections && isSingleOrEmpty(name))) {
            TracedCollection map = new TracedCollection(Kind.MAP);
            for (int i = 0; i + 1 < arguments.size(); i += 2) {
                map.put(arguments.get(i), arguments.get(i + 1));
            }
            return Optional.of(map);
        }
        boolean isList =
                name.equals("of") && !owner.equals("java.util.EnumSet")
                        || name.equals("asList")
                        || isCollections && isSingleOrEmpty(name);
        return isList ? Optional.of(elements(called, arguments)) : Optional.empty();
    }

    private static TracedCollection copy(TracedCollection held) {
        TracedCollection copy = new TracedCollection(held.kind());
        copy.addAll(held);
        return copy;
    }

    private static boolean isSingleOrEmpty(String name) {
        return name.startsWith("singleton") || name.startsWith("empty");
    }

    private static TracedCollection joined(TracedCollection entries) {
        TracedCollection map = new TracedCollection(Kind.MAP);
        entries.values().forEach(entry -> entry.collection().ifPresent(map::addAll));
        return map;
    }

    private static TracedCollection optional(List<TracedValue> arguments) {
        return TracedCollection.of(
                Kind.OPTIONAL, arguments.stream().filter(value -> !value.isNothing()).toList());
    }

    /** One array of all elements, or the elements themselves. */
    private static TracedCollection elements(MethodName called, List<TracedValue> arguments) {
        boolean isArray = called.descriptor().startsWith("([");
        TracedCollection list = new TracedCollection(Kind.ELEMENTS);
        if (!isArray) {
            arguments.forEach(list::add);
        } else {
            arguments.get(0).collection().ifPresent(list::addAll);
            arguments.get(0).unknown().ifPresent(list::addUnknown);
        }
        return list;
    }

    /** Returns what a method of a collection yields, and changes it as the method does. */
    static Optional<TracedValue> call(
            String name, TracedCollection held, List<TracedValue> arguments, int line) {
        Optional<TracedValue> first = arguments.stream().findFirst();
        boolean isKnown = held.beyond().isEmpty();
        return switch (name) {
            case "add", "addLast", "append", "offer", "push" -> add(name, held, arguments, line);
            case "put", "putIfAbsent" -> put(name, held, arguments);
            case "addAll", "putAll" -> addAll(held, arguments);
            case "clear" -> clear(held);
            case "forEach" -> forEach(held, arguments);
            case "size" -> known(isKnown, held.entries().size());
            case "isEmpty" -> known(isKnown, held.entries().isEmpty() ? 1 : 0);
            case "isPresent" -> known(isKnown, held.entries().isEmpty() ? 0 : 1);
            case "get", "getOrDefault", "containsKey" ->
                    isKnown ? look(name, held, arguments) : Optional.empty();
            case "orElse" -> held.values().stream().findFirst().or(() -> first);
            case "iterator" ->
                    isKnown
                            ? Optional.of(TracedCollection.of(Kind.ITERATOR, held.values()))
                            : Optional.empty();
            case "hasNext" -> known(true, held.entries().isEmpty() ? 0 : 1);
            case "next" ->
                    held.entries().isEmpty()
                            ? Optional.empty()
                            : Optional.of(held.entries().remove(0).value());
            case "entrySet" -> Optional.of(entries(held));
            case "keySet" -> Optional.of(TracedCollection.of(Kind.ELEMENTS, keys(held)));
            case "getKey" -> keys(held).stream().findFirst();
            case "getValue" -> held.values().stream().findFirst();
            case "toString" ->
                    held.kind() == Kind.TEXT ? TextMeaning.joined(held.values()) : Optional.empty();
            default -> other(name, held, line);
        };
    }

    private static Optional<TracedValue> known(boolean isKnown, int number) {
        return isKnown ? Optional.of(new Constant(number)) : Optional.empty();
    }

    private static List<TracedValue> keys(TracedCollection map) {
        return map.entries().stream().flatMap(entry -> entry.key().stream()).toList();
    }

    private static Optional<TracedValue> add(
            String name, TracedCollection held, List<TracedValue> arguments, int line) {
        if (arguments.size() != 1 || held.kind() == Kind.MAP) {
            held.addUnknown(new Unknown("what " + name + " puts where", line, Optional.empty()));
            return Optional.empty();
        }
        held.add(arguments.get(0));
        return Optional.of(name.equals("append") ? held : new Constant(1));
    }

    private static Optional<TracedValue> put(
            String name, TracedCollection held, List<TracedValue> arguments) {
        if (name.equals("put") || held.get(arguments.get(0)).isEmpty()) {
            held.put(arguments.get(0), arguments.get(1));
        }
        return Optional.of(new Nothing());
    }

    private static Optional<TracedValue> addAll(
            TracedCollection held, List<TracedValue> arguments) {
        for (TracedValue argument : arguments) {
            argument.collection().ifPresent(held::addAll);
            argument.unknown().ifPresent(held::addUnknown);
        }
        return known(true, 1);
    }

    /** Runs a lambda with each element. */
    private static Optional<TracedValue> forEach(
            TracedCollection held, List<TracedValue> arguments) {
        Optional<TracedValue.Lambda> lambda = arguments.get(0).lambda();
        for (TracedCollection.Entry entry : List.copyOf(held.entries())) {
            List<TracedValue> given = new ArrayList<>();
            entry.key().ifPresent(given::add);
            given.add(entry.value());
            lambda.ifPresent(each -> each.body().apply(given));
        }
        return lambda.map(each -> new Nothing());
    }

    private static Optional<TracedValue> clear(TracedCollection held) {
        held.entries().clear();
        return Optional.of(new Nothing());
    }

    private static Optional<TracedValue> other(String name, TracedCollection held, int line) {
        if (SAME.contains(name)) {
            TracedCollection same = new TracedCollection(Kind.ELEMENTS);
            held.values().forEach(same::add);
            held.beyond().ifPresent(same::addUnknown);
            return Optional.of(same);
        }
        if (!READING.contains(name)) {
            held.addUnknown(
                    new Unknown("what " + name + " makes of a collection", line, Optional.empty()));
        }
        return Optional.empty();
    }

    private static Optional<TracedValue> look(
            String name, TracedCollection held, List<TracedValue> arguments) {
        if (arguments.isEmpty()) {
            return held.values().stream().findFirst();
        }
        Optional<Object> key = arguments.get(0).constant();
        if (key.isEmpty()) {
            return Optional.empty();
        }
        if (held.kind() == Kind.ELEMENTS) {
            boolean isThere = key.get() instanceof Integer at && at < held.entries().size();
            return isThere ? Optional.of(held.values().get((int) key.get())) : Optional.empty();
        }
        Optional<TracedValue> found = held.get(arguments.get(0));
        return switch (name) {
            case "containsKey" -> Optional.of(new Constant(found.isPresent() ? 1 : 0));
            case "getOrDefault" -> found.or(() -> Optional.of(arguments.get(1)));
            default -> found.or(() -> Optional.of(new Nothing()));
        };
    }

    private static TracedCollection entries(TracedCollection map) {
        TracedCollection all = new TracedCollection(Kind.ELEMENTS);
        map.entries()
                .forEach(
                        entry -> {
                            TracedCollection one = new TracedCollection(Kind.MAP);
                            entry.key().ifPresent(key -> one.put(key, entry.value()));
                            all.add(one);
                        });
        map.beyond().ifPresent(all::addUnknown);
        return all;
    }
}
