package dev.patientharbor.plan;

import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.ShortName;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * One need of one consumer, and what it receives.
 *
 * @param consumer the binary name of the class that asks
 * @param need the name of the parameter or field
 * @param place where it asks
 * @param as the slot that the consumer fills here; empty for an entry consumer
 * @param within the area or consumer at which the consumer was bound; empty for the whole profile
 * @param slot what it asks for, inside any wrapping
 * @param carrier what it is wrapped in, such as {@code Map<String,Supplier>}
 * @param answer what it receives
 */
public record RosterRow(
        String consumer,
        String need,
        NeedPlace place,
        Optional<Slot> as,
        Optional<String> within,
        Slot slot,
        Optional<String> carrier,
        Answer answer) {
    public RosterRow {
        RequiredArgument.of(consumer, "consumer");
        RequiredArgument.of(need, "need");
        RequiredArgument.of(place, "place");
        RequiredArgument.of(as, "as");
        RequiredArgument.of(within, "within");
        RequiredArgument.of(slot, "slot");
        RequiredArgument.of(carrier, "carrier");
        RequiredArgument.of(answer, "answer");
    }

    /**
     * Sorts rows by consumer, place, the slot that the consumer fills (an entry consumer first),
     * and level.
     */
    public static final Comparator<RosterRow> ORDER = RosterRow::compare;

    private static int compare(RosterRow one, RosterRow other) {
        int order = one.consumer().compareTo(other.consumer());
        if (order == 0) {
            order = one.place().compareTo(other.place());
        }
        if (order == 0) {
            order = one.slotText().compareTo(other.slotText());
        }
        return order == 0 ? one.within().orElse("").compareTo(other.within().orElse("")) : order;
    }

    private String slotText() {
        return as.map(Slot::text).orElse("");
    }

    /**
     * Returns the row as people read it: {@code FeeBooth (terminal): mock}; classes by their short
     * names.
     */
    @Override
    public String toString() {
        return Roster.shortName(consumer)
                + as.map(slot -> " as " + slot.text(ShortName::of)).orElse("")
                + within.map(level -> " within " + ShortName.of(level)).orElse("")
                + " ("
                + need
                + "): "
                + new RosterNeed(answer);
    }

    /**
     * Returns a text that is equal for the same need in every roster: who asks, in which slot and
     * at which level, and in which place.
     */
    public String identity() {
        return identity(consumer, place, as, within);
    }

    /**
     * Returns the identity that a row would have.
     *
     * @param consumer the binary name of the class that asks
     * @param place where it asks
     * @param as the slot that the consumer fills; empty for an entry consumer
     * @param within the level at which the consumer was bound; empty for the whole profile
     */
    public static String identity(
            String consumer, NeedPlace place, Optional<Slot> as, Optional<String> within) {
        RequiredArgument.of(consumer, "consumer");
        RequiredArgument.of(place, "place");
        RequiredArgument.of(as, "as");
        RequiredArgument.of(within, "within");
        return String.join(
                "\t", consumer, place.code(), as.map(Slot::text).orElse(""), within.orElse(""));
    }

    /**
     * Returns what makes the objects of this row: the consumer, and the implementations and
     * decorators that it receives, those of members included; a factory as {@code Class#method}.
     */
    public Set<String> makers() {
        Set<String> makers = new LinkedHashSet<>(Set.of(consumer));
        List<Answer> open = new ArrayList<>(List.of(answer));
        for (int i = 0; i < open.size(); i++) {
            open.get(i).implementation().ifPresent(makers::add);
            makers.addAll(open.get(i).decorators());
            open.get(i).elements().forEach(element -> open.add(element.answer()));
        }
        return makers;
    }

    /** Returns this row with another answer. */
    public RosterRow with(Answer other) {
        RequiredArgument.of(other, "other");
        return new RosterRow(consumer, need, place, as, within, slot, carrier, other);
    }
}
