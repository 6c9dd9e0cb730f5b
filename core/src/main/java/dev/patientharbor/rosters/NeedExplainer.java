package dev.patientharbor.rosters;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.explaining.ConsideredWord;
import dev.patientharbor.explaining.NeedExplanation;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Reach;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.wiring.SearchedLevels;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** Explains every need of a profile: what was looked at, and why each word won or lost. */
public final class NeedExplainer {

    private final ResolvedSet set;
    private final Wiring wiring;

    private NeedExplainer(ResolvedSet set, Wiring wiring) {
        this.set = set;
        this.wiring = wiring;
    }

    /**
     * Returns an explanation for each row of the roster that is wanted, in its order.
     *
     * @param roster that of the same wiring
     */
    public static List<NeedExplanation> explanations(
            ResolvedSet set, Wiring wiring, Roster roster, Predicate<RosterRow> wanted) {
        Map<String, RosterRow> rows = new LinkedHashMap<>();
        Set<String> consumers = new HashSet<>();
        for (RosterRow row : roster.rows()) {
            if (wanted.test(row)) {
                rows.put(row.identity(), row);
                consumers.add(row.consumer());
            }
        }
        Map<String, NeedExplanation> found = new HashMap<>();
        NeedExplainer explainer = new NeedExplainer(set, wiring);
        Set<Integer> entries = new HashSet<>(wiring.entries());
        for (int i = 0; !rows.isEmpty() && i < wiring.reachedSize(); i++) {
            int seat = wiring.reached(i);
            wiring.eachNeed(
                    seat,
                    (consumer, need, asked) -> {
                        if (consumers.contains(consumer.className())) {
                            String identity =
                                    RosterRow.identity(
                                            consumer.className(),
                                            need.place(),
                                            entries.contains(seat)
                                                    ? Optional.empty()
                                                    : Optional.of(set.slots().slot(seat)),
                                            set.slots().level(seat).name());
                            Optional.ofNullable(rows.get(identity))
                                    .ifPresent(
                                            row ->
                                                    found.computeIfAbsent(
                                                            identity,
                                                            key ->
                                                                    explainer.explanation(
                                                                            row, seat, consumer,
                                                                            need, asked)));
                        }
                    });
        }
        return rows.keySet().stream().map(found::get).toList();
    }

    private NeedExplanation explanation(
            RosterRow row, int seat, Blueprint consumer, Need need, int asked) {
        return new NeedExplanation(
                wiring.profile().declared().name(), row, words(seat, consumer, need, asked));
    }

    private List<ConsideredWord> words(int seat, Blueprint consumer, Need need, int asked) {
        List<ConsideredWord> words = new ArrayList<>();
        Optional<BindingLevel> decided = Optional.empty();
        SearchedLevels levels = wiring.searched(seat, consumer, need);
        for (BindingLevel level : levels.outward()) {
            if (!levels.searched().contains(level)) {
                words.add(outOfReach(level, levels.reach().orElseThrow().declared()));
                continue;
            }
            int said = set.slots().at(need.slot(), level.statedAt());
            List<ResolvedBinding> statements = wiring.profile().statements(said);
            boolean holds = wiring.profile().binding(said).isPresent();
            if (statements.isEmpty()) {
                words.add(
                        new ConsideredWord(
                                set.levelText(level), "", "nothing", Optional.empty(), false, ""));
            }
            for (int i = 0; i < statements.size(); i++) {
                boolean wins = i == 0 && holds && decided.isEmpty();
                String why =
                        wins
                                ? "wins"
                                : i > 0
                                        ? "loses: "
                                                + profile(statements.get(i - 1))
                                                + " says it anew"
                                        : holds
                                                ? "loses: "
                                                        + set.levelText(decided.orElseThrow())
                                                        + " is nearer"
                                                : "takes away what is said below it";
                words.add(word(level, statements.get(i), wins, why));
                decided = wins ? Optional.of(level) : decided;
            }
        }
        addFillers(words, need, asked, decided.isPresent());
        return words;
    }

    private ConsideredWord outOfReach(BindingLevel level, Reach reach) {
        return new ConsideredWord(
                set.levelText(level),
                "",
                ConsideredWord.OUT_OF_REACH,
                Optional.of(reach.need().at()),
                false,
                reach.need().text()
                        + " looks "
                        + reach.range().word()
                        + reach.upTo().map(area -> " " + area.text()).orElse(""));
    }

    private String profile(ResolvedBinding binding) {
        return set.profile(binding.owner()).declared().name();
    }

    private ConsideredWord word(
            BindingLevel level, ResolvedBinding binding, boolean wins, String why) {
        return new ConsideredWord(
                set.levelText(level),
                profile(binding),
                binding.declared().supply().words(),
                Optional.of(binding.declared().at()),
                wins,
                why);
    }

    /** What fills a slot that nothing binds: a class of the code, or the class itself. */
    private void addFillers(List<ConsideredWord> words, Need need, int asked, boolean isDecided) {
        SlotOutcome outcome = wiring.outcome(wiring.pastAliases(asked).orElse(asked));
        if (!isDecided && outcome.binding().isEmpty() && outcome.blueprint().isPresent()) {
            String name = outcome.blueprint().get().className();
            words.add(
                    new ConsideredWord(
                            "the code",
                            "",
                            set.names().shortName(name),
                            Optional.of(SourcePosition.classNamed(name)),
                            true,
                            outcome.filledBy().isPresent()
                                    ? "fills it: fill-in " + outcome.filledBy().get().word()
                                    : "wins: the class supplies itself"));
        }
        if (isDecided) {
            for (String name : set.fillers(set.slots().wholeSlot(need.slot()))) {
                words.add(
                        new ConsideredWord(
                                "the code",
                                "",
                                set.names().shortName(name),
                                Optional.of(SourcePosition.classNamed(name)),
                                false,
                                "loses: what is said is stronger"));
            }
        }
    }
}
