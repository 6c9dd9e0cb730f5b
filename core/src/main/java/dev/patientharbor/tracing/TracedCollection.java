package dev.patientharbor.tracing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A list, a map or the like that the wiring fills. For one thread. */
public final class TracedCollection implements TracedValue {

    /** What it is. */
    public enum Kind {
        /** A list, a set, an array: elements in order. */
        ELEMENTS,
        /** A map. */
        MAP,
        /** An Optional: one element or none. */
        OPTIONAL,
        /** What hands out the elements of another one, one after the other. */
        ITERATOR,
        /** A text that is put together. */
        TEXT
    }

    /**
     * An element.
     *
     * @param key its key; empty if it is no map's
     */
    public record Entry(Optional<TracedValue> key, TracedValue value) {}

    private final Kind kind;
    private final List<Entry> entries = new ArrayList<>();
    private Optional<Unknown> beyond = Optional.empty();

    TracedCollection(Kind kind) {
        this.kind = kind;
    }

    static TracedCollection of(Kind kind, List<? extends TracedValue> values) {
        TracedCollection made = new TracedCollection(kind);
        values.forEach(made::add);
        return made;
    }

    @Override
    public <T> T match(Cases<T> cases) {
        return cases.collection(this);
    }

    public Kind kind() {
        return kind;
    }

    /** Returns its elements, in order. */
    public List<Entry> entries() {
        return entries;
    }

    /** Returns what else is in it and cannot be told, if there is something. */
    public Optional<Unknown> beyond() {
        return beyond;
    }

    /** Returns the elements alone. */
    List<TracedValue> values() {
        return entries.stream().map(Entry::value).toList();
    }

    void add(TracedValue value) {
        entries.add(new Entry(Optional.empty(), value));
    }

    void set(int index, TracedValue value) {
        entries.set(index, new Entry(Optional.empty(), value));
    }

    /** Puts a value where its key stands, or at the end. */
    void put(TracedValue key, TracedValue value) {
        for (int i = 0; i < entries.size(); i++) {
            if (entries.get(i).key().equals(Optional.of(key))) {
                entries.set(i, new Entry(Optional.of(key), value));
                return;
            }
        }
        entries.add(new Entry(Optional.of(key), value));
    }

    Optional<TracedValue> get(TracedValue key) {
        return entries.stream()
                .filter(entry -> entry.key().equals(Optional.of(key)))
                .map(Entry::value)
                .findFirst();
    }

    /** Takes all that another one has. */
    void addAll(TracedCollection other) {
        for (Entry entry : List.copyOf(other.entries)) {
            if (kind == Kind.MAP && entry.key().isPresent()) {
                put(entry.key().get(), entry.value());
            } else {
                entries.add(new Entry(Optional.empty(), entry.value()));
            }
        }
        other.beyond.ifPresent(this::addUnknown);
    }

    void addUnknown(Unknown unknown) {
        beyond = Optional.of(unknown);
    }
}
