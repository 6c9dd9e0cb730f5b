package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.explaining.NeedExplanation;
import dev.patientharbor.explaining.ReceiverFinder;
import dev.patientharbor.explaining.ReceivingNeed;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.ExplanationText;
import dev.patientharbor.terms.Slot;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code explain}: why does it receive that, and who receives this? */
final class ExplainCommand {

    private ExplainCommand() {}

    static CommandSpec spec() {
        return CompareOptions.explaining(
                "Explains one answer: of a consumer or one of its needs, why it receives that; of a"
                        + " slot or an implementation, who receives it.");
    }

    static int run(ParseResult parsed, Console console) {
        CompareOptions.Compared subject = CompareOptions.compared(parsed);
        if (subject.names().size() != 1) {
            throw new UnusableException(
                    "explain takes one subject: a consumer, CONSUMER.NEED, a slot or an"
                            + " implementation");
        }
        ProfileSet set = CheckRun.set(parsed, subject.file());
        ResultOutput output = ResultOutput.of(parsed, set, console);
        Verdict verdict = CheckRun.verdict(set, parsed);
        String name = subject.names().get(0);
        Map<String, Roster> rosters = rosters(verdict);
        StringBuilder text = new StringBuilder();
        List<NeedExplanation> needs = needs(verdict, rosters.keySet(), name);
        if (!needs.isEmpty()) {
            text.append(ExplanationText.ofNeeds(verdict, needs, output.layout()));
        }
        for (Slot slot : slots(rosters, verdict, name)) {
            text.append(
                    received(
                            verdict,
                            slot.text(verdict::shortName),
                            rosters,
                            roster -> ReceiverFinder.ofSlot(roster, slot),
                            output));
        }
        for (String maker : makers(rosters, verdict, name)) {
            text.append(
                    received(
                            verdict,
                            shortMaker(verdict, maker),
                            rosters,
                            roster -> ReceiverFinder.ofImplementation(roster, maker),
                            output));
        }
        if (text.isEmpty()) {
            throw new UnusableException(nothing(rosters, verdict, name));
        }
        output.write(text.toString());
        CommandEnding.pointToFindings(verdict, console);
        return ExitCode.CLEAN;
    }

    private static Map<String, Roster> rosters(Verdict verdict) {
        Map<String, Roster> rosters = new LinkedHashMap<>();
        verdict.profiles().stream()
                .filter(profile -> !profile.isPartial())
                .forEach(profile -> rosters.put(profile.name(), verdict.roster(profile.name())));
        return rosters;
    }

    private static boolean isNamed(Verdict verdict, String binaryName, String name) {
        return binaryName.equals(name) || shortMaker(verdict, binaryName).equals(name);
    }

    private static String shortMaker(Verdict verdict, String maker) {
        int method = maker.indexOf('#');
        String owner = method < 0 ? maker : maker.substring(0, method);
        return verdict.shortName(owner) + maker.substring(owner.length());
    }

    private static List<NeedExplanation> needs(Verdict verdict, Set<String> profiles, String name) {
        List<NeedExplanation> found = new ArrayList<>();
        for (String profile : profiles) {
            for (NeedExplanation each : verdict.explain(profile)) {
                RosterRow row = each.row();
                String need = '.' + row.need();
                boolean isOne =
                        name.endsWith(need)
                                && isNamed(
                                        verdict,
                                        row.consumer(),
                                        name.substring(0, name.length() - need.length()));
                if (isOne || isNamed(verdict, row.consumer(), name)) {
                    found.add(each);
                }
            }
        }
        return found;
    }

    private static List<Slot> slots(Map<String, Roster> rosters, Verdict verdict, String name) {
        Set<Slot> found = new LinkedHashSet<>();
        for (Roster roster : rosters.values()) {
            for (RosterRow row : roster.rows()) {
                List<Slot> near = new ArrayList<>(List.of(row.slot()));
                row.answer().fills().ifPresent(seat -> near.add(seat.slot()));
                row.answer()
                        .elements()
                        .forEach(
                                each ->
                                        each.answer()
                                                .fills()
                                                .ifPresent(seat -> near.add(seat.slot())));
                near.stream()
                        .filter(
                                slot ->
                                        slot.text().equals(name)
                                                || slot.text(verdict::shortName).equals(name))
                        .forEach(found::add);
            }
        }
        return found.stream().sorted(Slot.ORDER).toList();
    }

    /**
     * Implementations, decorators and factories; a class that is its own slot is told as a slot.
     */
    private static List<String> makers(Map<String, Roster> rosters, Verdict verdict, String name) {
        Set<String> found = new TreeSet<>();
        for (Roster roster : rosters.values()) {
            for (RosterRow row : roster.rows()) {
                row.makers().stream()
                        .filter(maker -> !maker.equals(row.consumer()) || row.as().isPresent())
                        .filter(maker -> isNamed(verdict, maker, name))
                        .filter(maker -> slots(rosters, verdict, maker).isEmpty())
                        .forEach(found::add);
            }
        }
        return List.copyOf(found);
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

    private static String nothing(Map<String, Roster> rosters, Verdict verdict, String name) {
        Set<String> known = new TreeSet<>();
        for (Roster roster : rosters.values()) {
            for (RosterRow row : roster.rows()) {
                row.makers().forEach(maker -> known.add(shortMaker(verdict, maker)));
                known.add(row.slot().text(verdict::shortName));
                known.add(verdict.shortName(row.consumer()) + '.' + row.need());
            }
        }
        String near =
                String.join(
                        ", ",
                        known.stream()
                                .filter(
                                        each ->
                                                each.toLowerCase(Locale.ROOT)
                                                        .contains(name.toLowerCase(Locale.ROOT)))
                                .limit(5)
                                .toList());
        return "nothing in the profiles shown is called "
                + name
                + (near.isEmpty()
                        ? "; explain takes a consumer, CONSUMER.NEED, a slot or an implementation"
                        : "; near: " + near);
    }
}
