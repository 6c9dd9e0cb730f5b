package dev.patientharbor.notation;

import dev.patientharbor.survey.HandOver;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A profile file that wires as a method of the code does by hand, with the proof. Immutable.
 *
 * @param draft the file
 * @param handOvers by profile, all that the method hands over, and what the profile gives instead
 */
public record HandWiringDraft(ProfileDraft draft, Map<String, List<HandOver>> handOvers) {

    public HandWiringDraft {
        RequiredArgument.of(draft, "draft");
        RequiredArgument.of(handOvers, "handOvers");
        Map<String, List<HandOver>> copied = new LinkedHashMap<>();
        handOvers.forEach((profile, each) -> copied.put(profile, List.copyOf(each)));
        handOvers = Collections.unmodifiableMap(copied);
    }

    /** Returns whether each profile gives the same as the method, as far as it is understood. */
    public boolean isSame() {
        return handOvers.values().stream()
                .flatMap(List::stream)
                .allMatch(each -> each.isSame() || !each.isUnderstood());
    }
}
