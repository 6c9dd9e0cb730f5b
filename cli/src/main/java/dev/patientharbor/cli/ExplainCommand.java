package dev.patientharbor.cli;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.explaining.NeedExplanation;
import dev.patientharbor.explaining.ReceiverFinder;
import dev.patientharbor.explaining.ReceivingNeed;
import dev.patientharbor.explaining.SubjectFinder;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.ExplanationText;
import dev.patientharbor.report.FindingPages;
import dev.patientharbor.report.ProfileExplanationText;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.NearNames;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code explain}: why does it receive that, who receives this, what does that mean? */
final class ExplainCommand {

    private ExplainCommand() {}

    static CommandSpec spec() {
        return CompareOptions.explaining();
    }

    static int run(ParseResult parsed, Console console) {
        CompareOptions.Compared subject = CompareOptions.compared(parsed);
        if (subject.names().size() != 1) {
            throw new UnusableException(
                    "explain takes one subject: a consumer, CONSUMER.NEED, a slot, an"
                            + " implementation, a profile or the id of a finding");
        }
        String name = subject.names().get(0);
        Optional<FindingKind> kind =
                FindingKinds.all().stream().filter(each -> each.id().equals(name)).findFirst();
        if (kind.isPresent() && subject.file().isEmpty()) {
            ResultOutput output = ResultOutput.of(parsed, console);
            output.write(FindingPages.text(kind.get(), output.layout()));
            return ExitCode.CLEAN;
        }
        ProfileSet set = CheckRun.set(parsed, subject.file());
        ResultOutput output = ResultOutput.of(parsed, set, console);
        Verdict verdict = CheckRun.verdict(set, parsed);
        Map<String, Roster> rosters = verdict.rosters();
        SubjectFinder subjects = new SubjectFinder(rosters.values(), verdict::shortName);
        StringBuilder text = new StringBuilder();
        if (verdict.profiles().stream().anyMatch(profile -> profile.name().equals(name))) {
            text.append(ExplanationText.places(verdict, output.layout()));
            text.append(
                    ProfileExplanationText.of(
                            verdict, verdict.explainProfile(name), output.layout()));
        }
        Predicate<RosterRow> asking = subjects.asking(name);
        List<NeedExplanation> needs =
                rosters.keySet().stream()
                        .flatMap(profile -> verdict.explain(profile, asking).stream())
                        .toList();
        if (!needs.isEmpty()) {
            if (text.isEmpty()) {
                text.append(ExplanationText.places(verdict, output.layout()));
            }
            text.append(ExplanationText.ofNeeds(verdict, needs, output.layout()));
        }
        text.append(
                ExplanationText.ofConsumers(
                        verdict, consumers(verdict, subjects, needs, name), output.layout()));
        for (Slot slot : subjects.slots(name)) {
            text.append(
                    received(
                            verdict,
                            slot.text(verdict::shortName),
                            rosters,
                            roster -> ReceiverFinder.ofSlot(roster, slot),
                            output));
        }
        for (String maker : subjects.makers(name)) {
            text.append(
                    received(
                            verdict,
                            subjects.shortMaker(maker),
                            rosters,
                            roster -> ReceiverFinder.ofImplementation(roster, maker),
                            output));
        }
        kind.ifPresent(each -> text.append(FindingPages.text(each, output.layout())));
        if (text.isEmpty()) {
            if (rosters.isEmpty()) {
                CommandEnding.pointToFindings(verdict, console);
            }
            throw new UnusableException(nothing(verdict, subjects, name));
        }
        output.write(text.toString());
        CommandEnding.pointToFindings(verdict, console);
        return ExitCode.CLEAN;
    }

    /** The classes of a name that may make something by themselves, by binary name. */
    private static Set<String> consumers(
            Verdict verdict, SubjectFinder subjects, List<NeedExplanation> needs, String name) {
        Set<String> all = new LinkedHashSet<>(verdict.hardWired().keySet());
        needs.forEach(need -> all.add(need.row().consumer()));
        all.removeIf(each -> !each.equals(name) && !verdict.shortName(each).equals(name));
        subjects.makers(name).stream().filter(maker -> maker.indexOf('#') < 0).forEach(all::add);
        return all;
    }

    private static String received(
            Verdict verdict,
            String what,
            Map<String, Roster> rosters,
            Function<Roster, List<ReceivingNeed>> question,
            ResultOutput output) {
        Map<String, List<ReceivingNeed>> receivers = new LinkedHashMap<>();
        rosters.forEach((profile, roster) -> receivers.put(profile, question.apply(roster)));
        return ExplanationText.ofReceivers(verdict, what, receivers, output.layout());
    }

    private static String nothing(Verdict verdict, SubjectFinder subjects, String name) {
        List<String> near = subjects.near(name);
        List<String> others =
                NearNames.of(
                        name,
                        Stream.concat(
                                        verdict.profiles().stream().map(ProfileVerdict::name),
                                        FindingKinds.all().stream().map(FindingKind::id))
                                .toList());
        return "nothing in the profiles shown is called "
                + name
                + (near.isEmpty() && others.isEmpty()
                        ? "; explain takes a consumer, CONSUMER.NEED, a slot, an implementation, a"
                                + " profile or the id of a finding"
                        : "; near: "
                                + Stream.concat(near.stream(), others.stream())
                                        .collect(Collectors.joining(", ")));
    }
}
