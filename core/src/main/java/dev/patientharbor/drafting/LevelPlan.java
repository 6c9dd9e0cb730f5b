package dev.patientharbor.drafting;

import dev.patientharbor.drafting.WiredObject.HandedNeed;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.tracing.TracedObject;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Says at which level each slot is bound to what, so that everybody receives what the hand wiring
 * hands over: what most are handed is bound for the whole profile, anything else within the one who
 * is handed it. For one thread.
 */
final class LevelPlan {

    /** The level of the whole profile. */
    static final String WHOLE = "";

    /** An object that asks, what it asks for, and the level from which it looks. */
    private record Asking(WiredObject object, List<HandedNeed> needs, String level) {}

    private final SlotContents contents;
    private final Map<String, Map<Slot, List<SlotContent>>> bound = new LinkedHashMap<>();
    private final Map<String, Map<Slot, Slot>> sameAs = new LinkedHashMap<>();
    private final Map<String, Set<Slot>> outside = new LinkedHashMap<>();
    private final Map<String, Slot> slotsOfTheirOwn = new HashMap<>();
    private final Map<Slot, String> mostHanded = new HashMap<>();
    private final Set<String> conflicts = new LinkedHashSet<>();

    LevelPlan(SlotContents contents, List<WiredObject> entries) {
        this.contents = contents;
        bound.put(WHOLE, new LinkedHashMap<>());
        count(entries);
        place(entries);
    }

    /** Returns what is bound, by level and slot: all that one binding stands for, in order. */
    Map<String, Map<Slot, List<SlotContent>>> bound() {
        return bound;
    }

    /** Returns the slots at a level that hold what stands in another slot of the whole profile. */
    Map<Slot, Slot> sameAs(String level) {
        return sameAs.getOrDefault(level, Map.of());
    }

    /** Returns the consumers with the slots that they look for outside of their own level. */
    Map<String, Set<Slot>> outside() {
        return outside;
    }

    /** Returns all slots that are bound at any level. */
    Set<Slot> slots() {
        Set<Slot> all = new HashSet<>(mostHanded.keySet());
        bound.values().forEach(level -> all.addAll(level.keySet()));
        return all;
    }

    /** Returns what no profile can say, one sentence each. */
    List<String> conflicts() {
        return List.copyOf(conflicts);
    }

    /** Counts who is handed what, slot by slot. */
    private void count(List<WiredObject> entries) {
        Map<Slot, Map<String, Set<WiredObject>>> asking = new LinkedHashMap<>();
        Set<TracedObject> seen = new HashSet<>();
        Deque<Asking> open = new ArrayDeque<>();
        entries.forEach(entry -> open.add(new Asking(entry, entry.needs(), WHOLE)));
        while (!open.isEmpty()) {
            Asking each = open.poll();
            if (!seen.add(each.object().object())) {
                continue;
            }
            for (HandedNeed need : each.needs()) {
                for (SlotContent content : withElements(contents.of(need))) {
                    asking.computeIfAbsent(content.slot(), slot -> new LinkedHashMap<>())
                            .computeIfAbsent(content.identity(), key -> new LinkedHashSet<>())
                            .add(each.object());
                    ask(content, false, WHOLE, open);
                    sharedElements(content).forEach(element -> ask(element, false, WHOLE, open));
                }
            }
        }
        asking.forEach((slot, each) -> mostHanded.put(slot, most(each)));
    }

    private static String most(Map<String, Set<WiredObject>> asking) {
        String most = "";
        int count = 0;
        for (Map.Entry<String, Set<WiredObject>> each : asking.entrySet()) {
            boolean isKnown = !each.getKey().startsWith("unknown ");
            int weight = each.getValue().size() * 2 + (isKnown ? 1 : 0);
            if (weight > count) {
                most = each.getKey();
                count = weight;
            }
        }
        return most;
    }

    /** What is asked for, and the keyed slots of what a map holds. */
    private static List<SlotContent> withElements(SlotContent content) {
        List<SlotContent> all = new ArrayList<>(List.of(content));
        for (SlotContent.Element element : content.elements()) {
            Slot contract = element.content().slot();
            element.key()
                    .map(key -> new Slot(contract.contract(), Optional.of(Key.named(key))))
                    .ifPresent(slot -> all.add(element.content().in(slot)));
        }
        return all;
    }

    /** The objects that stand in a slot ask for others; a decorator not for what it is around. */
    private static void ask(
            SlotContent content, boolean fromOwn, String level, Deque<Asking> open) {
        for (WiredObject decorator : content.decorators()) {
            open.add(
                    new Asking(
                            decorator,
                            SlotContents.otherNeeds(decorator, content.slot()),
                            fromOwn ? decorator.maker() : level));
        }
        content.core()
                .ifPresent(
                        core ->
                                open.add(
                                        new Asking(
                                                core,
                                                core.needs(),
                                                fromOwn ? core.maker() : level)));
        unsharedElements(content).forEach(element -> ask(element, fromOwn, level, open));
    }

    private void place(List<WiredObject> entries) {
        Deque<Asking> open = new ArrayDeque<>();
        entries.forEach(entry -> open.add(new Asking(entry, entry.needs(), entry.maker())));
        Set<Asking> seen = new HashSet<>();
        while (!open.isEmpty()) {
            Asking asking = open.poll();
            if (seen.add(asking)) {
                for (HandedNeed need : asking.needs()) {
                    for (SlotContent content : withElements(contents.of(need))) {
                        place(asking, content, open);
                    }
                }
            }
        }
    }

    private void place(Asking asking, SlotContent content, Deque<Asking> open) {
        if (!content.isKnown() && isKnownElsewhere(asking, content.slot())) {
            return;
        }
        boolean isForWhole = content.identity().equals(mostHanded.get(content.slot()));
        Map<Slot, List<SlotContent>> own = bound.getOrDefault(asking.level(), Map.of());
        if (isForWhole && own.containsKey(content.slot())) {
            lookOutside(asking, content, own.get(content.slot()).get(0));
        } else if (isForWhole && sameAs(asking.level()).containsKey(content.slot())) {
            conflict(asking, content, content);
        } else if (isForWhole) {
            bind(WHOLE, asking, content, open);
        } else if (isShared(content)) {
            placeOnItsOwn(asking, content, open);
        } else {
            bind(asking.level(), asking, content, open);
        }
    }

    private void bind(String level, Asking asking, SlotContent content, Deque<Asking> open) {
        List<SlotContent> there =
                bound.computeIfAbsent(level, name -> new LinkedHashMap<>())
                        .computeIfAbsent(content.slot(), slot -> new ArrayList<>());
        if (!there.isEmpty() && !there.get(0).identity().equals(content.identity())) {
            conflict(asking, content, there.get(0));
        } else {
            there.add(content);
            ask(content, level.equals(WHOLE), level, open);
            sharedElements(content).forEach(element -> ownSlot(asking, element, open));
        }
    }

    /** The elements of a list that several are handed. Those of a map stand in its keyed slots. */
    private static List<SlotContent> sharedElements(SlotContent content) {
        return content.elements().stream()
                .filter(element -> element.key().isEmpty())
                .map(SlotContent.Element::content)
                .filter(LevelPlan::isShared)
                .toList();
    }

    private static List<SlotContent> unsharedElements(SlotContent content) {
        return content.elements().stream()
                .filter(element -> element.key().isEmpty())
                .map(SlotContent.Element::content)
                .filter(element -> !isShared(element))
                .toList();
    }

    private static boolean isShared(SlotContent content) {
        return content.identity().startsWith(SlotContents.SHARED);
    }

    /** Returns the slot of the whole profile in which what several are handed stands. */
    Optional<Slot> standing(SlotContent content) {
        if (!isShared(content)) {
            return Optional.empty();
        }
        return content.identity().equals(mostHanded.get(content.slot()))
                ? Optional.of(content.slot())
                : Optional.ofNullable(
                        slotsOfTheirOwn.get(content.identity() + content.slot().text()));
    }

    private Slot ownSlot(Asking asking, SlotContent content, Deque<Asking> open) {
        Optional<Slot> known = standing(content);
        if (known.isPresent()) {
            return known.get();
        }
        Slot slot = freeSlot(content);
        slotsOfTheirOwn.put(content.identity() + content.slot().text(), slot);
        bind(WHOLE, asking, content.in(slot), open);
        return slot;
    }

    /** What fills a slot at a level, and is around what fills it for the whole profile. */
    private void lookOutside(Asking asking, SlotContent content, SlotContent there) {
        boolean isItself = there.core().filter(asking.object()::equals).isPresent();
        if (isItself) {
            outside.computeIfAbsent(asking.object().maker(), name -> new LinkedHashSet<>())
                    .add(content.slot());
        } else {
            conflict(asking, content, there);
        }
    }

    /**
     * What several are handed, but not most, stands in a slot of its own for the whole profile, so
     * that it is one object.
     */
    private void placeOnItsOwn(Asking asking, SlotContent content, Deque<Asking> open) {
        Slot slot = ownSlot(asking, content, open);
        Slot before =
                sameAs.computeIfAbsent(asking.level(), name -> new LinkedHashMap<>())
                        .putIfAbsent(content.slot(), slot);
        bound.computeIfAbsent(asking.level(), name -> new LinkedHashMap<>());
        if (before != null && !before.equals(slot)
                || bound.get(asking.level()).containsKey(content.slot())) {
            conflict(asking, content, content);
        }
    }

    private Slot freeSlot(SlotContent content) {
        String word = CodeShortNames.word(content.objects().get(0).maker());
        return Stream.iterate(1, i -> i + 1)
                .map(i -> i == 1 ? word : word + '-' + i)
                .map(key -> new Slot(content.slot().contract(), Optional.of(Key.named(key))))
                .filter(slot -> !mostHanded.containsKey(slot))
                .filter(slot -> !slotsOfTheirOwn.containsValue(slot))
                .findFirst()
                .orElseThrow();
    }

    /** Whether the same one is handed something known for the same slot, in another place. */
    private boolean isKnownElsewhere(Asking asking, Slot slot) {
        return asking.needs().stream()
                .map(contents::of)
                .anyMatch(other -> other.slot().equals(slot) && other.isKnown());
    }

    private void conflict(Asking asking, SlotContent content, SlotContent other) {
        conflicts.add(
                asking.object().at().text()
                        + ": "
                        + asking.object().maker()
                        + " is handed "
                        + words(content)
                        + " for "
                        + content.slot().text()
                        + ", and elsewhere "
                        + words(other)
                        + "; one profile cannot say both");
    }

    private static String words(SlotContent content) {
        return content.core()
                .map(WiredObject::maker)
                .or(() -> content.unknown().map(unknown -> unknown.what()))
                .orElse("other elements");
    }
}
