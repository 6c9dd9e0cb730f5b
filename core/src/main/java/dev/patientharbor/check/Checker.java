package dev.patientharbor.check;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingDetail;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.CodeSide;
import dev.patientharbor.model.CheckCircumstances;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Resolver;
import dev.patientharbor.rules.RuleCatalog;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Checks every profile of a set against compiled code. No class of the user's is loaded and none is
 * run. For our own modules: users ask a {@link dev.patientharbor.check.Verdict} of a set.
 */
public final class Checker {

    private Checker() {}

    /**
     * Checks a set.
     *
     * @param set what was declared
     * @param places the code, place by place, as this check sees it
     */
    public static Verdict check(
            SetDeclaration set, CodePlaces places, CheckCircumstances circumstances) {
        return check(
                set,
                places,
                CodeSide.of(set, places),
                circumstances,
                RuleCatalog.all(circumstances.today()));
    }

    /** Checks by some rules. */
    static Verdict check(
            SetDeclaration set,
            CodePlaces places,
            List<CodeSide> sides,
            CheckCircumstances circumstances,
            List<CheckRule> rules) {
        List<Finding> before = new ArrayList<>(circumstances.earlier());
        CodeIndex whole = places.whole();
        before.addAll(whole.findings());
        Set<FindingKind> kinds = before.stream().map(Finding::kind).collect(Collectors.toSet());
        List<ResolvedSet> resolved = Resolver.resolve(set, sides, circumstances.settings());
        List<RuleFault> faults = new ArrayList<>();
        List<FindingReporter> reporters = new ArrayList<>();
        for (ResolvedSet side : resolved) {
            FindingReporter reporter = new FindingReporter(side, kinds);
            RuleContext context = new RuleContext(reporter);
            for (CheckRule rule : rules) {
                try {
                    rule.check(context);
                } catch (RuntimeException | StackOverflowError fault) {
                    faults.add(new RuleFault(rule.getClass().getSimpleName(), fault));
                }
            }
            reporters.add(reporter);
        }
        boolean isAllSeen = sides.size() == 1 && sides.get(0).code() == whole;
        ClassNames names = isAllSeen ? resolved.get(0).names() : new ClassNames(whole, set);
        List<Finding> others = new ArrayList<>(circumstances.earlier());
        Set<Finding> inDoubt =
                resolved.stream()
                        .flatMap(side -> side.unreadable().stream())
                        .collect(Collectors.toSet());
        for (Finding fault : places.findings()) {
            others.add(inDoubt.contains(fault) ? withDoubt(fault) : fault);
        }
        JoinedFindings joined = new JoinedFindings(others, reporters, set.profiles());
        List<Finding> ofSet = joined.ofSet(names);
        boolean setIsWhole =
                faults.isEmpty()
                        && ofSet.stream().noneMatch(finding -> finding.kind().breaksCompleteness());
        SuppressionFilter filter = new SuppressionFilter(set.strictness(), circumstances.today());
        SuppressionFilter.FilteredFindings siftedOfSet = filter.filter(ofSet);
        Map<Integer, Wiring> wirings = new HashMap<>();
        resolved.forEach(side -> wirings.putAll(side.wirings()));
        List<ProfileVerdict> profiles = new ArrayList<>();
        for (int profileNumber = 0; profileNumber < set.profiles().size(); profileNumber++) {
            profiles.add(
                    verdict(
                            set.profiles().get(profileNumber),
                            Optional.ofNullable(wirings.get(profileNumber)),
                            joined.of(profileNumber),
                            setIsWhole && !joined.isBrokenByParent(profileNumber),
                            filter));
        }
        List<Finding> findings = new ArrayList<>(siftedOfSet.reported());
        findings.addAll(filter.findings(id -> !FindingKinds.isOnDemand(id)));
        findings.sort(Finding.ORDER);
        return new Verdict(
                resolved,
                new ProfileAnswers(
                        resolved, profiles.stream().map(ProfileVerdict::name).toList(), findings),
                places,
                places.lookedAt(),
                names,
                findings,
                siftedOfSet.suppressed(),
                profiles,
                profiles,
                faults);
    }

    /** A file that cannot be read, and in which an answer was looked for. */
    private static Finding withDoubt(Finding unreadable) {
        Finding told =
                Finding.of(
                                FindingKinds.ANSWER_IN_DOUBT,
                                unreadable.at(),
                                unreadable.cause(),
                                unreadable.message())
                        .with("so", "no profile is complete: an answer may depend on it");
        for (FindingDetail detail : unreadable.details()) {
            told = told.with(detail.label(), detail.text());
        }
        return told;
    }

    private static ProfileVerdict verdict(
            Profile profile,
            Optional<Wiring> wiring,
            List<Finding> findings,
            boolean restIsWhole,
            SuppressionFilter filter) {
        List<String> parents = profile.parents().stream().map(WrittenName::text).toList();
        Map<AnswerKind, Integer> answers = wiring.map(Wiring::answers).orElse(Map.of());
        Optional<Boolean> complete =
                wiring.map(
                        each ->
                                restIsWhole
                                        && findings.stream()
                                                .noneMatch(f -> f.kind().breaksCompleteness()));
        int needs = 0;
        for (int count : answers.values()) {
            needs += count;
        }
        SuppressionFilter.FilteredFindings sifted = filter.filter(findings);
        return new ProfileVerdict(
                profile.name(),
                parents,
                complete,
                needs,
                answers,
                Optional.empty(),
                sifted.reported(),
                sifted.suppressed());
    }
}
