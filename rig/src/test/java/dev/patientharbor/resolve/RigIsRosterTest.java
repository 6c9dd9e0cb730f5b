package dev.patientharbor.resolve;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.assembly.Assembly;
import dev.patientharbor.inherited.CodeSide;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Answer.Element;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.rig.AssembledRig;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rosters.AssemblyMaker;
import dev.patientharbor.rosters.RosterMaker;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Settings;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.wiring.Wiring;
import java.lang.reflect.Proxy;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * The plan is the truth: a rig holds exactly what the roster says, on thousands of random plans.
 */
class RigIsRosterTest {

    private static final int WORLDS = 1500;

    private static final List<String> ENTRIES = List.of("p.D0", "p.D1", "p.D2", "p.D3");

    private World world;
    private Roster roster;
    private String again;
    private Map<String, Object> byLabel;
    private Map<Object, String> labels;
    private Set<Object> walked;
    private int compared;
    private int alike;

    @Test
    void a_rig_hands_out_what_the_roster_says_object_by_object() {
        long first = Long.getLong("patientharbor.seed", 1);
        int plans = 0;
        for (long seed = first; seed < first + WORLDS; seed++) {
            world = new World(seed, true);
            ClassLoader loader = new WorldClasses(world);
            ResolvedSet set =
                    Resolver.resolve(
                                    world.set(),
                                    CodeSide.of(world.set(), world.places()),
                                    Settings.NONE)
                            .get(0);
            for (Wiring wiring : set.checked()) {
                roster = RosterMaker.roster(set, wiring);
                if (isWhole(wiring)) {
                    plans++;
                    again = "again with -Dpatientharbor.seed=" + seed + ", " + roster.profile();
                    byLabel = new HashMap<>();
                    labels = new IdentityHashMap<>();
                    walked = Collections.newSetFromMap(new IdentityHashMap<>());
                    Assembly assembly = AssemblyMaker.assembly(set, wiring);
                    try {
                        try (Rig rig = AssembledRig.of(assembly, loader)) {
                            for (String entry : ENTRIES) {
                                walk(
                                        rig.get(loader.loadClass(entry)),
                                        entry,
                                        Optional.empty(),
                                        false);
                            }
                        }
                    } catch (ReflectiveOperationException | RuntimeException fault) {
                        throw new IllegalStateException(again, fault);
                    }
                }
            }
        }
        String seen = plans + " plans, " + compared + " needs, " + alike + " that look alike";
        assertTrue(plans > 1000 && compared > 10_000 && alike < compared / 50, seen);
    }

    private static boolean isWhole(Wiring wiring) {
        return wiring.unsound().isEmpty()
                && wiring.aliases().stream().allMatch(alias -> wiring.received(alias).isPresent());
    }

    /** Compares what an object holds with its rows, and what those hold. */
    private void walk(Object object, String consumer, Optional<Answer.Seat> seat, boolean isCore)
            throws ReflectiveOperationException {
        if (!walked.add(object)) {
            return;
        }
        Object[] held = (Object[]) object.getClass().getField("held").get(object);
        Map<Integer, List<RosterRow>> mine =
                rows(consumer, seat, isCore).stream()
                        .collect(Collectors.groupingBy(row -> row.place().index()));
        for (Map.Entry<Integer, List<RosterRow>> place : mine.entrySet()) {
            RosterRow row = place.getValue().get(0);
            // Two levels of one name, for objects that look outward in different ways, look alike.
            if (place.getValue().size() == 1) {
                compared++;
                compare(held[place.getKey()], row.answer());
            } else {
                alike++;
            }
        }
    }

    /**
     * The rows of what stands somewhere. A class that fills a slot in layers stands in its own, and
     * the one object of a class wherever it was met first.
     */
    private List<RosterRow> rows(String consumer, Optional<Answer.Seat> seat, boolean isCore) {
        List<RosterRow> all =
                roster.rows().stream().filter(row -> row.consumer().equals(consumer)).toList();
        List<RosterRow> here =
                all.stream()
                        .filter(row -> row.as().equals(seat.map(Answer.Seat::slot)))
                        .filter(row -> row.within().equals(seat.flatMap(Answer.Seat::within)))
                        .toList();
        if (!here.isEmpty() || !isCore) {
            return here;
        }
        return world.isSingle(consumer)
                ? all
                : all.stream()
                        .filter(row -> row.as().equals(Optional.of(Slot.of(consumer))))
                        .toList();
    }

    private void compare(Object received, Answer answer) throws ReflectiveOperationException {
        Object object = unwrapped(received);
        if (answer.kind() == AnswerKind.ABSENT) {
            assertEquals(Optional.empty(), object, again);
            return;
        }
        if (answer.kind() == AnswerKind.COLLECTION) {
            several(object, answer.elements());
            return;
        }
        String label = answer.instance().orElseThrow();
        if (answer.lifetime().orElseThrow().lifetime() == Lifetime.FRESH) {
            assertTrue(!labels.containsKey(object), again);
            labels.put(object, "fresh");
        } else {
            assertSame(object, byLabel.computeIfAbsent(label, key -> object), again);
            assertEquals(label, labels.computeIfAbsent(object, key -> label), again);
        }
        Object core = object;
        for (String decorator : answer.decorators()) {
            assertEquals(decorator, core.getClass().getName(), again);
            walk(core, decorator, answer.fills(), false);
            core = ((Object[]) core.getClass().getField("held").get(core))[0];
        }
        if (answer.kind() == AnswerKind.MOCK) {
            assertTrue(Proxy.isProxyClass(core.getClass()), again);
        } else {
            assertEquals(answer.implementation().orElseThrow(), core.getClass().getName(), again);
            walk(core, core.getClass().getName(), answer.fills(), true);
        }
    }

    /** What is there or comes when it is asked for; a blank Optional if nothing is there. */
    private static Object unwrapped(Object received) {
        if (received instanceof Supplier<?> later) {
            return unwrapped(later.get());
        }
        return received instanceof Optional<?> maybe && maybe.isPresent()
                ? unwrapped(maybe.get())
                : received;
    }

    private void several(Object received, List<Element> elements)
            throws ReflectiveOperationException {
        List<?> objects =
                received instanceof Map<?, ?> map
                        ? List.copyOf(map.values())
                        : List.copyOf((List<?>) received);
        assertEquals(elements.size(), objects.size(), again);
        for (int i = 0; i < objects.size(); i++) {
            compare(objects.get(i), elements.get(i).answer());
        }
        if (received instanceof Map<?, ?> map) {
            assertEquals(
                    elements.stream().map(element -> element.key().orElseThrow().text()).toList(),
                    List.copyOf(map.keySet()),
                    again);
        }
    }
}
