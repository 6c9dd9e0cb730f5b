package dev.patientharbor.plan;

import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.ShortName;

/**
 * Where a consumer asks for something.
 *
 * @param kind the kind of place
 * @param member the name of the field; name and erased parameter types of the method; empty for a
 *     constructor. Of a member that has a namesake in a subclass which is filled as well, the class
 *     before it: {@code p.Base#gauge}
 * @param index the parameter, from 0; 0 for a field
 */
public record NeedPlace(Kind kind, String member, int index) implements Comparable<NeedPlace> {
    public NeedPlace {
        RequiredArgument.of(kind, "kind");
        RequiredArgument.of(member, "member");
    }

    /** The kinds of places, in the order of their words. */
    public enum Kind {
        CONSTRUCTOR,
        DECLARED,
        FIELD,
        LOOKUP,
        METHOD,
        STATIC_FIELD,
        STATIC_METHOD;

        /** The word of programs, such as {@code static-field}. */
        String word() {
            return switch (this) {
                case CONSTRUCTOR -> "constructor";
                case DECLARED -> "declared";
                case FIELD -> "field";
                case LOOKUP -> "lookup";
                case METHOD -> "method";
                case STATIC_FIELD -> "static-field";
                case STATIC_METHOD -> "static-method";
            };
        }
    }

    public static NeedPlace constructor(int index) {
        return new NeedPlace(Kind.CONSTRUCTOR, "", index);
    }

    /**
     * Returns the place of what is asked for outside of any class: the object whose method is a
     * factory.
     */
    public static NeedPlace declared(String name) {
        RequiredArgument.of(name, "name");
        return new NeedPlace(Kind.DECLARED, name, 0);
    }

    public static NeedPlace field(String name) {
        RequiredArgument.of(name, "name");
        return new NeedPlace(Kind.FIELD, name, 0);
    }

    /** Returns the place of a lookup in the body of a method, counted from 0 in each method. */
    public static NeedPlace lookup(String method, int index) {
        RequiredArgument.of(method, "method");
        return new NeedPlace(Kind.LOOKUP, method, index);
    }

    /** Returns the place that is a parameter of a method, given as {@code setGauge(p.Gauge)}. */
    public static NeedPlace method(String nameAndTypes, int index) {
        RequiredArgument.of(nameAndTypes, "nameAndTypes");
        return new NeedPlace(Kind.METHOD, nameAndTypes, index);
    }

    /** Returns this place as one of a static member. */
    public NeedPlace ofStatic() {
        return new NeedPlace(
                kind == Kind.FIELD ? Kind.STATIC_FIELD : Kind.STATIC_METHOD, member, index);
    }

    /**
     * Returns this place with the class that declares the member, where another class has a member
     * of that name.
     */
    public NeedPlace of(String className) {
        RequiredArgument.of(className, "className");
        return new NeedPlace(kind, className + '#' + member, index);
    }

    /** The place for programs, counted from 0: {@code constructor:1}, {@code field:gauge}. */
    public String code() {
        String where =
                switch (kind) {
                    case CONSTRUCTOR -> String.valueOf(index);
                    case DECLARED, FIELD, STATIC_FIELD -> member;
                    case LOOKUP, METHOD, STATIC_METHOD -> member + ':' + index;
                };
        return kind.word() + ':' + where;
    }

    /**
     * Reads a place as {@link #code()} writes it.
     *
     * @throws IllegalArgumentException if it is none
     */
    public static NeedPlace parse(String code) {
        int colon = RequiredArgument.of(code, "code").indexOf(':');
        String word = code.substring(0, Math.max(colon, 0));
        String rest = code.substring(colon + 1);
        int last = rest.lastIndexOf(':');
        for (Kind kind : Kind.values()) {
            if (kind.word().equals(word)) {
                return switch (kind) {
                    case CONSTRUCTOR -> new NeedPlace(kind, "", Integer.parseInt(rest));
                    case DECLARED, FIELD, STATIC_FIELD -> new NeedPlace(kind, rest, 0);
                    case LOOKUP, METHOD, STATIC_METHOD ->
                            new NeedPlace(
                                    kind,
                                    rest.substring(0, Math.max(last, 0)),
                                    Integer.parseInt(rest.substring(last + 1)));
                };
            }
        }
        throw new IllegalArgumentException("it is no place: " + code);
    }

    /**
     * The place for people, counted from 1: {@code constructor parameter 2}, {@code setter
     * setGauge}.
     */
    public String words() {
        return switch (kind) {
            case CONSTRUCTOR -> "constructor parameter " + (index + 1);
            case DECLARED -> "declared";
            case FIELD -> "field" + owner();
            case LOOKUP -> "lookup " + (index + 1) + " in " + member;
            case METHOD -> method();
            case STATIC_FIELD -> "static field" + owner();
            case STATIC_METHOD -> "static " + method();
        };
    }

    private String method() {
        String own = member.substring(member.indexOf('#') + 1);
        String name = own.substring(0, own.indexOf('('));
        boolean isSetter = own.startsWith("set") && !own.contains("()") && !own.contains(",");
        return (isSetter ? "setter " + name : "method " + name + ", parameter " + (index + 1))
                + owner();
    }

    private String owner() {
        int end = member.indexOf('#');
        return end < 0 ? "" : " of " + ShortName.of(member.substring(0, end));
    }

    @Override
    public int compareTo(NeedPlace other) {
        int order = kind.compareTo(other.kind);
        if (order == 0) {
            order = member.compareTo(other.member);
        }
        return order == 0 ? Integer.compare(index, other.index) : order;
    }
}
