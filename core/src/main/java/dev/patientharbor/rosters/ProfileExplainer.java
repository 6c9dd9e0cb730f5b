package dev.patientharbor.rosters;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecoratorStatement;
import dev.patientharbor.explaining.ProfileExplanation;
import dev.patientharbor.explaining.RuleInForce;
import dev.patientharbor.explaining.SaidWord;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.DecoratorStatement;
import dev.patientharbor.model.Demand;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Explains a profile: what it extends, what it says itself and what that decides, its rules. */
public final class ProfileExplainer {

    private final ResolvedSet set;
    private final ResolvedProfile profile;
    private final WordUses uses;
    private final SortedMap<Integer, String> heirs = new TreeMap<>();

    private ProfileExplainer(ResolvedSet set, ResolvedProfile profile) {
        this.set = set;
        this.profile = profile;
        uses = new WordUses(profile.profileNumber());
    }

    /**
     * Explains a profile.
     *
     * @param sides the sides of a check; one that has the profile is among them
     * @param profile its number
     */
    public static ProfileExplanation explanation(List<ResolvedSet> sides, int profile) {
        List<ResolvedSet> having = sides.stream().filter(side -> side.has(profile)).toList();
        ResolvedSet first = having.get(0);
        ProfileExplainer explainer = new ProfileExplainer(first, first.profile(profile));
        for (ResolvedSet side : having) {
            synchronized (side) {
                side.profiles().stream()
                        .filter(other -> other.profileNumber() != profile)
                        .filter(other -> other.isOrExtends(profile))
                        .forEach(
                                other ->
                                        explainer.heirs.put(
                                                other.profileNumber(), other.declared().name()));
                explainer.uses.count(side);
            }
        }
        synchronized (first) {
            return explainer.explanation();
        }
    }

    private ProfileExplanation explanation() {
        List<SaidWord> says = new ArrayList<>();
        profile.ownBindings().forEach(binding -> says.add(said(binding)));
        profile.ownDecoratorStatements().forEach(statement -> says.add(said(statement)));
        return new ProfileExplanation(
                profile.declared().name(),
                profile.declared().partial(),
                profile.declared().at(),
                profile.line().stream()
                        .skip(1)
                        .map(number -> set.profile(number).declared().name())
                        .toList(),
                List.copyOf(heirs.values()),
                says.stream().sorted(Comparator.comparing(SaidWord::at)).toList(),
                profile.demands().stream().map(demand -> rule(demand.declared())).toList());
    }

    private SaidWord said(ResolvedBinding binding) {
        SourcePosition at = binding.declared().at();
        return new SaidWord(
                level(binding.slot()),
                set.text(binding.declared().slot()),
                binding.declared().supply().words(),
                at,
                uses.of(at),
                uses.without(at));
    }

    private SaidWord said(ResolvedDecoratorStatement statement) {
        DecoratorStatement declared = statement.declared();
        Map<String, Integer> counts = new LinkedHashMap<>();
        addMost(uses.of(declared.at()), counts);
        declared.added().stream()
                .map(decorator -> decorator.name().at())
                .distinct()
                .forEach(at -> addMost(uses.of(at), counts));
        return new SaidWord(
                level(statement.slot()),
                set.text(declared.slot()),
                words(declared),
                declared.at(),
                counts,
                Optional.empty());
    }

    private static void addMost(Map<String, Integer> more, Map<String, Integer> counts) {
        more.forEach((name, needs) -> counts.merge(name, needs, Math::max));
    }

    private static String words(DecoratorStatement statement) {
        String added =
                statement.added().stream()
                        .map(decorator -> decorator.name().text())
                        .collect(Collectors.joining(", "));
        String dropped =
                statement.drop().stream().map(WrittenName::text).collect(Collectors.joining(", "));
        if (added.isEmpty() && dropped.isEmpty()) {
            return "decorated with nothing";
        }
        return (dropped.isEmpty() ? "" : "without " + dropped)
                + (added.isEmpty() || dropped.isEmpty() ? "" : ", ")
                + (added.isEmpty() ? "" : "decorated with " + added);
    }

    private String level(Optional<Integer> slot) {
        return slot.map(number -> set.levelText(set.slots().level(number))).orElse("whole profile");
    }

    private RuleInForce rule(Demand demand) {
        List<String> words = demand.words().stream().map(WrittenName::text).toList();
        String subject =
                Stream.of(
                                demand.slot().map(set::text),
                                Optional.of(words)
                                        .filter(all -> !all.isEmpty())
                                        .map(all -> all.size() == 1 ? all.get(0) : all.toString()),
                                demand.lifetime().map(Lifetime::word))
                        .flatMap(Optional::stream)
                        .collect(Collectors.joining(" "));
        return new RuleInForce(
                demand.kind().word() + ": " + (subject.isEmpty() ? "forbidden" : subject),
                saidIn(demand),
                demand.at());
    }

    /** The profile that says a rule: the last in line that has it. */
    private String saidIn(Demand demand) {
        return profile.line().stream()
                .map(set::profile)
                .filter(
                        each ->
                                each.declared().terms().demands().stream()
                                        .anyMatch(said -> said == demand))
                .findFirst()
                .orElse(profile)
                .declared()
                .name();
    }
}
