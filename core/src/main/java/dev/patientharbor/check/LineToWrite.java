package dev.patientharbor.check;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Key;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.TypeRef.ClassType;
import dev.patientharbor.resolve.ResolvedSet;
import java.util.List;
import java.util.Optional;

/** The line that would fill a slot, as the set is written: in a file, or in Java. */
final class LineToWrite {

    private final ResolvedSet set;
    private final Wording wording;

    LineToWrite(ResolvedSet set) {
        this.set = set;
        wording = new Wording(set);
    }

    /**
     * @param implementations classes that could fill it, of which the first is written; a mock for
     *     none
     * @param standIn the slot to be the same as, if there is one: it comes before any class
     * @param profile the profile in which it is to be written
     */
    String fill(Slot slot, List<String> implementations, Optional<Slot> standIn, String profile) {
        return set.declared().at() instanceof Where.InSource
                ? inJava(slot, implementations, standIn) + "     in the profile " + profile
                : inFile(slot, implementations, standIn) + "     under " + profile + " › bindings";
    }

    private String inFile(Slot slot, List<String> implementations, Optional<Slot> standIn) {
        return wording.toWrite(slot)
                + ": "
                + standIn.map(one -> "{ same-as: " + wording.toWrite(one) + " }")
                        .orElseGet(() -> wording.firstToWrite(implementations));
    }

    private String inJava(Slot slot, List<String> implementations, Optional<Slot> standIn) {
        String supply =
                standIn.map(one -> "sameAs(" + inJava(one) + ")")
                        .orElseGet(
                                () ->
                                        implementations.isEmpty()
                                                ? "mock()"
                                                : "real("
                                                        + wording.shortName(implementations.get(0))
                                                        + ".class)");
        return "fill(" + inJava(slot) + ", " + supply + ")";
    }

    private String inJava(Slot slot) {
        boolean plain =
                slot.contract() instanceof ClassType type
                        && type.arguments().isEmpty()
                        && slot.key().filter(key -> !key.qualifier().isEmpty()).isEmpty();
        return plain
                ? wording.shortName(((ClassType) slot.contract()).name())
                        + ".class"
                        + slot.key().map(Key::text).map(key -> ", \"" + key + "\"").orElse("")
                : '"' + slot.text(set.names()::toWrite) + '"';
    }
}
