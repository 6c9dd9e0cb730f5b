package dev.patientharbor.rig;

import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.ShortName;

/** Names as people read them. */
final class RigWording {

    private RigWording() {}

    /** A slot with short names. */
    static String slot(Slot slot) {
        return slot.text(ShortName::of);
    }

    /** Whether a slot is the plain one of a class. */
    static boolean isSlotOf(Slot slot, Class<?> type) {
        return slot.key().isEmpty() && slot.contract().text().equals(type.getName());
    }
}
