package dev.patientharbor.notation;

import java.util.ArrayList;
import java.util.List;

/** The classes that could fill a slot, which of them is bound, and why no earlier one is. */
final class DraftChoice {

    private static final String TO_FILL = "to-fill";

    private final List<String> candidates;
    private final List<String> refused = new ArrayList<>();
    private int chosen;

    DraftChoice(List<String> candidates) {
        this.candidates = candidates;
    }

    boolean isToFill() {
        return chosen >= candidates.size();
    }

    String supply() {
        return isToFill() ? TO_FILL : candidates.get(chosen);
    }

    /** Returns the classes that are not chosen, as the file writes them. */
    List<String> others() {
        List<String> others = new ArrayList<>(candidates);
        if (!isToFill()) {
            others.remove(chosen);
        }
        return others;
    }

    void refuse(String why) {
        if (!why.isEmpty()) {
            refused.add(
                    why.startsWith("with: ")
                            ? "{ class: " + candidates.get(chosen) + ", " + why + " }"
                            : candidates.get(chosen) + ": " + why);
        }
        chosen++;
    }

    String[] comments() {
        List<String> lines = new ArrayList<>();
        if (isToFill()) {
            lines.add(
                    candidates.isEmpty()
                            ? "no class of the code can stand behind it"
                            : "say which, and how it is made");
            lines.addAll(refused);
        } else if (candidates.size() > 1) {
            lines.add("chosen; there are also " + String.join(", ", others()));
        }
        return lines.toArray(String[]::new);
    }
}
