package dev.patientharbor.check;

import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.resolve.RandomSets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a check says of completeness is what the roster says, on thousands of random profiles. */
class CompleteIsMetTest {

    private static final int WORLDS = 1500;

    private static final Set<FindingKind> LACKS =
            Set.of(FindingKinds.UNMET_NEED, FindingKinds.EMPTY_COLLECTION);

    private static final Set<FindingKind> TOLD_ONCE =
            Set.of(FindingKinds.TWO_CANDIDATES, FindingKinds.CYCLE);

    @Test
    void a_profile_is_complete_just_when_its_roster_lacks_nothing_and_who_lacks_is_named() {
        long first = Long.getLong("patientharbor.seed", 1);
        int complete = 0;
        int lacking = 0;
        for (long seed = first; seed < first + WORLDS; seed++) {
            Verdict verdict = RandomSets.check(seed, seed % 3 == 0);
            assertTrue(verdict.faults().isEmpty(), seed + " " + verdict.faults());
            for (ProfileVerdict profile : verdict.profiles()) {
                String again = "again with -Dpatientharbor.seed=" + seed + ", " + profile.name();
                List<Finding> grave = new ArrayList<>(profile.findings());
                grave.addAll(verdict.findings());
                grave.removeIf(finding -> !finding.kind().breaksCompleteness());
                Set<String> named = new HashSet<>();
                grave.forEach(finding -> named.addAll(finding.consumers()));
                boolean isWhole = true;
                for (RosterRow row : verdict.roster(profile.name()).rows()) {
                    if (!isMet(row.answer())) {
                        isWhole = false;
                        lacking++;
                        assertTrue(
                                named.contains(row.consumer()),
                                again + ": nobody names " + row + " among " + grave);
                    }
                }
                Set<String> causes = new HashSet<>();
                for (Finding one : profile.findings()) {
                    boolean isOfNeed = LACKS.contains(one.kind()) || TOLD_ONCE.contains(one.kind());
                    assertTrue(
                            !isOfNeed || causes.add(one.kind().id() + ' ' + one.cause()),
                            again + ": told twice: " + one);
                }
                boolean said = profile.complete().orElseThrow();
                assertTrue(said == grave.isEmpty(), again);
                assertTrue(!said || isWhole, again + ": complete, and something is not met");
                assertTrue(
                        !isWhole
                                || grave.stream()
                                        .noneMatch(finding -> LACKS.contains(finding.kind())),
                        again + ": nothing lacks, and it is told: " + grave);
                complete += said ? 1 : 0;
            }
        }
        assertTrue(complete > 200 && lacking > 5000, complete + " complete, " + lacking + " lack");
    }

    /** An empty collection lacks its members. */
    private static boolean isMet(Answer answer) {
        return answer.kind() == AnswerKind.COLLECTION
                ? !answer.elements().isEmpty()
                        && answer.elements().stream().allMatch(element -> isMet(element.answer()))
                : answer.isMet();
    }
}
