package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedReach;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.needs.Need;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.NearNames;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Reports limits of reach that limit nothing: of what is no need of the consumer, of an area, and
 * up to an area that does not enclose the consumer.
 */
final class ReachRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        for (ResolvedProfile owner : set.profiles()) {
            for (ResolvedReach reach : owner.ownReaches()) {
                if (!reach.level().isConsumer()) {
                    reporter.report(owner, List.of(), ofArea(set, reach));
                    continue;
                }
                Optional<List<Need>> needs = set.needs(reach.level());
                if (needs.isPresent() && needs.get().stream().noneMatch(it -> is(set, it, reach))) {
                    reporter.report(owner, List.of(), ofNothing(context, reach, needs.get()));
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
        WrittenName word = reach.declared().need();
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

    private static Finding ofNothing(RuleContext context, ResolvedReach reach, List<Need> needs) {
        ResolvedSet set = context.set();
        WrittenName word = reach.declared().need();
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
                        List.of(consumer(reach), word.text()),
                        set.whoStandsAt(reach.level()) + " has no need " + word.text() + ".")
                .withAny("did you mean", NearNames.of(word.text(), known))
                .with("needs", each.isEmpty() ? "none" : FindingWording.list(each))
                .with("do", "name a need or a slot of its, or take the line out");
    }

    private static Finding notEnclosing(ResolvedSet set, ResolvedReach reach) {
        WrittenName area = reach.declared().upTo().orElseThrow();
        return Finding.of(
                        FindingKinds.UNKNOWN_AREA,
                        area.at(),
                        List.of(consumer(reach), area.text()),
                        "The area "
                                + area.text()
                                + " does not enclose "
                                + set.whoStandsAt(reach.level())
                                + ", so nothing can be looked for up to it.")
                .with("do", "name an area of which it is a member, or one around that");
    }

    private static String consumer(ResolvedReach reach) {
        return reach.level().name().orElseThrow();
    }
}
