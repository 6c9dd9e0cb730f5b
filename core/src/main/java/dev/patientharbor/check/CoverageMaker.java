package dev.patientharbor.check;

import dev.patientharbor.check.Coverage.NeverReal;
import dev.patientharbor.check.Coverage.Use;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;

/** Works out how real each environment is, from the rosters. */
final class CoverageMaker {

    private final Map<String, Slot> slots = new TreeMap<>();
    private final Map<String, List<Set<AnswerKind>>> kinds = new TreeMap<>();
    private final Map<String, NeverReal> needs = new TreeMap<>();
    private final Map<String, Set<AnswerKind>> met = new TreeMap<>();
    private final Set<String> used = new HashSet<>();

    /** The contracts of which a factory makes something without saying its class. */
    private final Set<String> madeByFactories = new HashSet<>();

    private final List<String> profiles;

    private CoverageMaker(List<String> profiles) {
        this.profiles = profiles;
    }

    static Coverage of(Verdict verdict, SetDeclaration set, CodeIndex code) {
        List<String> checked =
                verdict.profiles().stream()
                        .filter(each -> !each.isPartial())
                        .map(ProfileVerdict::name)
                        .toList();
        Set<String> ordered = new LinkedHashSet<>();
        set.order().stream().map(WrittenName::text).filter(checked::contains).forEach(ordered::add);
        ordered.addAll(checked);
        CoverageMaker maker = new CoverageMaker(List.copyOf(ordered));
        for (int i = 0; i < maker.profiles.size(); i++) {
            maker.add(verdict.roster(maker.profiles.get(i)), i);
        }
        return maker.coverage(code, verdict::bypassedBy);
    }

    private void add(Roster roster, int profile) {
        for (RosterRow row : roster.rows()) {
            add(row, row.slot(), row.answer(), profile);
        }
    }

    private void add(RosterRow row, Slot slot, Answer answer, int profile) {
        if (answer.kind() == AnswerKind.COLLECTION) {
            for (Answer.Element element : answer.elements()) {
                add(row, new Slot(slot.contract(), element.key()), element.answer(), profile);
            }
            return;
        }
        answer.implementation().ifPresent(used::add);
        boolean isUnknown =
                answer.kind() == AnswerKind.FACTORY
                        && answer.behind().flatMap(Answer.Behind::implementation).isEmpty();
        if (isUnknown) {
            madeByFactories.add(SlotTable.className(slot.contract()));
        }
        answer.behind().flatMap(Answer.Behind::implementation).ifPresent(used::add);
        used.addAll(answer.decorators());
        String text = slot.text();
        slots.put(text, slot);
        kinds.computeIfAbsent(text, key -> none()).get(profile).add(answer.kind());
        String need = row.consumer() + ' ' + row.place().code() + ' ' + row.need() + ' ' + text;
        needs.put(need, new NeverReal(row.consumer(), row.need(), slot));
        met.computeIfAbsent(need, key -> EnumSet.noneOf(AnswerKind.class)).add(answer.kind());
    }

    private List<Set<AnswerKind>> none() {
        List<Set<AnswerKind>> none = new ArrayList<>();
        profiles.forEach(profile -> none.add(EnumSet.noneOf(AnswerKind.class)));
        return none;
    }

    private Coverage coverage(CodeIndex code, Function<Slot, List<String>> bypassedBy) {
        List<Use> uses = new ArrayList<>();
        Set<String> unused = new TreeSet<>();
        Set<String> contracts = new HashSet<>();
        slots.forEach(
                (text, slot) -> {
                    List<Set<AnswerKind>> received = kinds.get(text);
                    boolean swapped =
                            received.stream()
                                    .anyMatch(
                                            kinds -> !kinds.isEmpty() && !kinds.equals(REAL_ALONE));
                    if (swapped || isContract(code, slot)) {
                        uses.add(
                                new Use(
                                        slot,
                                        received,
                                        firstReal(received),
                                        bypassedBy.apply(slot)));
                    }
                    contracts.add(SlotTable.className(slot.contract()));
                });
        addUnused(code, contracts, unused);
        List<NeverReal> neverReal = new ArrayList<>();
        met.forEach(
                (need, all) -> {
                    boolean real = all.stream().anyMatch(AnswerKind::isReal);
                    if (!real && all.stream().anyMatch(AnswerKind::isStandIn)) {
                        neverReal.add(needs.get(need));
                    }
                });
        return new Coverage(profiles, uses, neverReal, List.copyOf(unused));
    }

    private static final Set<AnswerKind> REAL_ALONE = EnumSet.of(AnswerKind.REAL);

    /**
     * Returns whether somebody could swap what fills the slot; a class that supplies itself is no
     * contract.
     */
    private static boolean isContract(CodeIndex code, Slot slot) {
        return code.find(SlotTable.className(slot.contract()))
                .filter(facts -> facts.isInterface() || facts.isAbstract())
                .isPresent();
    }

    private void addUnused(CodeIndex code, Set<String> contracts, Set<String> unused) {
        Set<String> inUse = withSuperclasses(code);
        for (String contract : contracts) {
            // Which class a factory uses, nobody knows.
            if (code.inCode(contract) && !madeByFactories.contains(contract)) {
                for (ClassFacts facts : code.subtypesOf(contract)) {
                    boolean concrete =
                            !facts.isInterface() && !facts.isAbstract() && !facts.isPrivate();
                    if (concrete && !facts.isInMethod() && !inUse.contains(facts.name())) {
                        unused.add(facts.name());
                    }
                }
            }
        }
    }

    /** The classes that some profile uses, and those that they extend. */
    private Set<String> withSuperclasses(CodeIndex code) {
        Set<String> all = new HashSet<>();
        for (String name : used) {
            Optional<String> at = Optional.of(name);
            while (at.isPresent() && all.add(at.get())) {
                at = at.flatMap(code::find).flatMap(ClassFacts::superName);
            }
        }
        return all;
    }

    private Optional<String> firstReal(List<Set<AnswerKind>> received) {
        for (int i = 0; i < received.size(); i++) {
            if (received.get(i).stream().anyMatch(AnswerKind::isReal)) {
                return Optional.of(profiles.get(i));
            }
        }
        return Optional.empty();
    }
}
