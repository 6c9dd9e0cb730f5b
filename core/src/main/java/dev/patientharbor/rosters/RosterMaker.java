package dev.patientharbor.rosters;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.SupplyEffect;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Answer.Behind;
import dev.patientharbor.plan.Answer.Element;
import dev.patientharbor.plan.Answer.Seat;
import dev.patientharbor.plan.AnswerBuilder;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.LifetimeChoice;
import dev.patientharbor.plan.LifetimeChoice.By;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.SlotOutcome.Kind;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Writes the roster of a wiring: one row for each need, sorted, with the instances numbered in that
 * order.
 */
public final class RosterMaker {

    private static final Answer OPEN = new AnswerBuilder(AnswerKind.UNMET).build();

    private final ResolvedSet set;
    private final Wiring wiring;
    private final Set<Integer> entries;

    /** Collections that are the same for whoever asks, by what is asked for. */
    private final Map<Integer, Answer> collections = new HashMap<>();

    /** The numbers of the objects that are kept, by what equal ones have in common. */
    private final Map<String, String> labels = new HashMap<>();

    /** How many objects so far are made anew for who asks; each has a number of its own. */
    private int fresh;

    private RosterMaker(ResolvedSet set, Wiring wiring) {
        this.set = set;
        this.wiring = wiring;
        entries = new HashSet<>(wiring.entries());
    }

    /** The roster of a profile that is checked. */
    public static Roster roster(ResolvedSet set, Wiring wiring) {
        return new RosterMaker(set, wiring).roster();
    }

    private Roster roster() {
        List<RosterRow> rows = new ArrayList<>();
        List<RosterRow> alike = new ArrayList<>(1);
        // Equal rows stand together, among those of the same place: no row need be hashed.
        for (Draft draft : drafts()) {
            RosterRow row = draft.row().with(answer(draft.asked()));
            if (!alike.isEmpty() && RosterRow.ORDER.compare(alike.get(0), row) != 0) {
                alike.clear();
            }
            if (!alike.contains(row)) {
                alike.add(row);
                rows.add(row);
            }
        }
        return new Roster(
                wiring.profile().declared().name(),
                rows,
                set.consumers().stream().flatMap(consumer -> consumer.passed().stream()).toList(),
                wiring.profile().isEager());
    }

    /** A row that is not answered yet. */
    private record Draft(RosterRow row, int asked) {}

    /** All rows in order, equal ones more than once; objects are numbered as they are answered. */
    private List<Draft> drafts() {
        List<Draft> drafts = new ArrayList<>();
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int seat = wiring.reached(i);
            Optional<Slot> as =
                    entries.contains(seat) ? Optional.empty() : Optional.of(set.slots().slot(seat));
            Optional<String> within = set.slots().level(seat).name();
            wiring.eachNeed(
                    seat,
                    (consumer, need, asked) ->
                            drafts.add(new Draft(row(consumer, need, asked, as, within), asked)));
        }
        drafts.sort(Comparator.comparing(Draft::row, RosterRow.ORDER));
        return drafts;
    }

    private RosterRow row(
            Blueprint consumer, Need need, int asked, Optional<Slot> as, Optional<String> within) {
        Slot slot = set.slots().slot(need.slot());
        int end = wiring.pastAliases(asked).orElse(asked);
        // A wrapping that is itself bound is what is asked for.
        boolean wrapped = wiring.outcome(end).isWrapping();
        Slot inside = wrapped ? new Slot(Carrier.innermost(slot.contract()), slot.key()) : slot;
        return new RosterRow(
                consumer.className(),
                need.name(),
                need.place(),
                as,
                within,
                inside,
                wrapped ? Carrier.words(slot.contract()) : Optional.empty(),
                OPEN);
    }

    /** What is asked for; a collection that is the same for whoever asks is worked out once. */
    private Answer answer(int asked) {
        Answer known = collections.get(asked);
        if (known == null) {
            int before = fresh;
            known = newAnswer(asked);
            if (known.kind() == AnswerKind.COLLECTION && fresh == before) {
                collections.put(asked, known);
            }
        }
        return known;
    }

    private Answer newAnswer(int asked) {
        Optional<Integer> end = wiring.received(asked);
        SlotOutcome outcome =
                end.map(wiring::outcome).orElseGet(() -> SlotOutcome.nothing(Kind.BROKEN));
        Optional<LifetimeChoice> lifetime =
                outcome.isMet()
                        ? Optional.of(set.lifetimes().of(outcome, wiring.profile()))
                        : Optional.empty();
        Optional<Integer> filled = wiring.filledAt(asked);
        // Members are numbered before the collection that has them.
        List<Element> elements = outcome.kind() == Kind.COLLECTION ? elements(outcome) : List.of();
        return new AnswerBuilder(outcome.answer())
                .implementation(
                        outcome.blueprint().map(Blueprint::maker).or(() -> handedIn(outcome)))
                .around(outcome.decorators().stream().map(ResolvedDecorator::around).toList())
                .lifetime(lifetime)
                .instance(lifetime.map(choice -> label(choice, end.orElseThrow(), outcome)))
                .origin(origin(asked, outcome))
                .hides(end.map(this::hidden).orElse(List.of()))
                .filledBy(filled.map(wiring::outcome).flatMap(SlotOutcome::filledBy))
                .leftOut(filled.map(set::leftOut).orElse(List.of()))
                .elements(elements)
                .behind(end.filter(seat -> outcome.isMet()).flatMap(this::behindSeat))
                .given(given(outcome))
                .fills(end.filter(seat -> outcome.isMet()).map(this::seat))
                .build();
    }

    private List<Element> elements(SlotOutcome collection) {
        List<Element> elements = new ArrayList<>();
        for (int member : collection.candidates()) {
            Slot slot = set.slots().slot(member);
            elements.add(new Element(slot.key(), Carrier.words(slot.contract()), answer(member)));
        }
        return elements;
    }

    /** The class of an object that was handed in, unless it was made at run time. */
    private static Optional<String> handedIn(SlotOutcome outcome) {
        return outcome.binding()
                .flatMap(binding -> binding.declared().supply().handedIn())
                .flatMap(Supply.HandedIn::madeFor);
    }

    /** What is given with a binding, as it is written: settings are named, not shown. */
    private static String given(SlotOutcome outcome) {
        return outcome.binding().map(ResolvedBinding::declared).map(RosterMaker::given).orElse("");
    }

    private static String given(Binding binding) {
        Supply supply = binding.supply();
        return switch (supply.form()) {
            case VALUE -> ((Supply.OfValue) supply).given().canonicalText();
            case MOCK -> "";
            case CLASS, FACTORY -> binding.with().words(binding.constructor());
            case ANSWERS, OBJECT, CALL, STATED_KEYS, MEMBERS, SAME_AS -> supply.canonicalText();
            case NONE, INHERITED, REMOVED, TO_FILL -> supply.canonicalText();
        };
    }

    /** What a factory says it makes, or the end of a line of those that pass on to another. */
    private Optional<Behind> behindSeat(int seat) {
        SlotOutcome first = wiring.outcome(seat);
        String contract = SlotTable.className(set.slots().slot(seat).contract());
        Optional<String> makes = first.blueprint().flatMap(Blueprint::makes).map(ClassType::name);
        if (makes.isPresent()) {
            return makes.filter(type -> !type.equals(contract))
                    .map(type -> new Behind(first.answer(), Optional.of(type)));
        }
        int at = seat;
        Set<Integer> seen = new HashSet<>();
        for (Optional<Integer> next = passedOnTo(at);
                next.isPresent() && seen.add(at);
                next = passedOnTo(at)) {
            at = next.get();
        }
        if (at == seat) {
            return Optional.empty();
        }
        SlotOutcome end = wiring.outcome(at);
        return Optional.of(new Behind(end.answer(), end.blueprint().map(Blueprint::maker)));
    }

    /** The seat to which an object passes on: it asks for one other object of its contract. */
    private Optional<Integer> passedOnTo(int seat) {
        SlotOutcome outcome = wiring.outcome(seat);
        int core = outcome.core().orElse(seat);
        if (outcome.blueprint().isEmpty() || !wiring.isReached(core)) {
            return Optional.empty();
        }
        Blueprint made = outcome.blueprint().get();
        TypeRef contract = set.slots().slot(seat).contract();
        if (!asksFor(contract, made)) {
            return Optional.empty();
        }
        List<Integer> same = new ArrayList<>(0);
        wiring.eachNeed(
                core,
                (consumer, need, asked) -> {
                    if (consumer == made && isOf(need, contract)) {
                        same.add(asked);
                    }
                });
        return same.size() == 1
                ? wiring.received(same.get(0)).filter(end -> wiring.outcome(end).isMet())
                : Optional.empty();
    }

    private boolean asksFor(TypeRef contract, Blueprint made) {
        for (Need need : made.needs()) {
            if (isOf(need, contract)) {
                return true;
            }
        }
        return false;
    }

    private boolean isOf(Need need, TypeRef contract) {
        return set.content(need.slot()).equals(contract);
    }

    private Seat seat(int number) {
        return new Seat(set.slots().slot(number), set.slots().level(number).name());
    }

    /**
     * The number of an instance. What equal ones have in common is the class if its mark says so
     * and nothing is around it, else the seat.
     */
    private String label(LifetimeChoice choice, int seat, SlotOutcome outcome) {
        if (!choice.lifetime().isKept()) {
            fresh++;
            return "#" + (labels.size() + fresh);
        }
        String same =
                choice.by() == By.MARK && outcome.decorators().isEmpty()
                        ? outcome.blueprint().map(Blueprint::className).orElseThrow()
                        : Integer.toString(seat);
        String known = labels.get(same);
        if (known == null) {
            known = "#" + (labels.size() + fresh + 1);
            labels.put(same, known);
        }
        return known;
    }

    private Optional<SourcePosition> origin(int asked, SlotOutcome end) {
        Optional<ResolvedBinding> first = wiring.outcome(asked).binding();
        return first.or(end::binding)
                .map(binding -> binding.declared().at())
                .or(() -> end.blueprint().map(own -> SourcePosition.classNamed(own.className())));
    }

    /** What the profiles that this one extends say of a seat, and no longer holds. */
    private List<Answer.Hidden> hidden(int seat) {
        List<Answer.Hidden> all = new ArrayList<>(0);
        for (ResolvedBinding binding : wiring.profile().hidden(set.boundSlot(seat))) {
            Supply supply = binding.declared().supply();
            // What was left to be filled is not hidden by what fills it.
            if (supply.effect() != SupplyEffect.LEAVES_OPEN) {
                all.add(new Answer.Hidden(supply.words(), binding.declared().at()));
            }
        }
        SlotOutcome outcome = wiring.outcome(seat);
        if (outcome.binding().isPresent()) {
            String own = outcome.blueprint().map(Blueprint::className).orElse("");
            for (String name : set.fillers(seat)) {
                if (!own.equals(name)) {
                    SourcePosition at = SourcePosition.classNamed(name);
                    all.add(new Answer.Hidden(set.names().shortName(name), at));
                }
            }
        }
        return all;
    }
}
