package dev.patientharbor.explaining;

import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.texts.RequiredArgument;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Why a need receives what it does in a profile. Immutable.
 *
 * @param profile the profile
 * @param row the need with its answer
 * @param considered all that was looked at, in that order: level by level, nearest first, and at
 *     each level profile by profile; then what could fill the slot without a word
 */
public record NeedExplanation(String profile, RosterRow row, List<ConsideredWord> considered) {

    public NeedExplanation {
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(row, "row");
        RequiredArgument.of(considered, "considered");
        considered = List.copyOf(considered);
    }

    /** Returns the word that decides; empty if nothing says anything, or a wrapping is made. */
    public Optional<ConsideredWord> winner() {
        return considered.stream().filter(ConsideredWord::wins).findFirst();
    }

    /** Returns what would decide if the winner were not there; empty if nothing would. */
    public Optional<ConsideredWord> firstLoser() {
        String takenAway = "";
        boolean isAfter = false;
        for (ConsideredWord word : considered) {
            boolean counts = isAfter && !word.isNothing() && !word.level().equals(takenAway);
            if (counts && word.takesAway()) {
                takenAway = word.level();
            } else if (counts) {
                return Optional.of(word);
            }
            isAfter |= word.wins();
        }
        return Optional.empty();
    }

    /** Returns the explanation as a failed assertion shows it. */
    @Override
    public String toString() {
        return row
                + " in "
                + profile
                + considered.stream()
                        .map(
                                word ->
                                        "\n  "
                                                + word.level()
                                                + (word.profile().isEmpty()
                                                        ? ""
                                                        : " in " + word.profile())
                                                + ": "
                                                + word.word()
                                                + word.at().map(at -> " " + at.text()).orElse("")
                                                + (word.why().isEmpty() ? "" : ", " + word.why()))
                        .collect(Collectors.joining());
    }
}
