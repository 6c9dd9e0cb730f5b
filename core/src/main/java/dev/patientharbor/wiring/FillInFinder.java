package dev.patientharbor.wiring;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.needs.BlueprintMaker;
import dev.patientharbor.needs.ConstructorChoice;
import dev.patientharbor.needs.KnownMarks;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.QualifierReader;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.types.FitCheck;
import dev.patientharbor.types.GenericTypes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Finds classes that may fill a slot which nothing binds, as far as the file allows it. A class
 * that asks for the very slot, by a member that is in use, is left out of it.
 */
public final class FillInFinder {

    private final CodeIndex code;
    private final GenericTypes generics;
    private final KnownMarks marks;
    private final FitCheck fitting;
    private final QualifierReader qualifiers;
    private final BlueprintMaker blueprints;
    private final SlotTable slots;
    private final Set<FillInSource> allowed;
    private final Map<String, List<Offer>> byContract = new HashMap<>();
    private final Map<Slot, Fillers> bySlot = new HashMap<>();
    private final Map<Slot, Map<Slot, FillInSource>> byOwn = new HashMap<>();
    private final Map<TypeRef, List<Candidate>> membersOf = new HashMap<>();
    private Map<String, List<Offer>> made;

    /**
     * A class that says that it fills slots of a contract.
     *
     * @param facts the class
     * @param key the key under which it does; empty for the plain slot
     * @param by what allows it
     * @param makes what it hands out when it is asked; empty for what is itself of the contract
     */
    private record Offer(
            ClassFacts facts, Optional<Key> key, FillInSource by, Optional<TypeRef> makes) {}

    /**
     * A class that may fill a slot.
     *
     * @param facts the class
     * @param type the class with the type arguments that the slot asks for
     * @param fills the slot that it fills; of those that an open contract allows, the very one
     * @param by what allows it
     * @param isMaker whether it hands out an object of the contract, rather than being one
     */
    public record Candidate(
            ClassFacts facts, ClassType type, Slot fills, FillInSource by, boolean isMaker) {
        /** Whether it is one of some decorators: what is around a slot does not fill it as well. */
        boolean isAmong(List<ResolvedDecorator> decorators) {
            return decorators.stream()
                    .flatMap(decorator -> decorator.blueprint().stream())
                    .anyMatch(blueprint -> blueprint.className().equals(facts.name()));
        }

        /** The slot in which it stands by itself. */
        Slot ownSlot() {
            return new Slot(type, Optional.empty());
        }
    }

    /**
     * The classes that may fill a slot, by name.
     *
     * @param fit those that may; two are one too many
     * @param leftOut those that ask for the very slot
     */
    public record Fillers(List<Candidate> fit, List<Candidate> leftOut) {
        private static final Fillers NONE = new Fillers(List.of(), List.of());

        /**
         * Returns the classes that hand out an object; they come before a class that supplies
         * itself.
         */
        Fillers makers() {
            return new Fillers(fit.stream().filter(Candidate::isMaker).toList(), leftOut);
        }
    }

    public FillInFinder(
            CodeIndex code,
            GenericTypes generics,
            KnownMarks marks,
            Set<FillInSource> allowed,
            BlueprintMaker blueprints,
            SlotTable slots) {
        this.code = code;
        this.allowed = allowed;
        this.blueprints = blueprints;
        this.slots = slots;
        this.generics = generics;
        this.marks = marks;
        fitting = new FitCheck(generics);
        qualifiers = new QualifierReader(code, marks);
    }

    boolean isAllowed() {
        return !allowed.isEmpty();
    }

    /** The interfaces that carry a mark of those that fill in: no object of them can be made. */
    public List<ClassFacts> pointless() {
        return allowed.contains(FillInSource.MARKED)
                ? code.classes().stream()
                        .filter(facts -> facts.isInterface() && !facts.annotations().isEmpty())
                        .filter(facts -> qualifiers.isMarked(facts.annotations()))
                        .toList()
                : List.of();
    }

    /** The key that a class carries by a mark of its own. */
    public Optional<Key> keyOf(ClassFacts facts) {
        return qualifiers.key(facts.annotations());
    }

    /** Whether a marked class hands out what a slot wants, whatever else would fill it. */
    boolean isMade(Slot slot) {
        return allowed.contains(FillInSource.MARKED)
                && made().containsKey(SlotTable.className(slot.contract()))
                && !of(slot).makers().fit().isEmpty();
    }

    /** The classes that may fill a slot. */
    public Fillers of(Slot slot) {
        if (!isAllowed() || !(slot.contract() instanceof ClassType)) {
            return Fillers.NONE;
        }
        Fillers known = bySlot.get(slot);
        if (known == null) {
            known = find(slot);
            bySlot.put(slot, known);
        }
        return known;
    }

    /**
     * The classes that join a collection of a contract, by name: those that say so themselves, and
     * ask for no slot that they would fill.
     */
    public List<Candidate> members(TypeRef contract) {
        List<Candidate> known = membersOf.get(contract);
        if (known == null) {
            known = findMembers(contract);
            membersOf.put(contract, known);
        }
        return known;
    }

    /** What allows a class to fill a slot, by the slot in which it stands by itself. */
    FillInSource allows(Slot slot, Slot own) {
        Map<Slot, FillInSource> known = byOwn.get(slot);
        if (known == null) {
            known = new HashMap<>();
            for (Candidate candidate : of(slot).fit()) {
                known.putIfAbsent(candidate.ownSlot(), candidate.by());
            }
            byOwn.put(slot, known);
        }
        return known.get(own);
    }

    private List<Candidate> findMembers(TypeRef contract) {
        List<Candidate> members = new ArrayList<>();
        for (Offer offer : offers(SlotTable.className(contract))) {
            candidate(offer, contract)
                    .filter(it -> !asksFor(it, it.fills()))
                    .ifPresent(members::add);
        }
        return members;
    }

    private Fillers find(Slot slot) {
        String contract = SlotTable.className(slot.contract());
        List<Candidate> all = new ArrayList<>();
        for (Offer offer : offers(contract)) {
            if (offer.key().equals(slot.key())) {
                candidate(offer, slot.contract()).ifPresent(all::add);
            }
        }
        Fillers marked = sorted(slot, all);
        if (!marked.fit().isEmpty()
                || !allowed.contains(FillInSource.SOLE)
                || slot.key().isPresent()
                || contract.equals("java.lang.Object")) {
            return marked;
        }
        List<Candidate> any = new ArrayList<>();
        for (ClassFacts facts : code.subtypesOf(contract)) {
            Offer offer = new Offer(facts, Optional.empty(), FillInSource.SOLE, Optional.empty());
            if (canBeMade(facts)) {
                candidate(offer, slot.contract()).ifPresent(any::add);
            }
        }
        return sorted(slot, any);
    }

    private Fillers sorted(Slot slot, List<Candidate> all) {
        List<Candidate> fit = new ArrayList<>();
        List<Candidate> leftOut = new ArrayList<>();
        for (Candidate candidate : all) {
            (asksFor(candidate, slot) ? leftOut : fit).add(candidate);
        }
        return new Fillers(List.copyOf(fit), List.copyOf(leftOut));
    }

    /** A class that offers itself, if it fits a contract, type arguments and all. */
    private Optional<Candidate> candidate(Offer offer, TypeRef contract) {
        if (offer.makes().isPresent()) {
            TypeRef makes = offer.makes().get();
            return makes.equals(contract) || generics.allows(contract, makes)
                    ? Optional.of(candidate(offer, offer.facts().asType().raw(), makes, true))
                    : Optional.empty();
        }
        return fitting.fit(offer.facts(), contract)
                .type()
                .map(type -> candidate(offer, type, seenAs(type, contract), false));
    }

    private static Candidate candidate(Offer offer, ClassType type, TypeRef fills, boolean maker) {
        return new Candidate(offer.facts(), type, new Slot(fills, offer.key()), offer.by(), maker);
    }

    /** What an open contract is for a class; another one is what it is. */
    private TypeRef seenAs(ClassType type, TypeRef contract) {
        return contract.isExact() || type.arguments().isEmpty() == isGeneric(type)
                ? contract
                : generics.seenAs(type, SlotTable.className(contract))
                        .type()
                        .map(TypeRef.class::cast)
                        .filter(TypeRef::isExact)
                        .orElse(contract);
    }

    private boolean isGeneric(ClassType type) {
        return code.find(type.name())
                .filter(facts -> !facts.typeParameters().isEmpty())
                .isPresent();
    }

    /** Whether the class asks for the slot that it would fill, now or later. */
    private boolean asksFor(Candidate candidate, Slot slot) {
        for (Need need : blueprints.of(candidate.facts(), candidate.type()).needs()) {
            Slot asked = slots.slot(need.slot());
            TypeRef inside = Carrier.single(asked.contract());
            if (asked.key().equals(slot.key())
                    && (inside.equals(slot.contract())
                            || generics.allows(inside, slot.contract()))) {
                return true;
            }
        }
        return false;
    }

    /** The classes that say so themselves that they fill slots of a contract, by name. */
    private List<Offer> offers(String contract) {
        if (!isAllowed()) {
            return List.of();
        }
        List<Offer> known = byContract.get(contract);
        if (known == null) {
            known = findOffers(contract);
            byContract.put(contract, known);
        }
        return known;
    }

    private List<Offer> findOffers(String contract) {
        Map<String, Offer> found = new TreeMap<>();
        Set<String> listed =
                allowed.contains(FillInSource.SERVICES)
                        ? new HashSet<>(code.services(contract))
                        : Set.of();
        boolean marked = allowed.contains(FillInSource.MARKED);
        if (!listed.isEmpty() || marked) {
            for (ClassFacts facts : code.subtypesOf(contract)) {
                boolean byMark = marked && qualifiers.isMarked(facts.annotations());
                if (!listed.contains(facts.name()) && !byMark || !canBeMade(facts)) {
                    continue;
                }
                if (listed.contains(facts.name())) {
                    add(
                            found,
                            new Offer(
                                    facts,
                                    Optional.empty(),
                                    FillInSource.SERVICES,
                                    Optional.empty()));
                }
                if (byMark) {
                    Optional<Key> key = qualifiers.key(facts.annotations());
                    add(found, new Offer(facts, key, FillInSource.MARKED, Optional.empty()));
                }
            }
        }
        if (marked) {
            made().getOrDefault(contract, List.of()).forEach(offer -> add(found, offer));
        }
        return List.copyOf(found.values());
    }

    /** Marked classes that hand out an object when they are asked, by the class of its contract. */
    private Map<String, List<Offer>> made() {
        if (made == null) {
            made = new HashMap<>();
            for (String deferred : Carrier.DEFERRED_TYPES) {
                for (ClassFacts facts : code.subtypesOf(deferred)) {
                    if (qualifiers.isMarked(facts.annotations()) && canBeMade(facts)) {
                        generics.seenAs(facts.asType(), deferred)
                                .type()
                                .filter(type -> type.arguments().size() == 1)
                                .map(type -> type.arguments().get(0))
                                .filter(TypeRef::isExact)
                                .ifPresent(type -> addMaker(facts, type));
                    }
                }
            }
        }
        return made;
    }

    private void addMaker(ClassFacts facts, TypeRef makes) {
        made.computeIfAbsent(SlotTable.className(makes), key -> new ArrayList<>(1))
                .add(
                        new Offer(
                                facts,
                                qualifiers.key(facts.annotations()),
                                FillInSource.MARKED,
                                Optional.of(makes)));
    }

    private static void add(Map<String, Offer> found, Offer offer) {
        found.putIfAbsent(offer.facts().name() + offer.key().map(Key::written).orElse(""), offer);
    }

    /**
     * Returns whether objects of a class can be made: it is not abstract, and others may make it.
     */
    private boolean canBeMade(ClassFacts facts) {
        return !facts.isInMethod()
                && ConstructorChoice.of(facts, Optional.empty(), marks).isThereAny();
    }
}
