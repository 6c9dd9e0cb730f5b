package dev.patientharbor.plan;

import java.util.Comparator;

/**
 * Where a consumer asks for something.
 *
 * @param kind the kind of place
 * @param member the name of the field; name and erased parameter types of the method; empty for a
 *     constructor
 * @param index the parameter, from 0; 0 for a field
 */
public record NeedPlace(Kind kind, String member, int index) implements Comparable<NeedPlace> {

    private static final Comparator<NeedPlace> ORDER =
            Comparator.comparing(NeedPlace::kind)
                    .thenComparing(NeedPlace::member)
                    .thenComparingInt(NeedPlace::index);

    /** The kinds of places, in the order of their words. */
    public enum Kind {
        CONSTRUCTOR,
        DECLARED,
        FIELD,
        LOOKUP,
        METHOD
    }

    public static NeedPlace constructor(int index) {
        return new NeedPlace(Kind.CONSTRUCTOR, "", index);
    }

    /** What is asked for without a place in a class: the object whose method is a factory. */
    public static NeedPlace declared(String name) {
        return new NeedPlace(Kind.DECLARED, name, 0);
    }

    public static NeedPlace field(String name) {
        return new NeedPlace(Kind.FIELD, name, 0);
    }

    /** A lookup in the body of a method, counted from 0 in each method. */
    public static NeedPlace lookup(String method, int index) {
        return new NeedPlace(Kind.LOOKUP, method, index);
    }

    /** A parameter of a method, the method given as {@code setGauge(p.Gauge)}. */
    public static NeedPlace method(String nameAndTypes, int index) {
        return new NeedPlace(Kind.METHOD, nameAndTypes, index);
    }

    /** The place for programs, counted from 0: {@code constructor:1}, {@code field:gauge}. */
    public String code() {
        return switch (kind) {
            case CONSTRUCTOR -> "constructor:" + index;
            case DECLARED -> "declared:" + member;
            case FIELD -> "field:" + member;
            case LOOKUP -> "lookup:" + member + ':' + index;
            case METHOD -> "method:" + member + ':' + index;
        };
    }

    /**
     * The place for people, counted from 1: {@code constructor parameter 2}, {@code setter
     * setGauge}.
     */
    public String words() {
        return switch (kind) {
            case CONSTRUCTOR -> "constructor parameter " + (index + 1);
            case DECLARED -> "declared";
            case FIELD -> "field";
            case LOOKUP -> "lookup " + (index + 1) + " in " + member;
            case METHOD ->
                    isSetter()
                            ? "setter " + methodName()
                            : "method " + methodName() + ", parameter " + (index + 1);
        };
    }

    private String methodName() {
        return member.substring(0, member.indexOf('('));
    }

    private boolean isSetter() {
        return member.startsWith("set") && !member.contains("()") && !member.contains(",");
    }

    @Override
    public int compareTo(NeedPlace other) {
        return ORDER.compare(this, other);
    }
}
