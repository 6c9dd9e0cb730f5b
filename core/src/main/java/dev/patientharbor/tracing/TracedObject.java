package dev.patientharbor.tracing;

import dev.patientharbor.survey.CodeLocation;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** An object that the wiring makes. Two are the same only if they are one. For one thread. */
public final class TracedObject implements TracedValue {

    private final int number;
    private final String type;
    private final CodeLocation at;
    private final Map<String, TracedValue> fields = new LinkedHashMap<>();
    private final List<Call> calls = new ArrayList<>();
    private Optional<Maker> maker = Optional.empty();
    private boolean wasRun;
    private boolean isHelper;
    private boolean isMadeInLambda;

    /**
     * How it was made.
     *
     * @param owner the binary name of the class whose constructor or method it is
     * @param method the name of the method; empty for a constructor
     * @param descriptor as in JVMS 4.3.3
     * @param arguments what it was given
     */
    public record Maker(
            String owner, Optional<String> method, String descriptor, List<TracedValue> arguments) {
        public Maker {
            arguments = List.copyOf(arguments);
        }
    }

    /** A method that was called on it, with what it was given. */
    public record Call(
            String owner, String method, String descriptor, List<TracedValue> arguments, int line) {
        public Call {
            arguments = List.copyOf(arguments);
        }
    }

    TracedObject(int number, String type, CodeLocation at) {
        this.number = number;
        this.type = type;
        this.at = at;
    }

    @Override
    public <T> T match(Cases<T> cases) {
        return cases.object(this);
    }

    /** Returns its number, from 0, in the order in which they were made. */
    public int number() {
        return number;
    }

    /** Returns the binary name of its class; of a factory's object what the factory declares. */
    public String type() {
        return type;
    }

    /** Returns where it is made. */
    public CodeLocation at() {
        return at;
    }

    /** Returns how it was made; empty if no constructor was called, or it was there before. */
    public Optional<Maker> maker() {
        return maker;
    }

    /** Returns what its fields hold, by name. */
    public Map<String, TracedValue> fields() {
        return fields;
    }

    /** Returns what the wiring called on it. */
    public List<Call> calls() {
        return calls;
    }

    /** Returns whether it only helped to make another one: a builder, a composition root. */
    public boolean isHelper() {
        return isHelper;
    }

    void make(Maker how) {
        if (maker.isEmpty()) {
            maker = Optional.of(how);
        }
    }

    void call(Call call) {
        calls.add(call);
    }

    void put(String field, TracedValue value) {
        fields.put(field, value);
    }

    /** Returns whether a lambda makes a new one each time that it is asked. */
    public boolean isMadeInLambda() {
        return isMadeInLambda;
    }

    void makeInLambda() {
        isMadeInLambda = true;
    }

    void help() {
        isHelper = true;
    }

    /** Returns whether its constructor is to be run now, for the first time. */
    boolean startRun() {
        boolean isFirst = !wasRun;
        wasRun = true;
        return isFirst;
    }
}
