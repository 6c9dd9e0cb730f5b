package dev.patientharbor.inherited;

import dev.patientharbor.code.AnnotationFacts;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ClassPattern;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.code.FieldFacts;
import dev.patientharbor.model.EntryText;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.BlueprintMaker;
import dev.patientharbor.needs.InheritedTrait;
import dev.patientharbor.needs.KnownMarks;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.types.ValueTypes;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Finds the entry consumers that names and patterns stand for. */
public final class EntryFinder {

    private final CodeIndex code;
    private final ClassNames names;
    private final KnownMarks marks;
    private final BlueprintMaker blueprints;
    private final SlotTable slots;
    private final ValueTypes values;
    private final BindingsOfAllSides bound;
    private Set<String> asked;

    /**
     * Knows which classes are exceptions: they are made where they are thrown, and receive nothing.
     */
    private final InheritedTrait thrown;

    public EntryFinder(
            CodeIndex code,
            ClassNames names,
            KnownMarks marks,
            BlueprintMaker blueprints,
            SlotTable slots,
            BindingsOfAllSides bound) {
        this.marks = marks;
        this.code = code;
        this.names = names;
        this.blueprints = blueprints;
        this.slots = slots;
        values = new ValueTypes(code);
        thrown = new InheritedTrait(code, facts -> facts.name().equals("java.lang.Throwable"));
        this.bound = bound;
    }

    /**
     * Finds what each entry names, without what others exclude; an exclusion has what it excludes.
     */
    public List<ResolvedEntry> find(List<WrittenName> entries) {
        List<ResolvedEntry> found = new ArrayList<>();
        Set<String> byPattern = new HashSet<>();
        for (WrittenName entry : entries) {
            EntryText text = EntryText.of(entry.text());
            ResolvedEntry one =
                    text.kind() == EntryText.Kind.EXCLUDED
                            ? new ResolvedEntry(entry, List.of(), false)
                            : find(entry, text);
            found.add(one);
            if (text.isPattern()) {
                one.classes().forEach(facts -> byPattern.add(facts.name()));
            }
        }
        Set<String> excluded = new HashSet<>();
        for (int i = 0; i < found.size(); i++) {
            EntryText text = found.get(i).text();
            if (found.get(i).isExclusion()) {
                List<ClassFacts> out =
                        named(found.get(i).written(), text).stream()
                                .filter(facts -> byPattern.contains(facts.name()))
                                .toList();
                out.forEach(facts -> excluded.add(facts.name()));
                found.set(i, new ResolvedEntry(found.get(i).written(), out, false));
            }
        }
        return found.stream().map(entry -> withoutClasses(excluded, entry)).toList();
    }

    private static ResolvedEntry withoutClasses(Set<String> excluded, ResolvedEntry entry) {
        if (!entry.text().isPattern() || entry.isExclusion()) {
            return entry;
        }
        List<ClassFacts> left =
                entry.classes().stream().filter(facts -> !excluded.contains(facts.name())).toList();
        return new ResolvedEntry(entry.written(), left, entry.ambiguous());
    }

    private List<ClassFacts> named(WrittenName entry, EntryText text) {
        return text.isPattern()
                ? code.inPackage(ClassPattern.of(text.name()))
                : names.lookup(new WrittenName(text.name(), entry.at())).found();
    }

    private ResolvedEntry find(WrittenName entry, EntryText text) {
        if (!text.isPattern()) {
            NameLookup lookup = names.lookup(entry);
            return new ResolvedEntry(
                    entry, lookup.facts().map(List::of).orElse(List.of()), lookup.isAmbiguous());
        }
        boolean unasked = text.kind() == EntryText.Kind.UNASKED;
        List<ClassFacts> classes = new ArrayList<>();
        for (ClassFacts facts : named(entry, text)) {
            if (canBeConsumer(facts)
                    && (unasked ? isMarked(facts) && isUnasked(facts) : asks(facts))) {
                classes.add(facts);
            }
        }
        return new ResolvedEntry(entry, classes, false);
    }

    /**
     * Returns whether a class can be a consumer: a concrete class that is not private, stands in no
     * method and in no other class's objects, is no test, and is not itself supplied or a
     * decorator.
     */
    private boolean canBeConsumer(ClassFacts facts) {
        return !facts.isInterface()
                && !facts.isAbstract()
                && !facts.isPrivate()
                && !facts.isInMethod()
                && !facts.isEnum()
                && !facts.isInner()
                && !isTest(facts)
                && !bound.isSupplied(facts.name())
                && !thrown.has(facts);
    }

    /** Whether JUnit's marks stand on it. */
    private static boolean isTest(ClassFacts facts) {
        if (facts.annotations().isEmpty() && facts.methods().isEmpty()) {
            return false;
        }
        return isOfTest(facts.annotations())
                || facts.methods().stream().anyMatch(method -> isOfTest(method.annotations()));
    }

    private static boolean isOfTest(List<AnnotationFacts> marks) {
        return marks.stream().anyMatch(mark -> mark.type().startsWith("org.junit."));
    }

    /** Whether it asks for something other than values. */
    private boolean asks(ClassFacts facts) {
        if (!facts.bodies().lookups().isEmpty()) {
            return true;
        }
        boolean isData = facts.isRecord() && values.isData(facts);
        for (ExecutableFacts constructor : facts.constructors()) {
            if (asks(constructor, isData)) {
                return true;
            }
        }
        return hasMarkedMember(facts);
    }

    private boolean hasMarkedMember(ClassFacts facts) {
        for (FieldFacts field : facts.fields()) {
            if (marks.isInject(field.annotations())) {
                return true;
            }
        }
        for (ExecutableFacts method : facts.methods()) {
            if (marks.isInject(method.annotations())) {
                return true;
            }
        }
        return false;
    }

    /** Whether it has a member with the mark of what is filled. */
    private boolean isMarked(ClassFacts facts) {
        return hasMarkedMember(facts)
                || facts.constructors().stream()
                        .anyMatch(executable -> marks.isInject(executable.annotations()));
    }

    /** Whether no other marked class asks for it, or for what it is. */
    private boolean isUnasked(ClassFacts facts) {
        Set<String> types = new LinkedHashSet<>(List.of(facts.name()));
        List<ClassFacts> open = new ArrayList<>(List.of(facts));
        for (int i = 0; i < open.size(); i++) {
            ClassFacts one = open.get(i);
            Stream.concat(one.interfaces().stream(), one.superName().stream())
                    .filter(code::inCode)
                    .filter(types::add)
                    .flatMap(name -> code.find(name).stream())
                    .forEach(open::add);
        }
        return types.stream().noneMatch(asked()::contains);
    }

    /** The classes of the contracts for which marked classes ask. */
    private Set<String> asked() {
        if (asked == null) {
            asked = new HashSet<>();
            for (ClassFacts facts : code.sorted()) {
                if (isMarked(facts) && !facts.isInterface()) {
                    for (Need need : blueprints.of(facts, facts.asType().raw()).needs()) {
                        asked.add(
                                SlotTable.className(
                                        Carrier.innermost(slots.slot(need.slot()).contract())));
                    }
                }
            }
        }
        return asked;
    }

    /**
     * Returns whether a class has a need; values alone are none, unless a profile binds them: a
     * record of a text and a number is no consumer.
     */
    private boolean asks(ExecutableFacts constructor, boolean isOfData) {
        for (TypeRef type : constructor.parameterTypes()) {
            if (!isOfData && !values.isValue(type) || isBound(type)) {
                return true;
            }
        }
        return false;
    }

    /** Whether some profile says what a type of the code is, though it could be written down. */
    private boolean isBound(TypeRef type) {
        String name = SlotTable.className(Carrier.innermost(type));
        return code.inCode(name) && bound.isBound(name);
    }
}
