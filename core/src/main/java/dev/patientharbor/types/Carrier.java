package dev.patientharbor.types;

import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.TypeRef.Wildcard;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a need may wrap its contract in.
 *
 * @param kind what the wrapping means
 * @param content the type inside, which may be wrapped again
 * @param key the type of the keys of a map
 * @param word the wrapping as people read it, such as {@code List}
 */
public record Carrier(Kind kind, TypeRef content, Optional<TypeRef> key, String word) {

    /** What a carrier means for who asks. */
    public enum Kind {
        /** May be absent. */
        OPTIONAL,
        /** Met when asked. */
        DEFERRED,
        /** Every variant. */
        COLLECTION,
        /** Every keyed variant, by its key. */
        MAP
    }

    /** What a mark of the house wraps a type in; no name of a class. */
    private static final String MARKED = "(may be absent)";

    private static final Map<String, Kind> KINDS =
            Map.of(
                    MARKED,
                    Kind.OPTIONAL,
                    "java.util.Optional",
                    Kind.OPTIONAL,
                    "java.util.function.Supplier",
                    Kind.DEFERRED,
                    "jakarta.inject.Provider",
                    Kind.DEFERRED,
                    "javax.inject.Provider",
                    Kind.DEFERRED,
                    "java.util.List",
                    Kind.COLLECTION,
                    "java.util.Set",
                    Kind.COLLECTION,
                    "java.util.Collection",
                    Kind.COLLECTION,
                    "java.lang.Iterable",
                    Kind.COLLECTION,
                    "java.util.Map",
                    Kind.MAP);

    /** Returns the type that stands for one which a mark allows to be absent. */
    public static TypeRef mayBeAbsent(TypeRef type) {
        return new ClassType(MARKED, List.of(type));
    }

    /** Returns the type that holds every variant of a contract, in order. */
    public static TypeRef listOf(TypeRef contract) {
        return new ClassType("java.util.List", List.of(contract));
    }

    /** Returns the type that holds every keyed variant of a contract, by its key. */
    public static TypeRef mapOf(TypeRef contract) {
        return new ClassType("java.util.Map", List.of(TypeRef.of("java.lang.String"), contract));
    }

    /** The full name of a type that wraps needs, by its simple name. */
    public static Optional<String> named(String simpleName) {
        return KINDS.keySet().stream()
                .filter(name -> name.endsWith('.' + simpleName))
                .sorted()
                .findFirst();
    }

    /** The types that hand out an object when they are asked. */
    public static final List<String> DEFERRED_TYPES =
            KINDS.entrySet().stream()
                    .filter(entry -> entry.getValue() == Kind.DEFERRED)
                    .map(Map.Entry::getKey)
                    .sorted()
                    .toList();

    /** The outermost wrapping of a type, if it is one. */
    public static Optional<Carrier> of(TypeRef type) {
        if (type instanceof ArrayType array) {
            return Optional.of(
                    new Carrier(Kind.COLLECTION, array.element(), Optional.empty(), "[]"));
        }
        if (!(type instanceof ClassType named) || named.arguments().isEmpty()) {
            return Optional.empty();
        }
        Kind kind = KINDS.get(named.name());
        if (kind == null) {
            return Optional.empty();
        }
        TypeRef content = named.arguments().get(named.arguments().size() - 1);
        Optional<TypeRef> key =
                kind == Kind.MAP ? Optional.of(named.arguments().get(0)) : Optional.empty();
        String word =
                named.name().equals(MARKED)
                        ? ""
                        : named.name().substring(named.name().lastIndexOf('.') + 1);
        return Optional.of(new Carrier(kind, inside(content), key, word));
    }

    /** Returns what a type carries; a wildcard stands for its bound. */
    private static TypeRef inside(TypeRef type) {
        return type instanceof Wildcard wildcard && wildcard.bound().isPresent()
                ? wildcard.bound().get()
                : type;
    }

    /** Whether a type holds several of what is innermost in it. */
    public static boolean holdsMany(TypeRef type) {
        for (Optional<Carrier> carrier = of(type);
                carrier.isPresent();
                carrier = of(carrier.get().content())) {
            if (carrier.get().kind() == Kind.COLLECTION || carrier.get().kind() == Kind.MAP) {
                return true;
            }
        }
        return false;
    }

    /**
     * Returns what is in a type that holds at most one of something, now or later; else the type
     * itself.
     */
    public static TypeRef single(TypeRef type) {
        TypeRef at = type;
        for (Optional<Carrier> carrier = of(at); carrier.isPresent(); carrier = of(at)) {
            if (carrier.get().kind() != Kind.OPTIONAL && carrier.get().kind() != Kind.DEFERRED) {
                return type;
            }
            at = carrier.get().content();
        }
        return at;
    }

    /** The innermost type, all wrappings taken off. */
    public static TypeRef innermost(TypeRef type) {
        TypeRef at = type;
        for (Optional<Carrier> carrier = of(at); carrier.isPresent(); carrier = of(at)) {
            at = carrier.get().content();
        }
        return at;
    }

    /** Puts the wrappings of one type around another innermost type. */
    public static TypeRef around(TypeRef wrapped, TypeRef innermost) {
        Optional<Carrier> outer = of(wrapped);
        if (outer.isEmpty()) {
            return innermost;
        }
        TypeRef content = around(outer.get().content(), innermost);
        if (wrapped instanceof ArrayType) {
            return new ArrayType(content);
        }
        ClassType named = (ClassType) wrapped;
        List<TypeRef> arguments = new ArrayList<>(named.arguments());
        arguments.set(arguments.size() - 1, content);
        return new ClassType(named.name(), arguments);
    }

    /** All wrappings of a type as people and programs read them: {@code Map<String,Supplier>}. */
    public static Optional<String> words(TypeRef type) {
        Optional<Carrier> outer = of(type);
        if (outer.filter(carrier -> carrier.word().isEmpty()).isPresent()) {
            return words(outer.get().content());
        }
        return outer.map(
                carrier -> {
                    String inner = words(carrier.content()).orElse("");
                    if (carrier.word().equals("[]")) {
                        return inner + "[]";
                    }
                    String key = carrier.key().map(TypeRef::text).orElse("");
                    key = key.substring(key.lastIndexOf('.') + 1);
                    String both = key.isEmpty() || inner.isEmpty() ? "" : ",";
                    String arguments = key + both + inner;
                    return arguments.isEmpty()
                            ? carrier.word()
                            : carrier.word() + '<' + arguments + '>';
                });
    }
}
