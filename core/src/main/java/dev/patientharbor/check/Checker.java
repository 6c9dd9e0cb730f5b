package dev.patientharbor.check;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.Side;
import dev.patientharbor.model.Circumstances;
import dev.patientharbor.model.Declaration;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.Written;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Resolver;
import dev.patientharbor.rules.RuleCatalog;
import dev.patientharbor.ruling.Reporter;
import dev.patientharbor.ruling.Rule;
import dev.patientharbor.ruling.RuleContext;
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
        List<Finding> before = new ArrayList<>(circumstances.earlier());
        before.addAll(whole.findings());
        Set<FindingKind> kinds = before.stream().map(Finding::kind).collect(Collectors.toSet());
        List<ResolvedSet> resolved = Resolver.resolve(set, sides, circumstances.settings());
        List<RuleFault> faults = new ArrayList<>();
        List<Reporter> reporters = new ArrayList<>();
        for (ResolvedSet side : resolved) {
            Reporter reporter = new Reporter(side, kinds);
            RuleContext context = new RuleContext(reporter);
            for (Rule rule : rules) {
                try {
                    rule.check(context);
                } catch (RuntimeException | StackOverflowError fault) {
                    faults.add(new RuleFault(rule.getClass().getSimpleName(), fault));
                }
            }
            reporters.add(reporter);
        }
        ClassNames names = sides.size() == 1 ? resolved.get(0).names() : new ClassNames(whole, set);
        Told told = new Told(before, reporters, set.profiles());
        List<Finding> ofSet = told.ofSet(names);
        boolean setIsWhole =
                faults.isEmpty()
                        && ofSet.stream().noneMatch(one -> one.kind().breaksCompleteness());
        Sieve sieve = new Sieve(set.strictness(), circumstances.today());
        Sieve.Sifted siftedOfSet = sieve.sift(ofSet);
        Map<Integer, Wiring> wirings = new HashMap<>();
        resolved.forEach(side -> wirings.putAll(side.wirings()));
        List<ProfileVerdict> profiles = new ArrayList<>();
        for (int number = 0; number < set.profiles().size(); number++) {
            profiles.add(
                    verdict(
                            set.profiles().get(number),
                            Optional.ofNullable(wirings.get(number)),
                            told.of(number),
                            setIsWhole && !told.isBrokenByParent(number),
                            sieve));
        }
        List<Finding> findings = new ArrayList<>(siftedOfSet.told());
        findings.addAll(sieve.findings(id -> !id.equals(FindingKinds.BUILD_FAILED.id())));
        findings.sort(Finding.ORDER);
        return new Verdict(
                resolved,
                whole,
                names,
                findings,
                siftedOfSet.suppressed(),
                profiles,
                profiles,
                faults);
    }

    private static ProfileVerdict verdict(
            Profile profile,
            Optional<Wiring> wiring,
            List<Finding> findings,
            boolean restIsWhole,
            Sieve sieve) {
        List<String> parents = profile.parents().stream().map(Written::text).toList();
        Map<AnswerKind, Integer> answers = wiring.map(Wiring::answers).orElse(Map.of());
        Optional<Boolean> complete =
                wiring.map(
                        one ->
                                restIsWhole
                                        && findings.stream()
                                                .noneMatch(f -> f.kind().breaksCompleteness()));
        int needs = answers.values().stream().mapToInt(Integer::intValue).sum();
        Sieve.Sifted sifted = sieve.sift(findings);
        return new ProfileVerdict(
                profile.name(),
                parents,
                complete,
                needs,
                answers,
                Optional.empty(),
                sifted.told(),
                sifted.suppressed());
    }
}
