package dev.patientharbor.rosters;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecoratorStatement;
import dev.patientharbor.explaining.ConsideredWord;
import dev.patientharbor.explaining.NeedExplanation;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.SupplyEffect;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.wiring.Wiring;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Counts, by its place, how many needs each word of a profile decides. One thread at a time. */
final class WordUses {

    private static final EnumSet<SupplyEffect> TAKES_OUT =
            EnumSet.of(SupplyEffect.LEAVES_EMPTY, SupplyEffect.REMOVES);

    private final int profile;
    private final Map<SourcePosition, Map<String, Integer>> decides = new HashMap<>();
    private final Map<SourcePosition, ConsideredWord> without = new HashMap<>();

    /**
     * @param profile the number of the profile
     */
    WordUses(int profile) {
        this.profile = profile;
    }

    /** How many needs a word decides, by profile; none in those that are left out. */
    Map<String, Integer> of(SourcePosition at) {
        return decides.getOrDefault(at, Map.of());
    }

    /** What would decide the first of its needs if a word were not there. */
    Optional<ConsideredWord> without(SourcePosition at) {
        return Optional.ofNullable(without.get(at));
    }

    /** Counts what the words of the profile decide in those of a side that are it or extend it. */
    void count(ResolvedSet side) {
        Map<SourcePosition, SourcePosition> changed = changed(side);
        side.checked().stream()
                .filter(wiring -> wiring.profile().isOrExtends(profile))
                .forEach(wiring -> count(side, wiring, changed));
    }

    private void count(
            ResolvedSet side, Wiring wiring, Map<SourcePosition, SourcePosition> changed) {
        String name = wiring.profile().declared().name();
        List<ResolvedBinding> leftOut = leftOut(side, wiring);
        List<ResolvedDecoratorStatement> bared = bared(side, wiring);
        for (NeedExplanation need :
                NeedExplainer.explanations(
                        side, wiring, RosterMaker.roster(side, wiring), row -> true)) {
            Optional<ConsideredWord> winner = need.winner();
            Set<SourcePosition> deciding = new LinkedHashSet<>();
            need.considered().stream()
                    .takeWhile(word -> !word.wins())
                    .filter(ConsideredWord::takesAway)
                    .forEach(word -> deciding.add(word.at().orElseThrow()));
            winner.flatMap(ConsideredWord::at).ifPresent(deciding::add);
            addPlaces(need.row().answer(), deciding);
            addInherited(changed, deciding);
            leftOut.stream()
                    .filter(binding -> isMember(side, binding, need.row().answer()))
                    .forEach(binding -> deciding.add(binding.declared().at()));
            Set<Slot> slots = new LinkedHashSet<>();
            addSlots(need.row().answer(), slots);
            bared.stream()
                    .filter(
                            statement ->
                                    slots.stream().anyMatch(slot -> isOf(side, statement, slot)))
                    .forEach(statement -> deciding.add(statement.declared().at()));
            deciding.forEach(at -> count(at, name));
            winner.flatMap(ConsideredWord::at)
                    .filter(at -> !without.containsKey(at))
                    .ifPresent(at -> need.firstLoser().ifPresent(next -> without.put(at, next)));
        }
    }

    /** Where an answer was said: what it is at last, what is around it, and what is in it. */
    private static void addPlaces(Answer answer, Set<SourcePosition> places) {
        answer.origin().ifPresent(places::add);
        answer.around().forEach(decorator -> places.add(decorator.at()));
        answer.elements().forEach(element -> addPlaces(element.answer(), places));
    }

    /** The bindings of which others change a part, or keep the values. */
    private static Map<SourcePosition, SourcePosition> changed(ResolvedSet side) {
        Map<SourcePosition, SourcePosition> changed = new HashMap<>();
        for (ResolvedProfile each : side.profiles()) {
            each.changedBindings()
                    .forEach(
                            (own, inherited) ->
                                    changed.put(own.declared().at(), inherited.declared().at()));
        }
        return changed;
    }

    private static void addInherited(
            Map<SourcePosition, SourcePosition> changed, Set<SourcePosition> places) {
        for (SourcePosition each : List.copyOf(places)) {
            SourcePosition below = changed.get(each);
            while (below != null && places.add(below)) {
                below = changed.get(below);
            }
        }
    }

    /** Words of this profile that hold in another one and take a member out of collections. */
    private List<ResolvedBinding> leftOut(ResolvedSet side, Wiring wiring) {
        return side.profile(profile).ownBindings().stream()
                .filter(binding -> TAKES_OUT.contains(binding.declared().supply().effect()))
                .filter(
                        binding ->
                                binding.slot().stream()
                                        .flatMap(at -> wiring.profile().statements(at).stream())
                                        .limit(1)
                                        .anyMatch(first -> first == binding))
                .toList();
    }

    /** Whether what a binding takes away could be a member of what is received. */
    private static boolean isMember(ResolvedSet side, ResolvedBinding binding, Answer answer) {
        TypeRef contract = side.slots().slot(binding.slot().orElseThrow()).contract();
        return answer.elements().stream()
                .flatMap(element -> element.answer().fills().stream())
                .anyMatch(seat -> seat.slot().contract().equals(contract));
    }

    private static void addSlots(Answer answer, Set<Slot> slots) {
        answer.fills().ifPresent(seat -> slots.add(seat.slot()));
        answer.elements().forEach(element -> addSlots(element.answer(), slots));
    }

    private void count(SourcePosition at, String name) {
        decides.computeIfAbsent(at, key -> new LinkedHashMap<>()).merge(name, 1, Integer::sum);
    }

    /** Statements of this profile that only take decorators away, and hold in another one. */
    private List<ResolvedDecoratorStatement> bared(ResolvedSet side, Wiring wiring) {
        Set<Integer> saidAnew = new HashSet<>();
        wiring.profile().line().stream()
                .takeWhile(number -> number != profile)
                .flatMap(number -> side.profile(number).ownDecoratorStatements().stream())
                .filter(nearer -> nearer.whole().isPresent())
                .forEach(nearer -> nearer.slot().ifPresent(saidAnew::add));
        return side.profile(profile).ownDecoratorStatements().stream()
                .filter(statement -> statement.declared().added().isEmpty())
                .filter(statement -> statement.slot().filter(saidAnew::contains).isEmpty())
                .toList();
    }

    /** Whether a statement is about a slot, whatever its key if it is about every key. */
    private static boolean isOf(ResolvedSet side, ResolvedDecoratorStatement statement, Slot slot) {
        return statement
                .slot()
                .map(side.slots()::slot)
                .filter(each -> each.contract().equals(slot.contract()))
                .filter(
                        each ->
                                each.key().equals(slot.key())
                                        || each.key().filter(Key::isEvery).isPresent())
                .isPresent();
    }
}
