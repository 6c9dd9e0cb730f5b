package dev.patientharbor.ruling;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.code.MethodFacts;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.SupplyForm;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.ImplementationKind;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.texts.ShortName;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** The phrases that several findings share. */
public final class FindingWording {

    private static final int MOST = 6;

    private final ResolvedSet set;

    FindingWording(ResolvedSet set) {
        this.set = set;
    }

    public String shortName(String binaryName) {
        return set.names().shortName(binaryName);
    }

    /** What a binding supplies, in a word: a class by its short name. */
    public String supply(ResolvedBinding binding) {
        Supply supply = binding.declared().supply();
        Optional<String> name =
                binding.implementation()
                        .flatMap(NameLookup::facts)
                        .map(facts -> shortName(facts.name()));
        return supply.factory()
                .map(factory -> name.orElse(factory.holder().text()) + '#' + factory.method())
                .orElseGet(
                        () ->
                                supply.className().isPresent()
                                        ? name.orElseGet(supply::words)
                                        : supply.words());
    }

    /** {@code forecast(int)}. */
    public String method(MethodFacts method) {
        List<String> types =
                method.parameterTypes().stream().map(type -> type.text(this::shortName)).toList();
        return method.name() + '(' + String.join(", ", types) + ')';
    }

    /** {@code constructor parameter 2, rota}. */
    public String place(Need need) {
        return need.place().words() + ", " + need.name();
    }

    public List<String> shortNames(List<String> binaryNames) {
        return binaryNames.stream().map(this::shortName).toList();
    }

    /** A slot as the file may write it. */
    public String toWrite(Slot slot) {
        return quoted(slot.text(set.names()::toWrite));
    }

    private static String quoted(String text) {
        // Inside the braces of a file these would end the text.
        boolean plain = text.chars().noneMatch(sign -> ",\"{}[]#: ".indexOf(sign) >= 0);
        return plain ? text : "'" + text + "'";
    }

    /**
     * Offers to have a class made by one of its constructors: as a line in place of its binding, or
     * as a word to add where the binding says more than a class.
     *
     * @param binding the binding of the class, if it has one
     * @param slot what is filled by it, as it is written, with a colon behind
     * @param place where the line is to stand if there is no binding yet
     */
    public Finding withConstructor(
            Finding finding,
            Optional<ResolvedBinding> binding,
            String slot,
            String className,
            ExecutableFacts constructor,
            String place) {
        List<String> types =
                constructor.parameterTypes().stream()
                        .map(type -> quoted(type.text(set.names()::toWrite)))
                        .toList();
        String word = "constructor: [" + String.join(", ", types) + "]";
        Optional<Binding> declared = binding.map(ResolvedBinding::declared);
        if (declared.filter(each -> !isOfClassAlone(each)).isPresent()) {
            return finding.with("add", word + "     to its binding, " + declared.get().at().text());
        }
        String kind =
                declared.flatMap(each -> each.supply().kind())
                        .filter(ImplementationKind::isStandIn)
                        .map(ImplementationKind::word)
                        .orElse("class");
        return finding.with(
                "write",
                slot
                        + "{ "
                        + kind
                        + ": "
                        + set.names().toWrite(className)
                        + ", "
                        + word
                        + " }     "
                        + place);
    }

    /** Whether a binding says nothing but its class, and what it is. */
    private static boolean isOfClassAlone(Binding binding) {
        return binding.supply().form() == SupplyForm.CLASS
                && binding.with().isEmpty()
                && binding.lifetime().isEmpty()
                && !binding.keepsValues()
                && binding.grounds().equals(Grounds.NONE);
    }

    /**
     * Whether a binding is there for what a seat holds, but its contract is not known by the name
     * that it is given, or the name fits several: that is reported instead.
     */
    public boolean isBoundByUnknownName(Wiring wiring, int seat) {
        String contract = SlotTable.className(set.content(seat));
        return set.profiles().stream()
                .filter(profile -> wiring.profile().isOrExtends(profile.profileNumber()))
                .flatMap(profile -> profile.ownBindings().stream())
                .filter(binding -> binding.slot().isEmpty())
                .flatMap(binding -> binding.names().stream())
                .anyMatch(
                        name ->
                                name.found().isEmpty() && isNameOf(name.written().text(), contract)
                                        || name.found().stream()
                                                .anyMatch(facts -> facts.name().equals(contract)));
    }

    private static boolean isNameOf(String text, String className) {
        return text.equals(className) || text.equals(ShortName.of(className));
    }

    /** The classes that are of a contract and cannot stand there, each with the reason. */
    public List<String> unfit(TypeRef contract) {
        String name = SlotTable.className(contract);
        List<String> unfit = new ArrayList<>();
        for (ClassFacts facts : set.code().subtypesOf(name)) {
            if (facts.isInterface() || facts.isInMethod()) {
                continue;
            }
            unfit.add(shortName(facts.name()) + " (" + whyUnfit(facts, name) + ")");
        }
        return unfit;
    }

    private String whyUnfit(ClassFacts facts, String contract) {
        if (facts.isEnum()) {
            return "an enum";
        }
        if (facts.isAbstract()) {
            return "abstract";
        }
        if (facts.constructors().stream().allMatch(executable -> executable.isPrivate())) {
            return "has only private constructors";
        }
        return asksFor(facts, contract, false) ? "asks for one itself" : "of other type arguments";
    }

    /** The names, at most six, and how many more there are. */
    public static String list(List<String> names) {
        String some = String.join(", ", names.subList(0, Math.min(MOST, names.size())));
        return names.size() <= MOST ? some : some + " and " + (names.size() - MOST) + " more";
    }

    /** {@code rehearsal, then base}: a profile and all that it extends, nearest first. */
    public String lineage(ResolvedProfile profile) {
        List<String> names = new ArrayList<>(List.of(profile.declared().name()));
        Deque<ResolvedProfile> open = new ArrayDeque<>(List.of(profile));
        while (!open.isEmpty()) {
            for (var parent : open.remove().declared().parents()) {
                Optional<ResolvedProfile> known = profileNamed(parent.text());
                if (known.isPresent() && !names.contains(parent.text())) {
                    names.add(parent.text());
                    open.add(known.get());
                }
            }
        }
        return String.join(", then ", names);
    }

    private Optional<ResolvedProfile> profileNamed(String name) {
        return set.profiles().stream()
                .filter(profile -> profile.declared().name().equals(name))
                .findFirst();
    }

    /**
     * {@code ArrivalDesk → PilotRota (SeasonPilotRota) → PortClock}: the way from an entry consumer
     * to a slot.
     */
    public String path(Wiring wiring, int seat) {
        List<String> steps = new ArrayList<>(List.of(set.text(seat)));
        Optional<Wiring.Step> step = wiring.firstStep(seat);
        while (step.isPresent()) {
            int object = step.get().object();
            steps.add(0, named(object, step.get().consumer()));
            step = wiring.firstStep(object);
        }
        int shown = 2 * MOST;
        if (steps.size() > shown) {
            int left = steps.size() - shown;
            steps.subList(MOST, MOST + left).clear();
            steps.add(MOST, "(" + left + " more)");
        }
        return String.join(" → ", steps);
    }

    /** The slot of an object and, where it is another, the class that stands in it. */
    public String named(int slot, Blueprint consumer) {
        String text = set.text(slot);
        String name = set.maker(consumer);
        return text.equals(name) ? text : text + " (" + name + ")";
    }

    /**
     * The classes of the code that could stand behind a contract, binary names: no decorators and
     * nothing abstract or in a method, those last that are made of several of the same or of which
     * it is not known how they are made.
     */
    public List<String> implementations(TypeRef contract) {
        String contractClass = SlotTable.className(contract);
        return set.code().subtypesOf(contractClass).stream()
                .filter(facts -> !facts.isInterface() && !facts.isAbstract() && !facts.isEnum())
                .filter(facts -> !facts.isInMethod() && !facts.isInner() && !facts.isPrivate())
                .filter(
                        facts ->
                                facts.constructors().stream()
                                        .anyMatch(executable -> !executable.isPrivate()))
                .filter(facts -> !asksFor(facts, contractClass, false))
                .filter(facts -> set.fit(facts.asType(), contract).fits())
                .sorted(
                        Comparator.comparing(
                                        (ClassFacts facts) -> asksFor(facts, contractClass, true))
                                .thenComparing(facts -> !set.canBeMade(facts)))
                .map(ClassFacts::name)
                .toList();
    }

    private static boolean asksFor(ClassFacts facts, String contractClass, boolean wrapped) {
        return facts.constructors().stream()
                .flatMap(constructor -> constructor.parameterTypes().stream())
                .map(type -> wrapped ? ResolvedSet.unwrapped(type) : type)
                .anyMatch(type -> SlotTable.className(type).equals(contractClass));
    }

    /** Who would fill a slot that nothing binds, and does not since it asks for it, in words. */
    public List<String> leftOut(int slot) {
        List<String> names = shortNames(set.leftOut(slot));
        if (names.isEmpty()) {
            return List.of();
        }
        return List.of(
                list(names) + (names.size() == 1 ? ", which asks" : ", which ask") + " for it");
    }

    /** The nearest profile that all of these are or extend; if there is none, the first of them. */
    public ResolvedProfile common(List<ResolvedProfile> profiles) {
        ResolvedProfile first = profiles.get(0);
        if (profiles.size() == 1) {
            return first;
        }
        return set.profiles().stream()
                .filter(
                        candidate ->
                                profiles.stream()
                                        .allMatch(
                                                profile ->
                                                        profile.isOrExtends(
                                                                candidate.profileNumber())))
                .reduce((a, b) -> b.isOrExtends(a.profileNumber()) ? b : a)
                .orElse(first);
    }

    /**
     * Where the binding stands by which the one is there who first asks for a seat, or the nearest
     * on the way to it.
     *
     * @param otherwise where nothing on the way is bound
     */
    public static SourcePosition asker(Wiring wiring, int seat, SourcePosition otherwise) {
        Optional<Wiring.Step> step = wiring.firstStep(seat);
        while (step.isPresent()) {
            int object = step.get().object();
            Optional<ResolvedBinding> binding = wiring.outcome(object).binding();
            if (binding.isPresent()) {
                return binding.get().declared().at();
            }
            step = wiring.firstStep(object);
        }
        return otherwise;
    }

    /** Where a class asks. */
    public static SourcePosition placeOf(Blueprint consumer, Need need) {
        return new SourcePosition.InClass(consumer.className(), need.place().words());
    }
}
