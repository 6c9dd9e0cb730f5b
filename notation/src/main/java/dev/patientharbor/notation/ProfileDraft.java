package dev.patientharbor.notation;

import dev.patientharbor.texts.RequiredArgument;
import java.util.List;

/**
 * A first profile file for code that has none. Immutable.
 *
 * @param text the file, in YAML; every line ends with {@code \n}
 * @param toFill the slots for which a person has to say what fills them, as the file writes them
 * @param remarks what else is wrong with the draft as it is, one sentence each
 */
public record ProfileDraft(String text, List<String> toFill, List<String> remarks) {

    public ProfileDraft {
        RequiredArgument.of(text, "text");
        RequiredArgument.of(toFill, "toFill");
        RequiredArgument.of(remarks, "remarks");
        toFill = List.copyOf(toFill);
        remarks = List.copyOf(remarks);
    }

    /** Returns whether every profile of it is complete as it is. */
    public boolean isComplete() {
        return toFill.isEmpty() && remarks.isEmpty();
    }
}
