package dev.patientharbor.check;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Circumstances;
import dev.patientharbor.model.Declaration;
import dev.patientharbor.model.Written;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.resolve.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Resolver;
import dev.patientharbor.resolve.Side;
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
     * Checks a set of which all profiles see the same code.
     *
     * @param set what was declared
     * @param code what was read
     */
    public static Verdict check(Declaration set, CodeIndex code, Circumstances circumstances) {
        return check(
                set,
                code,
                List.of(Side.ofAll(set, code)),
                circumstances,
                RuleCatalog.all(circumstances.today()));
    }

    /**
     * Checks a set of which each profile sees the code that it names: the set's and its own.
     *
     * @param set what was declared
     * @param places what was read, place by place
     */
    public static Verdict check(Declaration set, CodePlaces places, Circumstances circumstances) {
        return check(
                set,
                places.whole(),
                Side.of(set, places),
                circumstances,
                RuleCatalog.all(circumstances.today()));
    }

    /** Checks by some rules. */
    static Verdict check(
            Declaration set,
            CodeIndex whole,
            List<Side> sides,
            Circumstances circumstances,
            List<Rule> rules) {
        List<RuleFault> faults = new ArrayList<>();
        List<Reporter> reporters = new ArrayList<>();
        for (Side side : sides) {
            Reporter reporter = new Reporter(Resolver.resolve(set, side, circumstances.settings()));
            circumstances.earlier().forEach(reporter::report);
            side.code().findings().forEach(reporter::report);
            for (Rule rule : rules) {
                try {
                    rule.check(reporter.set(), reporter);
                } catch (RuntimeException | StackOverflowError fault) {
                    faults.add(new RuleFault(rule.getClass().getSimpleName(), fault));
                }
            }
            reporter.leaveOutConsequences();
            reporters.add(reporter);
        }
        Told told = new Told(reporters);
        List<Finding> ofSet = told.ofSet();
        boolean setIsWhole =
                faults.isEmpty()
                        && ofSet.stream().noneMatch(one -> one.kind().breaksCompleteness());
        Sieve sieve = new Sieve(set.strictness(), circumstances.today());
        Sieve.Sifted siftedOfSet = sieve.sift(ofSet);
        List<ProfileVerdict> profiles = new ArrayList<>();
        List<ResolvedSet> resolved = reporters.stream().map(Reporter::set).toList();
        for (ResolvedProfile profile : resolved.get(0).profiles()) {
            Optional<Wiring> wiring =
                    resolved.stream()
                            .flatMap(one -> one.wirings().get(profile.number()).stream())
                            .findFirst();
            profiles.add(verdict(profile, wiring, told, setIsWhole, sieve));
        }
        List<Finding> findings = new ArrayList<>(siftedOfSet.told());
        findings.addAll(sieve.findings(id -> !id.equals(FindingKinds.BUILD_FAILED.id())));
        findings.sort(Finding.ORDER);
        return new Verdict(
                resolved,
                names(set, whole, resolved),
                findings,
                siftedOfSet.suppressed(),
                profiles,
                profiles,
                faults);
    }

    private static ClassNames names(Declaration set, CodeIndex whole, List<ResolvedSet> sides) {
        return sides.size() == 1 ? sides.get(0).names() : new ClassNames(whole, set);
    }

    private static ProfileVerdict verdict(
            ResolvedProfile profile,
            Optional<Wiring> wiring,
            Told told,
            boolean setIsWhole,
            Sieve sieve) {
        List<Finding> findings = told.of(profile);
        List<String> parents = profile.declared().parents().stream().map(Written::text).toList();
        Map<AnswerKind, Integer> answers = wiring.map(Wiring::answers).orElse(Map.of());
        Optional<Boolean> complete =
                wiring.map(
                        one ->
                                setIsWhole
                                        && !told.isBrokenByParent(profile)
                                        && findings.stream()
                                                .noneMatch(f -> f.kind().breaksCompleteness()));
        int needs = answers.values().stream().mapToInt(Integer::intValue).sum();
        Sieve.Sifted sifted = sieve.sift(findings);
        return new ProfileVerdict(
                profile.declared().name(),
                parents,
                complete,
                needs,
                answers,
                Optional.empty(),
                sifted.told(),
                sifted.suppressed());
    }
}
