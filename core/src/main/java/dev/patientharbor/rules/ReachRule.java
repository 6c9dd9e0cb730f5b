package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedReach;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.NearNames;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.Written;
import dev.patientharbor.needs.Need;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.Reporter;
import dev.patientharbor.ruling.Rule;
import dev.patientharbor.ruling.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Tells limits of reach that limit nothing: of what is no need of the consumer, of an area, and up
 * to an area that does not enclose the consumer.
 */
final class ReachRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        for (ResolvedProfile owner : set.profiles()) {
            for (ResolvedReach reach : owner.ownReaches()) {
                if (!set.levels().isConsumer(reach.level())) {
                    reporter.report(owner, List.of(), ofArea(set, reach));
                    continue;
                }
                Optional<List<Need>> needs = set.needs(reach.level());
                if (needs.isPresent() && needs.get().stream().noneMatch(it -> is(set, it, reach))) {
                    reporter.report(owner, List.of(), ofNothing(set, reach, needs.get()));
                }
                if (reach.upTo().isPresent() && !set.encloses(reach.upTo().get(), reach.level())) {
                    reporter.report(owner, List.of(), notEnclosing(set, reach));
                }
            }
        }
    }

    private static boolean is(ResolvedSet set, Need need, ResolvedReach reach) {
        return need.name().equals(reach.declared().need().text())
                || reach.slot().filter(slot -> set.slots().isFor(need.slot(), slot)).isPresent();
    }

    private static Finding ofArea(ResolvedSet set, ResolvedReach reach) {
        Written word = reach.declared().need();
        return Finding.of(
                        FindingKinds.LIMITS_NOTHING,
                        word.at(),
                        List.of(set.levelText(reach.level()), word.text()),
                        "The reach of "
                                + word.text()
                                + " is said of "
                                + set.levelText(reach.level())
                                + ", and only a consumer has needs.")
                .with("do", "say it under within › CONSUMER › reach");
    }

    private static Finding ofNothing(ResolvedSet set, ResolvedReach reach, List<Need> needs) {
        Written word = reach.declared().need();
        List<String> known = new ArrayList<>();
        for (Need need : needs) {
            known.add(need.name());
            known.add(set.text(need.slot()));
        }
        List<String> each =
                needs.stream().map(it -> it.name() + " (" + set.text(it.slot()) + ")").toList();
        return Finding.of(
                        FindingKinds.LIMITS_NOTHING,
                        word.at(),
                        List.of(consumer(set, reach), word.text()),
                        set.whoStandsAt(reach.level()) + " has no need " + word.text() + ".")
                .withAny("did you mean", NearNames.of(word.text(), known))
                .with("needs", each.isEmpty() ? "none" : new Wording(set).list(each))
                .with("do", "name a need or a slot of its, or take the line out");
    }

    private static Finding notEnclosing(ResolvedSet set, ResolvedReach reach) {
        Written area = reach.declared().upTo().orElseThrow();
        return Finding.of(
                        FindingKinds.UNKNOWN_AREA,
                        area.at(),
                        List.of(consumer(set, reach), area.text()),
                        "The area "
                                + area.text()
                                + " does not enclose "
                                + set.whoStandsAt(reach.level())
                                + ", so nothing can be looked for up to it.")
                .with("do", "name an area of which it is a member, or one around that");
    }

    private static String consumer(ResolvedSet set, ResolvedReach reach) {
        return set.levels().name(reach.level()).orElseThrow();
    }
}
