package dev.patientharbor.drafting;

import dev.patientharbor.drafting.DraftedBinding.Form;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.tracing.TracedValue;
import dev.patientharbor.types.Carrier;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** Writes what stands at one level. For one thread. */
final class LevelDraft {

    private final String consumer;
    private final LevelPlan plan;
    private final CodeShortNames names;
    private final Set<String> mayBeEmpty;
    private final Set<String> taken;
    private final Map<String, DraftedBinding> bindings = new LinkedHashMap<>();
    private final Map<String, List<DraftedBinding>> decorators = new LinkedHashMap<>();

    /**
     * @param mayBeEmpty takes the contracts of which collections have no member
     * @param taken the slots that are named at any level; takes those that are named here
     */
    LevelDraft(
            String consumer,
            LevelPlan plan,
            CodeShortNames names,
            Set<String> mayBeEmpty,
            Set<String> taken) {
        this.consumer = consumer;
        this.plan = plan;
        this.names = names;
        this.mayBeEmpty = mayBeEmpty;
        this.taken = taken;
    }

    DraftedLevel drafted() {
        Set<String> outside = new TreeSet<>();
        plan.outside().getOrDefault(consumer, Set.of()).forEach(slot -> outside.add(text(slot)));
        return new DraftedLevel(
                names.ofMaker(consumer), bindings, decorators, List.copyOf(outside));
    }

    private boolean isWhole() {
        return consumer.equals(LevelPlan.WHOLE);
    }

    private String text(Slot slot) {
        return slot.text(names::of);
    }

    /** Adds what an entry consumer is given by value, if there is something to say. */
    void addEntry(WiredObject entry) {
        if (isMoreThanClass(entry, false)) {
            bindings.put(names.of(entry.maker()), supply(entry, false));
        }
    }

    /** Adds a slot with all that one binding of it stands for. */
    void add(Slot slot, List<SlotContent> there) {
        SlotContent content = there.get(0);
        Runnable adding =
                switch (content.form()) {
                    case ABSENT -> () -> bind(slot, DraftedBinding.of(Form.ABSENT, "", ""));
                    case UNKNOWN -> () -> bind(slot, toFill(content));
                    case ELEMENTS -> () -> addElements(slot, content);
                    case OBJECT -> () -> addObject(slot, there);
                };
        adding.run();
        keepUndecorated(slot);
    }

    private void bind(Slot slot, DraftedBinding binding) {
        bindings.put(text(slot), binding);
    }

    /** Adds a slot that holds what stands in another one. */
    void addSame(Slot slot, Slot other) {
        bind(slot, DraftedBinding.of(Form.SAME_AS, text(other), ""));
        keepUndecorated(slot);
    }

    /** Decorators of the whole profile would be around what stands here, too. */
    private void keepUndecorated(Slot slot) {
        boolean isDecorated =
                !isWhole()
                        && plan.bound().get(LevelPlan.WHOLE).getOrDefault(slot, List.of()).stream()
                                .anyMatch(each -> !each.decorators().isEmpty());
        if (isDecorated) {
            decorators.putIfAbsent(text(slot), List.of());
        }
    }

    private static DraftedBinding toFill(SlotContent content) {
        TracedValue.Unknown unknown =
                content.unknown().orElseGet(() -> new TracedValue.Unknown("", 0, Optional.empty()));
        String line = unknown.line() > 0 ? "line " + unknown.line() + ": " : "";
        return DraftedBinding.of(Form.TO_FILL, "", line + unknown.what());
    }

    private void addObject(Slot slot, List<SlotContent> there) {
        SlotContent content = there.get(0);
        Optional<Slot> same = firstWith(content, slot);
        if (same.isPresent()) {
            bind(slot, DraftedBinding.of(Form.SAME_AS, text(same.get()), ""));
            return;
        }
        WiredObject core = content.core().orElseThrow();
        long distinct =
                there.stream().map(each -> each.core().orElseThrow().object()).distinct().count();
        boolean isFresh = content.isAnew() || distinct > 1;
        boolean suppliesItself =
                slot.key().isEmpty()
                        && slot.contract().text().equals(core.maker())
                        && !isMoreThanClass(core, isFresh);
        if (!suppliesItself) {
            bind(slot, supply(core, isFresh));
        }
        addDecorators(text(slot), content);
    }

    private void addDecorators(String slot, SlotContent content) {
        if (!content.decorators().isEmpty()) {
            decorators.put(
                    slot, content.decorators().stream().map(each -> supply(each, false)).toList());
        }
    }

    /** The first slot of the whole profile, before another one, with the very same object. */
    private Optional<Slot> firstWith(SlotContent content, Slot slot) {
        if (!content.identity().startsWith(SlotContents.SHARED)) {
            return Optional.empty();
        }
        for (Map.Entry<Slot, List<SlotContent>> each :
                plan.bound().get(LevelPlan.WHOLE).entrySet()) {
            if (each.getKey().equals(slot)) {
                return Optional.empty();
            }
            if (each.getValue().get(0).identity().equals(content.identity())) {
                return Optional.of(each.getKey());
            }
        }
        return Optional.empty();
    }

    private static boolean isMoreThanClass(WiredObject object, boolean isFresh) {
        return isFresh
                || object.isByFactory()
                || object.constructor().isPresent()
                || !object.values().isEmpty();
    }

    private DraftedBinding supply(WiredObject object, boolean isFresh) {
        return new DraftedBinding(
                object.isByFactory() ? Form.FACTORY : Form.CLASS,
                names.ofMaker(object.maker()),
                List.of(),
                object.values(),
                object.constructor(),
                isFresh,
                "");
    }

    /** A map is filled by keyed slots; of anything else the members are listed. */
    private void addElements(Slot slot, SlotContent content) {
        if (content.elements().isEmpty()) {
            mayBeEmpty.add(names.of(Carrier.innermost(slot.contract()).text()));
            return;
        }
        List<String> members = new ArrayList<>();
        for (SlotContent.Element element : content.elements()) {
            Slot contract = element.content().slot();
            members.add(
                    element.key()
                            .map(key -> new Slot(contract.contract(), Optional.of(Key.named(key))))
                            .map(this::text)
                            .orElseGet(() -> member(element.content(), members)));
        }
        boolean isMap = content.elements().get(0).key().isPresent();
        if (!isMap || keyed(content.elements().get(0).content().slot()) > members.size()) {
            bind(slot, DraftedBinding.members(members));
        }
    }

    /** How many keyed slots of a contract are bound for the whole profile. */
    private long keyed(Slot contract) {
        return plan.bound().get(LevelPlan.WHOLE).keySet().stream()
                .filter(slot -> slot.key().isPresent())
                .filter(slot -> slot.contract().equals(contract.contract()))
                .count();
    }

    private String member(SlotContent content, List<String> before) {
        Slot plain = content.slot();
        if (!content.isKnown() || content.core().isEmpty()) {
            String own = freeName(plain, "other");
            bindings.put(own, toFill(content));
            return own;
        }
        Optional<Slot> standing = plan.standing(content);
        if (standing.isPresent()) {
            return text(standing.get());
        }
        WiredObject core = content.core().get();
        String ownClass = names.of(core.maker());
        boolean isPlain =
                content.decorators().isEmpty()
                        && !isMoreThanClass(core, false)
                        && !before.contains(ownClass);
        if (isPlain) {
            return ownClass;
        }
        String own = freeName(plain, CodeShortNames.word(core.maker()));
        bindings.put(own, supply(core, false));
        addDecorators(own, content);
        return own;
    }

    private String freeName(Slot slot, String word) {
        return Stream.iterate(1, i -> i + 1)
                .map(i -> i == 1 ? word : word + '-' + i)
                .map(key -> text(new Slot(slot.contract(), Optional.of(Key.named(key)))))
                .filter(taken::add)
                .findFirst()
                .orElseThrow();
    }
}
