package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.SlotParser;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Turns classes and texts into names with positions, and remembers which classes were named. */
final class NameCollector {

    private final Set<Class<?>> classes = new LinkedHashSet<>();

    /** The classes that were named, in the order of their first mention. */
    Set<Class<?>> classes() {
        return classes;
    }

    WrittenName written(Class<?> type, SourcePosition at) {
        classes.add(RequiredArgument.of(type, "a class"));
        return new WrittenName(type.getName(), at);
    }

    List<WrittenName> written(Class<?>[] types, SourcePosition at) {
        return Arrays.stream(types).map(type -> written(type, at)).toList();
    }

    static List<WrittenName> written(String[] texts, SourcePosition at) {
        return Arrays.stream(texts).map(text -> new WrittenName(text, at)).toList();
    }

    Slot slot(Class<?> contract) {
        classes.add(RequiredArgument.of(contract, "a contract"));
        return Slot.of(contract.getName());
    }

    Slot slot(Class<?> contract, String key) {
        return new Slot(
                slot(contract).contract(),
                Optional.of(Key.named(RequiredArgument.of(key, "a key"))));
    }

    /**
     * A slot that is written as text.
     *
     * @throws IllegalArgumentException if it is none
     */
    static Slot slot(String text) {
        return SlotParser.slot(RequiredArgument.of(text, "a slot"))
                .orElseThrow(
                        () ->
                                new IllegalArgumentException(
                                        text
                                                + " is not a slot: write a contract, or a contract"
                                                + " with a key, as in WeatherFeed@coast or"
                                                + " ManifestReader<Ship>"));
    }
}
