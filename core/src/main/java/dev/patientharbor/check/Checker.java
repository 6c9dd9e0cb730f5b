package dev.patientharbor.check;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.model.ProfileSet;
import dev.patientharbor.model.Settings;
import dev.patientharbor.model.Written;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.resolve.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Resolver;
import dev.patientharbor.resolve.Wiring;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Checks every profile of a set against compiled code. No class of the user's is loaded and none is
 * run.
 */
public final class Checker {

    private Checker() {}

    /**
     * Checks a set.
     *
     * @param set what was declared
     * @param code what was read
     * @param settings what {@code ${NAME}} stands for
     * @param earlier findings made before, such as those of reading the file; they count against
     *     completeness like others
     */
    public static Verdict check(
            ProfileSet set, CodeIndex code, Settings settings, List<Finding> earlier) {
        ResolvedSet resolved = Resolver.resolve(set, code, settings);
        Reporter reporter = new Reporter(resolved);
        earlier.forEach(reporter::report);
        code.findings().forEach(reporter::report);
        for (Rule rule : RuleCatalog.all()) {
            rule.check(resolved, reporter);
        }
        List<Finding> ofSet = reporter.ofSet();
        boolean setIsWhole = ofSet.stream().noneMatch(one -> one.kind().breaksCompleteness());
        List<ProfileVerdict> profiles = new ArrayList<>();
        for (ResolvedProfile profile : resolved.profiles()) {
            profiles.add(verdict(resolved, profile, reporter, setIsWhole));
        }
        return new Verdict(resolved, ofSet, profiles, profiles);
    }

    private static ProfileVerdict verdict(
            ResolvedSet set, ResolvedProfile profile, Reporter reporter, boolean setIsWhole) {
        List<Finding> findings = reporter.of(profile);
        List<String> parents = profile.declared().parents().stream().map(Written::text).toList();
        Optional<Wiring> wiring = set.wirings().get(profile.number());
        Map<AnswerKind, Integer> answers = wiring.map(Wiring::answers).orElse(Map.of());
        Optional<Boolean> complete =
                wiring.map(
                        one ->
                                setIsWhole
                                        && !reporter.isBrokenByParent(profile)
                                        && findings.stream()
                                                .noneMatch(f -> f.kind().breaksCompleteness()));
        int needs = answers.values().stream().mapToInt(Integer::intValue).sum();
        return new ProfileVerdict(
                profile.declared().name(), parents, complete, needs, answers, findings);
    }
}
