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
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.SlotOutcome.Kind;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Writes the roster of a wiring: one row for each need, sorted, with the instances numbered in that
 * order.
 */
public final class RosterMaker {

    private final ResolvedSet set;
    private final Wiring wiring;
    private final Set<Integer> entries;
    private final Map<String, String> labels = new HashMap<>();

    /** Those that are the same for whoever asks, by what is asked for. */
    private final Map<Integer, Answer> collections = new HashMap<>();

    /** Answers with their members numbered, once that is known. */
    private final Map<Answer, Answer> numbered = new IdentityHashMap<>();

    RosterMaker(ResolvedSet set, Wiring wiring) {
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
        eachRow(
                (row, seat, consumer, need, asked) -> {
                    if (!alike.isEmpty() && RosterRow.ORDER.compare(alike.get(0), row) != 0) {
                        alike.clear();
                    }
                    if (!alike.contains(row)) {
                        alike.add(row);
                        rows.add(row);
                    }
                });
        return new Roster(
                wiring.profile().declared().name(),
                rows,
                set.consumers().stream().flatMap(consumer -> consumer.passed().stream()).toList(),
                wiring.profile().isEager());
    }

    /** Looks at a row with the need of which it is the answer. */
    interface RowVisitor {
        void visit(RosterRow row, int seat, Blueprint consumer, Need need, int asked);
    }

    private record Draft(RosterRow row, int seat, Blueprint consumer, Need need, int asked) {}

    /** Visits all rows in order; equal ones more than once. */
    void eachRow(RowVisitor visitor) {
        List<Draft> drafts = new ArrayList<>();
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int seat = wiring.reached(i);
            Optional<Slot> as =
                    entries.contains(seat) ? Optional.empty() : Optional.of(set.slots().slot(seat));
            Optional<String> within = set.slots().level(seat).name();
            wiring.eachNeed(
                    seat,
                    (consumer, need, asked) ->
                            drafts.add(
                                    new Draft(
                                            row(consumer, need, asked, as, within),
                                            seat,
                                            consumer,
                                            need,
                                            asked)));
        }
        drafts.sort(Comparator.comparing(Draft::row, RosterRow.ORDER));
        // What is shared is known by a name of its own until here; people read numbers.
        for (Draft draft : drafts) {
            visitor.visit(
                    draft.row().with(numbered(draft.row().answer())),
                    draft.seat(),
                    draft.consumer(),
                    draft.need(),
                    draft.asked());
        }
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
                answer(asked));
    }

    /** What is asked for; a collection that is the same for whoever asks is worked out once. */
    private Answer answer(int asked) {
        Answer known = collections.get(asked);
        if (known == null) {
            known = newAnswer(asked);
            if (known.kind() == AnswerKind.COLLECTION && !isAnew(known)) {
                collections.put(asked, known);
            }
        }
        return known;
    }

    /** Whether a member is another object for whoever asks. */
    private static boolean isAnew(Answer answer) {
        return answer.instance().filter(String::isEmpty).isPresent()
                || answer.elements().stream().anyMatch(element -> isAnew(element.answer()));
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
        return new AnswerBuilder(outcome.answer())
                .implementation(
                        outcome.blueprint().map(Blueprint::maker).or(() -> handedIn(outcome)))
                .around(outcome.decorators().stream().map(ResolvedDecorator::around).toList())
                .lifetime(lifetime)
                .instance(lifetime.map(choice -> identity(choice, end.orElseThrow(), outcome)))
                .origin(origin(asked, outcome))
                .hides(end.map(this::hidden).orElse(List.of()))
                .filledBy(filled.map(wiring::outcome).flatMap(SlotOutcome::filledBy))
                .leftOut(filled.map(set::leftOut).orElse(List.of()))
                .elements(outcome.kind() == Kind.COLLECTION ? elements(outcome) : List.of())
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
        if (!wiring.isReached(core) || outcome.blueprint().isEmpty()) {
            return Optional.empty();
        }
        List<Integer> same = new ArrayList<>(0);
        wiring.eachNeed(
                core,
                (consumer, need, asked) -> {
                    if (consumer == outcome.blueprint().get()
                            && set.content(need.slot()).equals(set.slots().slot(seat).contract())) {
                        same.add(asked);
                    }
                });
        return same.size() == 1
                ? wiring.received(same.get(0)).filter(end -> wiring.outcome(end).isMet())
                : Optional.empty();
    }

    private Seat seat(int number) {
        return new Seat(set.slots().slot(number), set.slots().level(number).name());
    }

    /**
     * What equal instances have in common: the class if its mark says so and nothing is around it,
     * else the seat; nothing for a fresh one, whose name is empty.
     */
    private static String identity(LifetimeChoice choice, int seat, SlotOutcome outcome) {
        if (!choice.lifetime().isKept()) {
            return "";
        }
        return choice.by() == By.MARK && outcome.decorators().isEmpty()
                ? outcome.blueprint().map(Blueprint::className).orElseThrow()
                : Integer.toString(seat);
    }

    private Optional<SourcePosition> origin(int asked, SlotOutcome end) {
        Optional<ResolvedBinding> first = wiring.outcome(asked).binding();
        return first.or(end::binding)
                .map(binding -> binding.declared().at())
                .or(() -> end.blueprint().map(own -> SourcePosition.classNamed(own.className())));
    }

    /** What the profiles that this one extends say of a seat, and no longer holds. */
    private List<Answer.Hidden> hidden(int seat) {
        int said = set.boundSlot(seat);
        List<Answer.Hidden> all = new ArrayList<>();
        wiring.profile().hidden(said).stream()
                // What was left to be filled is not hidden by what fills it.
                .filter(binding -> binding.declared().supply().effect() != SupplyEffect.LEAVES_OPEN)
                .forEach(
                        binding ->
                                all.add(
                                        new Answer.Hidden(
                                                binding.declared().supply().words(),
                                                binding.declared().at())));
        if (wiring.outcome(seat).binding().isPresent()) {
            Optional<String> own = wiring.outcome(seat).blueprint().map(Blueprint::className);
            set.fillers(seat).stream()
                    .filter(name -> !own.equals(Optional.of(name)))
                    .forEach(
                            name ->
                                    all.add(
                                            new Answer.Hidden(
                                                    set.names().shortName(name),
                                                    SourcePosition.classNamed(name))));
        }
        return all;
    }

    private Answer numbered(Answer answer) {
        Answer known = numbered.get(answer);
        if (known == null) {
            known = newNumbered(answer);
            numbered.put(answer, known);
        }
        return known;
    }

    private Answer newNumbered(Answer answer) {
        Answer whole =
                answer.elements().isEmpty()
                        ? answer
                        : answer.withElements(
                                answer.elements().stream()
                                        .map(
                                                element ->
                                                        new Element(
                                                                element.key(),
                                                                element.carrier(),
                                                                numbered(element.answer())))
                                        .toList());
        if (answer.instance().isEmpty()) {
            return whole;
        }
        String identity = answer.instance().get();
        String name = identity.isEmpty() ? "fresh " + labels.size() : identity;
        return whole.labelled(labels.computeIfAbsent(name, key -> "#" + (labels.size() + 1)));
    }
}
