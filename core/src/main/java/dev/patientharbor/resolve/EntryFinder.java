package dev.patientharbor.resolve;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ClassPattern;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.model.Written;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.Lookup;
import dev.patientharbor.types.ValueTypes;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Finds the entry consumers that names and patterns stand for. */
final class EntryFinder {

    private final CodeIndex code;
    private final ClassNames names;
    private final Marks marks;
    private final ValueTypes values;
    private final Set<String> supplied = new HashSet<>();

    EntryFinder(CodeIndex code, ClassNames names, Marks marks, List<ResolvedProfile> profiles) {
        this.marks = marks;
        this.code = code;
        this.names = names;
        values = new ValueTypes(code);
        for (ResolvedProfile profile : profiles) {
            for (ResolvedBinding binding : profile.own()) {
                binding.names().forEach(this::isSupplied);
            }
            for (ResolvedDecoration decoration : profile.ownDecorations()) {
                decoration.all().forEach(decorator -> isSupplied(decorator.name()));
            }
        }
    }

    private void isSupplied(Lookup name) {
        name.facts().ifPresent(facts -> supplied.add(facts.name()));
    }

    ResolvedEntry find(Written entry) {
        if (!ClassPattern.isPattern(entry.text())) {
            Lookup lookup = names.lookup(entry);
            return new ResolvedEntry(
                    entry, lookup.facts().map(List::of).orElse(List.of()), lookup.isAmbiguous());
        }
        List<ClassFacts> classes =
                code.inPackage(ClassPattern.of(entry.text())).stream()
                        .filter(this::isConsumer)
                        .toList();
        return new ResolvedEntry(entry, classes, false);
    }

    /**
     * A concrete class that is not private and stands in no method, asks for something other than
     * values, and is not itself supplied or a decorator.
     */
    private boolean isConsumer(ClassFacts facts) {
        return !facts.isInterface()
                && !facts.isAbstract()
                && !facts.isPrivate()
                && !facts.isInMethod()
                && !facts.isEnum()
                && !supplied.contains(facts.name())
                && (!facts.bodies().lookups().isEmpty()
                        || facts.constructors().stream().anyMatch(this::asks)
                        || facts.fields().stream()
                                .anyMatch(field -> marks.isInject(field.annotations()))
                        || facts.methods().stream()
                                .anyMatch(method -> marks.isInject(method.annotations())))
                && !isThrown(facts);
    }

    /** An exception is made where it is thrown, and receives nothing. */
    private boolean isThrown(ClassFacts facts) {
        Set<String> seen = new HashSet<>();
        Optional<ClassFacts> at = Optional.of(facts);
        // What is compiled wrong may extend itself.
        while (at.isPresent() && seen.add(at.get().name())) {
            at = at.get().superName().flatMap(code::find);
        }
        return seen.contains("java.lang.Throwable");
    }

    /** Values alone are no need: a line of data with a text and a number is no consumer. */
    private boolean asks(ExecutableFacts constructor) {
        return constructor.parameterTypes().stream().anyMatch(type -> !values.isValue(type));
    }
}
