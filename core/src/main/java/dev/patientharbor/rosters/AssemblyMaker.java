package dev.patientharbor.rosters;

import dev.patientharbor.assembly.Assembly;
import dev.patientharbor.assembly.AssemblyArgument;
import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.assembly.DecoratorLayer;
import dev.patientharbor.assembly.MarkedMember;
import dev.patientharbor.assembly.ObjectMaking;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.model.Supply;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.NeedReader;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.plan.Answer.Seat;
import dev.patientharbor.plan.LifetimeChoice;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Writes down how the objects of a wiring are made: one part for each seat. */
public final class AssemblyMaker {

    private final ResolvedSet set;
    private final Wiring wiring;
    private final Map<Integer, Integer> numbers = new HashMap<>();

    private AssemblyMaker(ResolvedSet set, Wiring wiring) {
        this.set = set;
        this.wiring = wiring;
        for (int i = 0; i < wiring.reachedSize(); i++) {
            numbers.put(wiring.reached(i), i);
        }
    }

    /**
     * The assembly of a profile that is complete: of all that its entry consumers lead to, and of
     * what is bound besides, with every collection of it.
     */
    public static Assembly assembly(ResolvedSet set, Wiring wiring) {
        Wiring whole = wiring.withAlso(collectionSeats(set, wiring));
        return new AssemblyMaker(set, whole)
                .assembly(wiring.entries(), RosterMaker.roster(set, wiring));
    }

    private static List<Integer> collectionSeats(ResolvedSet set, Wiring wiring) {
        Set<Integer> all = new LinkedHashSet<>();
        Set<TypeRef> contracts = new LinkedHashSet<>();
        for (ResolvedBinding binding : wiring.profile().bindings()) {
            int slot = set.slots().wholeSlot(binding.slot().orElseThrow());
            all.add(slot);
            contracts.add(set.slots().slot(slot).contract());
        }
        for (TypeRef contract : contracts) {
            if (contract instanceof ClassType && Carrier.of(contract).isEmpty()) {
                all.add(set.slots().number(new Slot(Carrier.listOf(contract), Optional.empty())));
                all.add(set.slots().number(new Slot(Carrier.mapOf(contract), Optional.empty())));
            }
        }
        return List.copyOf(all);
    }

    private Assembly assembly(List<Integer> entries, Roster roster) {
        List<AssemblyPart> parts = new ArrayList<>();
        Map<Slot, Integer> bySlot = new HashMap<>();
        Set<Integer> broken = broken();
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int seat = wiring.reached(i);
            parts.add(
                    broken.contains(seat)
                            ? new AssemblyPart.Missing(
                                    place(seat),
                                    wiring.outcome(seat).kind() == SlotOutcome.Kind.NONE)
                            : part(seat));
            if (set.slots().level(seat).isWhole()) {
                bySlot.put(set.slots().slot(seat), i);
            }
        }
        return new Assembly(
                roster, parts, bySlot, entries.stream().map(numbers::get).toList(), set.settings());
    }

    /** The seats with which something is wrong, and those that lead to them. */
    private Set<Integer> broken() {
        Map<Integer, List<Integer>> askedBy = new HashMap<>();
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int seat = wiring.reached(i);
            for (int to : wiring.leadsTo(seat, true)) {
                askedBy.computeIfAbsent(to, key -> new ArrayList<>(1)).add(seat);
            }
        }
        Set<Integer> broken = new HashSet<>();
        Deque<Integer> open = new ArrayDeque<>();
        for (int seat : wiring.unsound()) {
            if (wiring.outcome(seat).kind() != SlotOutcome.Kind.COLLECTION) {
                open.add(seat);
            }
        }
        for (int seat : wiring.aliases()) {
            if (wiring.pastAliases(seat).isEmpty()) {
                open.add(seat);
            }
        }
        while (!open.isEmpty()) {
            int seat = open.pop();
            if (broken.add(seat)) {
                open.addAll(askedBy.getOrDefault(seat, List.of()));
            }
        }
        return broken;
    }

    private AssemblyPart part(int seat) {
        SlotOutcome outcome = wiring.outcome(seat);
        Seat place = place(seat);
        return switch (outcome.kind()) {
            case ALIAS -> new AssemblyPart.Alias(place, number(outcome.next().orElseThrow()));
            case OPTIONAL, ABSENT ->
                    new AssemblyPart.Maybe(
                            place,
                            outcome.next().map(this::number),
                            carrier(seat).word().isEmpty());
            case DEFERRED ->
                    new AssemblyPart.Later(
                            place,
                            SlotTable.className(place.slot().contract()),
                            number(outcome.next().orElseThrow()));
            case COLLECTION ->
                    new AssemblyPart.Several(
                            place,
                            place.slot().contract(),
                            outcome.candidates().stream()
                                    .map(
                                            candidate ->
                                                    new AssemblyPart.Member(
                                                            set.slots().slot(candidate).key(),
                                                            number(candidate)))
                                    .toList());
            case OBJECT, MOCK, VALUE -> made(seat, outcome, place);
            case NONE -> new AssemblyPart.Missing(place, true);
            case BROKEN, UNMET, VALUE_MISSING, SEVERAL -> new AssemblyPart.Missing(place, false);
        };
    }

    private AssemblyPart made(int seat, SlotOutcome outcome, Seat place) {
        LifetimeChoice lifetime = set.lifetimes().of(outcome, wiring.profile());
        Optional<SourcePosition> origin =
                outcome.binding()
                        .map(binding -> binding.declared().at())
                        .or(
                                () ->
                                        outcome.blueprint()
                                                .map(
                                                        blueprint ->
                                                                SourcePosition.classNamed(
                                                                        blueprint.className())));
        Arguments asked = new Arguments(seat);
        List<DecoratorLayer> layers = new ArrayList<>();
        for (ResolvedDecorator decorator : outcome.decorators()) {
            layers.add(
                    decorator.builtIn().isPresent()
                            ? new DecoratorLayer.OfBuiltIn(decorator.builtIn().get())
                            : new DecoratorLayer.OfClass(
                                    constructed(
                                            decorator.blueprint().orElseThrow(),
                                            asked,
                                            Optional.of(decorator.inner().get(0)))));
        }
        return new AssemblyPart.Made(
                place,
                making(outcome, place, asked),
                layers,
                lifetime.lifetime(),
                set.lifetimes().oneOfClass(outcome),
                outcome.answer(),
                origin);
    }

    private ObjectMaking making(SlotOutcome outcome, Seat place, Arguments asked) {
        if (outcome.core().isPresent()) {
            return new ObjectMaking.SameCore(number(outcome.core().get()));
        }
        TypeRef contract = place.slot().contract();
        if (outcome.blueprint().isPresent()) {
            Blueprint blueprint = outcome.blueprint().get();
            boolean byMethod = blueprint.method().isPresent();
            return byMethod ? called(blueprint, asked) : constructed(blueprint, asked);
        }
        Supply supply = outcome.binding().orElseThrow().declared().supply();
        return switch (supply.form()) {
            case MOCK -> new ObjectMaking.Mocked(contract);
            case ANSWERS ->
                    new ObjectMaking.Answering(
                            contract,
                            supply.cannedAnswers().orElseThrow().stream()
                                    .map(this::withFullNames)
                                    .toList());
            case VALUE -> new ObjectMaking.Converted(contract, ((Supply.OfValue) supply).given());
            case OBJECT -> new ObjectMaking.HandedIn(((Supply.HandedIn) supply).object());
            case CALL -> new ObjectMaking.MadeBy(((Supply.MadeBy) supply).maker());
            case CLASS, FACTORY, STATED_KEYS -> throw noObject(supply);
            case MEMBERS, SAME_AS, NONE, INHERITED, REMOVED, TO_FILL -> throw noObject(supply);
        };
    }

    private static IllegalStateException noObject(Supply supply) {
        return new IllegalStateException("no object is made by " + supply.words());
    }

    /** Answers whose failures have full names. */
    private CannedMethod withFullNames(CannedMethod answers) {
        return new CannedMethod(
                answers.method(),
                answers.cases().stream()
                        .map(
                                row ->
                                        new CannedMethod.Case(
                                                row.given(),
                                                row.answer()
                                                        .match(plain -> plain, this::withFullName),
                                                row.at()))
                        .toList());
    }

    private CannedMethod.Response withFullName(CannedMethod.Response.Fails fails) {
        return new CannedMethod.Response.Fails(set.names().full(fails.type()), fails.saying());
    }

    private ObjectMaking called(Blueprint blueprint, Arguments asked) {
        Optional<Integer> on = Optional.empty();
        List<AssemblyArgument> arguments = values(blueprint);
        List<AssemblyArgument> fromParts = new ArrayList<>();
        for (Need need : blueprint.needs()) {
            int part = asked.part(blueprint, need);
            if (need.place().kind() == NeedPlace.Kind.DECLARED) {
                on = Optional.of(part);
            } else {
                AssemblyArgument argument = new AssemblyArgument.FromPart(part, need.name());
                fromParts.add(argument);
                arguments.set(need.place().index(), argument);
            }
        }
        return isHandler(blueprint)
                ? new ObjectMaking.NoObject(fromParts)
                : new ObjectMaking.Called(
                        blueprint.className(),
                        blueprint.method().orElseThrow(),
                        descriptor(blueprint),
                        on,
                        arguments);
    }

    private boolean isHandler(Blueprint blueprint) {
        return set.consumers().stream()
                .anyMatch(
                        consumer ->
                                consumer.blueprint().filter(its -> its == blueprint).isPresent());
    }

    private ObjectMaking constructed(Blueprint blueprint, Arguments asked) {
        if (blueprint.executable().isEmpty()) {
            return new ObjectMaking.NoObject(
                    blueprint.needs().stream()
                            .<AssemblyArgument>map(
                                    need ->
                                            new AssemblyArgument.FromPart(
                                                    asked.part(blueprint, need), need.name()))
                            .toList());
        }
        return constructed(blueprint, asked, Optional.empty());
    }

    private ObjectMaking.Constructed constructed(
            Blueprint blueprint, Arguments asked, Optional<Need> inner) {
        List<AssemblyArgument> arguments = values(blueprint);
        List<AssemblyArgument> ofMembers = new ArrayList<>();
        for (Need need : blueprint.needs()) {
            AssemblyArgument argument =
                    inner.filter(other -> other == need).isPresent()
                            ? wrapped(need)
                            : new AssemblyArgument.FromPart(
                                    asked.part(blueprint, need), need.name());
            Runnable hand =
                    switch (need.place().kind()) {
                        case CONSTRUCTOR -> () -> arguments.set(need.place().index(), argument);
                        case FIELD, METHOD -> () -> ofMembers.add(argument);
                        // Nothing is handed to the object.
                        case DECLARED, LOOKUP, STATIC_FIELD, STATIC_METHOD -> () -> {};
                    };
            hand.run();
        }
        List<MarkedMember> sites = new ArrayList<>();
        int next = 0;
        for (NeedReader.MemberNeeds member : wiring.marked(blueprint)) {
            List<AssemblyArgument> some = ofMembers.subList(next, next + member.needs());
            sites.add(
                    new MarkedMember(
                            member.owner(),
                            member.kind(),
                            member.name(),
                            member.descriptor(),
                            some));
            next += member.needs();
        }
        return new ObjectMaking.Constructed(
                blueprint.className(), descriptor(blueprint), arguments, sites);
    }

    /** The arguments of what makes an object that are values; those between are still blank. */
    private static List<AssemblyArgument> values(Blueprint blueprint) {
        List<AssemblyArgument> arguments = new ArrayList<>();
        blueprint
                .executable()
                .ifPresent(
                        executable -> {
                            for (int i = 0; i < executable.parameterTypes().size(); i++) {
                                arguments.add(
                                        blueprint.values().containsKey(i)
                                                ? new AssemblyArgument.OfValue(
                                                        executable.parameterName(i),
                                                        blueprint.values().get(i))
                                                : new AssemblyArgument.Wrapped(""));
                            }
                        });
        return arguments;
    }

    private AssemblyArgument wrapped(Need need) {
        TypeRef asked = set.slots().slot(need.slot()).contract();
        boolean later =
                Carrier.of(asked)
                        .filter(carrier -> carrier.kind() == Carrier.Kind.DEFERRED)
                        .isPresent();
        return new AssemblyArgument.Wrapped(later ? ((ClassType) asked).name() : "");
    }

    private static String descriptor(Blueprint blueprint) {
        return blueprint.executable().map(ExecutableFacts::descriptor).orElse("()V");
    }

    private Carrier carrier(int seat) {
        return Carrier.of(set.slots().slot(seat).contract()).orElseThrow();
    }

    private Seat place(int seat) {
        return new Seat(set.slots().slot(seat), set.slots().level(seat).name());
    }

    private int number(int seat) {
        return numbers.get(seat);
    }

    /** The parts that the needs of the object in a seat lead to. */
    private final class Arguments {
        private final Map<Blueprint, Map<Need, Integer>> byNeed = new IdentityHashMap<>();

        Arguments(int seat) {
            wiring.eachNeed(
                    seat,
                    (consumer, need, asked) ->
                            byNeed.computeIfAbsent(consumer, blueprint -> new HashMap<>())
                                    .put(need, number(asked)));
        }

        int part(Blueprint consumer, Need need) {
            return byNeed.get(consumer).get(need);
        }
    }
}
