package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a check found in one profile.
 *
 * @param name the profile
 * @param parents what it extends, in order
 * @param complete whether every need is met and every binding can be built; empty for a partial
 *     profile
 * @param needs how many needs its entry consumers lead to
 * @param answers how many of them receive what
 * @param built whether all its objects could be made; empty if nobody tried to
 * @param findings what is wrong in it, in order of place
 * @param suppressed what is wrong in it and not reported
 */
public record ProfileVerdict(
        String name,
        List<String> parents,
        Optional<Boolean> complete,
        int needs,
        Map<AnswerKind, Integer> answers,
        Optional<Boolean> built,
        List<Finding> findings,
        List<SuppressedFinding> suppressed) {
    public ProfileVerdict {
        RequiredArgument.of(name, "name");
        RequiredArgument.of(parents, "parents");
        RequiredArgument.of(complete, "complete");
        RequiredArgument.of(answers, "answers");
        RequiredArgument.of(built, "built");
        RequiredArgument.of(findings, "findings");
        RequiredArgument.of(suppressed, "suppressed");
        parents = List.copyOf(parents);
        EnumMap<AnswerKind, Integer> counts = new EnumMap<>(AnswerKind.class);
        counts.putAll(answers);
        answers = Collections.unmodifiableMap(counts);
        findings = List.copyOf(findings);
        suppressed = List.copyOf(suppressed);
    }

    /** Returns this verdict after the profile was really built, with what was found. */
    ProfileVerdict built(List<Finding> told, List<SuppressedFinding> silent) {
        return with(told, silent, Optional.of(told.isEmpty() && silent.isEmpty()));
    }

    /** Returns this verdict with more findings. */
    ProfileVerdict with(List<Finding> told, List<SuppressedFinding> silent) {
        return with(told, silent, built);
    }

    private ProfileVerdict with(
            List<Finding> told, List<SuppressedFinding> silent, Optional<Boolean> whole) {
        List<Finding> all = new ArrayList<>(findings);
        all.addAll(told);
        all.sort(Finding.ORDER);
        List<SuppressedFinding> allSilent = new ArrayList<>(suppressed);
        allSilent.addAll(silent);
        return new ProfileVerdict(name, parents, complete, needs, answers, whole, all, allSilent);
    }

    /** Returns whether this profile is partial: only there to be extended. */
    public boolean isPartial() {
        return complete.isEmpty();
    }

    /** Returns how many needs are met. */
    public int met() {
        return needs - answers.getOrDefault(AnswerKind.UNMET, 0);
    }
}
