package dev.patientharbor.resolve;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.model.FillIn;
import dev.patientharbor.model.Key;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.model.TypeRef.ClassType;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.types.Fitting;
import dev.patientharbor.types.Generics;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Finds classes that may fill a slot which nothing binds, as far as the file allows it. */
final class FilledIn {

    private final CodeIndex code;
    private final Generics generics;
    private final Marks marks;
    private final Fitting fitting;
    private final Qualifiers qualifiers;
    private final Set<FillIn> allowed;
    private final Set<String> decorators;
    private final Map<String, List<Candidate>> byContract = new HashMap<>();

    /**
     * A class that may fill slots.
     *
     * @param facts the class
     * @param key the key under which it does; empty for the plain slot
     * @param by what allows it
     * @param isMaker whether it hands out an object of the contract, rather than being one
     */
    record Candidate(ClassFacts facts, Optional<Key> key, FillIn by, boolean isMaker) {}

    /**
     * @param decorators the classes that the file lists as decorators: they fill no slot
     */
    FilledIn(
            CodeIndex code,
            Generics generics,
            Marks marks,
            Set<FillIn> allowed,
            Set<String> decorators) {
        this.code = code;
        this.allowed = allowed;
        this.decorators = decorators;
        this.generics = generics;
        this.marks = marks;
        fitting = new Fitting(generics);
        qualifiers = new Qualifiers(code, marks);
    }

    boolean isAllowed() {
        return !allowed.isEmpty();
    }

    /** The interfaces that carry a mark of those that fill in: no object of them can be made. */
    List<ClassFacts> pointless() {
        return allowed.contains(FillIn.MARKED)
                ? code.classes().stream()
                        .filter(one -> one.isInterface() && !one.annotations().isEmpty())
                        .filter(one -> qualifiers.isMarked(one.annotations()))
                        .toList()
                : List.of();
    }

    /** The classes that may fill a slot, by name; each once. */
    List<Candidate> of(Slot slot) {
        return fitting(slot, all(SlotTable.className(slot.contract())), slot.key());
    }

    /** The classes that join a collection of a contract, by name: those that say so themselves. */
    List<Candidate> members(Slot anyOfContract) {
        List<Candidate> members = new ArrayList<>();
        for (Candidate one : all(SlotTable.className(anyOfContract.contract()))) {
            if (one.by() != FillIn.SOLE && fits(one, anyOfContract)) {
                members.add(one);
            }
        }
        return members;
    }

    private List<Candidate> fitting(Slot slot, List<Candidate> all, Optional<Key> key) {
        List<Candidate> found = new ArrayList<>();
        for (Candidate one : all) {
            if (one.key().equals(key) && fits(one, slot)) {
                found.add(one);
            }
        }
        return found;
    }

    private boolean fits(Candidate one, Slot slot) {
        return one.isMaker() || fitting.fit(one.facts(), slot.contract()).fits();
    }

    private List<Candidate> all(String contract) {
        if (!isAllowed()) {
            return List.of();
        }
        List<Candidate> known = byContract.get(contract);
        if (known == null) {
            known = find(contract);
            byContract.put(contract, known);
        }
        return known;
    }

    private List<Candidate> find(String contract) {
        List<ClassFacts> possible =
                code.subtypesOf(contract).stream()
                        .filter(one -> isPossible(one, contract))
                        .toList();
        Map<String, Candidate> found = new java.util.TreeMap<>();
        if (allowed.contains(FillIn.SERVICES)) {
            List<String> listed = code.services(contract);
            possible.stream()
                    .filter(one -> listed.contains(one.name()))
                    .forEach(one -> add(found, one, Optional.empty(), FillIn.SERVICES));
        }
        if (allowed.contains(FillIn.MARKED)) {
            possible.stream()
                    .filter(one -> qualifiers.isMarked(one.annotations()))
                    .forEach(
                            one ->
                                    add(
                                            found,
                                            one,
                                            qualifiers.key(one.annotations()),
                                            FillIn.MARKED));
        }
        if (allowed.contains(FillIn.MARKED)) {
            addMakers(contract, found);
        }
        if (allowed.contains(FillIn.SOLE) && possible.size() == 1) {
            ClassFacts only = possible.get(0);
            if (!found.containsKey(only.name())) {
                add(found, only, Optional.empty(), FillIn.SOLE);
            }
        }
        return List.copyOf(found.values());
    }

    /** Marked classes that hand out an object of the contract when they are asked. */
    private void addMakers(String contract, Map<String, Candidate> found) {
        for (String deferred : Carrier.DEFERRED_TYPES) {
            for (ClassFacts facts : code.subtypesOf(deferred)) {
                boolean makesIt =
                        generics.seenAs(facts.asType(), deferred)
                                .type()
                                .filter(
                                        type ->
                                                type.arguments().size() == 1
                                                        && type.arguments()
                                                                .get(0)
                                                                .text()
                                                                .equals(contract))
                                .isPresent();
                if (makesIt && !facts.isAbstract() && qualifiers.isMarked(facts.annotations())) {
                    Optional<Key> key = qualifiers.key(facts.annotations());
                    found.putIfAbsent(
                            facts.name() + key.map(Key::written).orElse(""),
                            new Candidate(facts, key, FillIn.MARKED, true));
                }
            }
        }
    }

    private static void add(
            Map<String, Candidate> found, ClassFacts facts, Optional<Key> key, FillIn by) {
        found.putIfAbsent(
                facts.name() + key.map(Key::written).orElse(""),
                new Candidate(facts, key, by, false));
    }

    /** No abstract class, none that cannot be made, and nothing that wraps the contract. */
    private boolean isPossible(ClassFacts facts, String contract) {
        return !facts.isInterface()
                && !facts.isAbstract()
                && !facts.isEnum()
                && !facts.isInMethod()
                && !decorators.contains(facts.name())
                && facts.constructors().stream().anyMatch(one -> !one.isPrivate())
                && facts.constructors().stream().noneMatch(one -> asksFor(one, contract))
                && facts.methods().stream()
                        .filter(one -> marks.isInject(one.annotations()))
                        .noneMatch(one -> asksFor(one, contract))
                && facts.fields().stream()
                        .filter(one -> marks.isInject(one.annotations()))
                        .noneMatch(one -> isOf(one.type(), contract));
    }

    private static boolean asksFor(ExecutableFacts executable, String contract) {
        return executable.parameterTypes().stream().anyMatch(type -> isOf(type, contract));
    }

    private static boolean isOf(TypeRef type, String contract) {
        return type instanceof ClassType one && one.name().equals(contract);
    }
}
