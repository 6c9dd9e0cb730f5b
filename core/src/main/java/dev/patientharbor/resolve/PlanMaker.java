package dev.patientharbor.resolve;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Lifetime;
import dev.patientharbor.model.Slot;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.LifetimeChoice;
import dev.patientharbor.plan.LifetimeChoice.By;
import dev.patientharbor.plan.Plan;
import dev.patientharbor.plan.Row;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Writes the plan of a wiring: one row for each need, sorted, with the instances numbered in that
 * order.
 */
public final class PlanMaker {

    private final ResolvedSet set;
    private final Wiring wiring;
    private final Set<Integer> entries;
    private final Map<String, String> labels = new HashMap<>();

    private PlanMaker(ResolvedSet set, Wiring wiring) {
        this.set = set;
        this.wiring = wiring;
        entries = new HashSet<>(wiring.entries());
    }

    /** The plan of a profile that is checked. */
    public static Plan plan(ResolvedSet set, Wiring wiring) {
        return new PlanMaker(set, wiring).plan();
    }

    /** A row whose instance has no number yet. */
    private record Draft(Row row, Optional<String> instance) {}

    private Plan plan() {
        List<Draft> drafts = new ArrayList<>();
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int slot = wiring.reached(i);
            Optional<Slot> as =
                    entries.contains(slot) ? Optional.empty() : Optional.of(set.slots().slot(slot));
            wiring.eachNeed(slot, (consumer, need) -> drafts.add(draft(consumer, need, as)));
        }
        drafts.sort((one, other) -> Row.ORDER.compare(one.row(), other.row()));
        List<Row> rows = new ArrayList<>(drafts.size());
        for (Draft draft : drafts) {
            rows.add(numbered(draft));
        }
        return new Plan(wiring.profile().declared().name(), rows);
    }

    private Draft draft(Blueprint consumer, Need need, Optional<Slot> as) {
        Optional<Integer> end = wiring.settled(need.slot());
        Outcome outcome =
                end.map(wiring::outcome).orElseGet(() -> Outcome.nothing(Outcome.Kind.BROKEN));
        Optional<LifetimeChoice> lifetime =
                outcome.isMet() ? Optional.of(lifetime(outcome)) : Optional.empty();
        Answer answer =
                new Answer(
                        outcome.answer(),
                        outcome.blueprint().map(Blueprint::className),
                        outcome.decorators().stream()
                                .map(one -> one.blueprint().orElseThrow().className())
                                .toList(),
                        lifetime,
                        Optional.empty(),
                        origin(need, outcome),
                        end.map(this::hidden).orElse(List.of()),
                        end.filter(slot -> outcome.isMet()).map(set.slots()::slot));
        Row row =
                new Row(
                        consumer.className(),
                        need.name(),
                        need.place(),
                        as,
                        set.slots().slot(need.slot()),
                        answer);
        return new Draft(
                row, lifetime.flatMap(choice -> identity(choice, end.orElseThrow(), outcome)));
    }

    private LifetimeChoice lifetime(Outcome outcome) {
        Optional<Lifetime> bound =
                outcome.binding().flatMap(binding -> binding.declared().lifetime());
        if (bound.isPresent()) {
            return new LifetimeChoice(bound.get(), By.BINDING);
        }
        boolean singleton =
                outcome.blueprint()
                        .filter(one -> StandardMarks.isSingleton(one.facts().annotations()))
                        .isPresent();
        return singleton
                ? new LifetimeChoice(Lifetime.SHARED, By.MARK)
                : new LifetimeChoice(set.declared().defaultLifetime(), By.DEFAULT);
    }

    /**
     * What equal instances have in common: the class if its mark says so, else the slot; nothing
     * for a fresh one.
     */
    private static Optional<String> identity(LifetimeChoice choice, int slot, Outcome outcome) {
        if (choice.lifetime() == Lifetime.FRESH) {
            return Optional.empty();
        }
        return choice.by() == By.MARK
                ? outcome.blueprint().map(Blueprint::className)
                : Optional.of(Integer.toString(slot));
    }

    private Optional<Where> origin(Need need, Outcome end) {
        Optional<ResolvedBinding> first = wiring.outcome(need.slot()).binding();
        return first.or(end::binding)
                .map(binding -> binding.declared().at())
                .or(() -> end.blueprint().map(own -> Where.classNamed(own.className())));
    }

    /** What the profiles that this one extends say of a slot, and no longer holds. */
    private List<Answer.Hidden> hidden(int slot) {
        return wiring.profile().hidden(slot).stream()
                .map(one -> new Answer.Hidden(one.declared().supply().words(), one.declared().at()))
                .toList();
    }

    private Row numbered(Draft draft) {
        Row row = draft.row();
        Answer answer = row.answer();
        if (!answer.isMet()) {
            return row;
        }
        String identity = draft.instance().orElseGet(() -> "fresh " + labels.size());
        String label = labels.computeIfAbsent(identity, one -> "#" + (labels.size() + 1));
        return new Row(
                row.consumer(),
                row.need(),
                row.place(),
                row.as(),
                row.slot(),
                answer.labelled(label));
    }
}
