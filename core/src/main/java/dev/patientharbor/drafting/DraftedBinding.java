package dev.patientharbor.drafting;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A binding or a decorator of a drafted profile. Immutable.
 *
 * @param form what follows the slot
 * @param supply a class, a factory as {@code Class#method}, or a slot; blank where the form says
 *     all
 * @param members of a collection, in order
 * @param values what is given by value, by the names of parameters: texts, lists and maps
 * @param constructor the parameter types of the constructor, where one has to be named
 * @param isFresh whether each who asks is handed a new one
 * @param comment why it is not known, where it is to be filled; else blank
 */
public record DraftedBinding(
        Form form,
        String supply,
        List<String> members,
        Map<String, Object> values,
        Optional<List<String>> constructor,
        boolean isFresh,
        String comment) {

    /** What a binding says. */
    public enum Form {
        CLASS,
        FACTORY,
        SAME_AS,
        MEMBERS,
        ABSENT,
        TO_FILL
    }

    static DraftedBinding of(Form form, String supply, String comment) {
        return new DraftedBinding(
                form, supply, List.of(), Map.of(), Optional.empty(), false, comment);
    }

    static DraftedBinding members(List<String> members) {
        return new DraftedBinding(Form.MEMBERS, "", members, Map.of(), Optional.empty(), false, "");
    }
}
