package dev.patientharbor.drafting;

import dev.patientharbor.terms.Slot;
import dev.patientharbor.tracing.TracedValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a hand wiring puts where something is asked for.
 *
 * @param slot the slot that a profile binds for it: without what is met when asked, or may be
 *     absent
 * @param form what it is
 * @param decorators what is around it, outermost first
 * @param core what is innermost; empty if it is no object
 * @param elements of a collection, in order
 * @param identity equal for what may stand in one binding
 * @param isAnew whether each who asks is handed a new one
 * @param unknown why it is not known
 */
record SlotContent(
        Slot slot,
        Form form,
        List<WiredObject> decorators,
        Optional<WiredObject> core,
        List<Element> elements,
        String identity,
        boolean isAnew,
        Optional<TracedValue.Unknown> unknown) {

    /** What may stand there. */
    enum Form {
        OBJECT,
        ELEMENTS,
        ABSENT,
        UNKNOWN
    }

    /** An element of a collection. */
    record Element(Optional<String> key, SlotContent content) {}

    static SlotContent object(
            Slot slot,
            List<WiredObject> decorators,
            WiredObject core,
            String identity,
            boolean isAnew) {
        return new SlotContent(
                slot,
                Form.OBJECT,
                decorators,
                Optional.of(core),
                List.of(),
                identity,
                isAnew,
                Optional.empty());
    }

    static SlotContent elements(Slot slot, List<Element> elements) {
        StringBuilder identity = new StringBuilder("[");
        for (Element element : elements) {
            identity.append(element.key().orElse(""))
                    .append('=')
                    .append(element.content().identity())
                    .append(' ');
        }
        return new SlotContent(
                slot,
                Form.ELEMENTS,
                List.of(),
                Optional.empty(),
                elements,
                identity.append(']').toString(),
                false,
                Optional.empty());
    }

    static SlotContent absent(Slot slot) {
        return new SlotContent(
                slot,
                Form.ABSENT,
                List.of(),
                Optional.empty(),
                List.of(),
                "none",
                false,
                Optional.empty());
    }

    static SlotContent unknown(Slot slot, String why, int line) {
        TracedValue.Unknown unknown = new TracedValue.Unknown(why, line, Optional.empty());
        return new SlotContent(
                slot,
                Form.UNKNOWN,
                List.of(),
                Optional.empty(),
                List.of(),
                "unknown " + line + ' ' + why,
                false,
                Optional.of(unknown));
    }

    /** Returns the same in another slot. */
    SlotContent in(Slot other) {
        return new SlotContent(other, form, decorators, core, elements, identity, isAnew, unknown);
    }

    /** Returns whether a profile can say it, as far as this goes. */
    boolean isKnown() {
        return form != Form.UNKNOWN
                && elements.stream().allMatch(element -> element.content().isKnown());
    }

    /** Returns the objects that stand there: decorators, core, and those of the elements. */
    List<WiredObject> objects() {
        List<WiredObject> all = new ArrayList<>(decorators);
        core.ifPresent(all::add);
        elements.forEach(element -> all.addAll(element.content().objects()));
        return all;
    }
}
