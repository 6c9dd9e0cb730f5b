package dev.patientharbor.accepting;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.texts.BarredRow;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes the lines of one roster: no places, no numbers of instances, full names. */
final class LineMaker {

    /** A line, and where it is said what it tells. */
    record PlacedLine(AcceptedLine line, Optional<SourcePosition> at) {}

    private final String profile;
    private final List<PlacedLine> lines = new ArrayList<>();

    /** By what reads alike the instances, each with the first need that receives it. */
    private final Map<String, Map<String, String>> instances = new HashMap<>();

    private LineMaker(String profile) {
        this.profile = BarredRow.safe(profile);
    }

    /**
     * The lines of a roster, sorted as a file has them.
     *
     * @param hardWired what consumers make or fetch by themselves
     */
    static List<PlacedLine> lines(Roster roster, Map<String, List<HardWiring>> hardWired) {
        LineMaker maker = new LineMaker(roster.profile());
        roster.rows().forEach(row -> maker.addInstances(row, row.answer()));
        for (RosterRow row : roster.rows()) {
            String need =
                    row.need()
                            + row.as().map(slot -> " in " + slot.text()).orElse("")
                            + row.within().map(level -> " within " + level).orElse("")
                            + " ("
                            + row.place().code()
                            + ')';
            String slot = row.slot().text() + row.carrier().map(each -> ", as " + each).orElse("");
            maker.add(row, need, slot, row.answer());
        }
        hardWired.forEach(maker::addByItself);
        maker.lines.sort(Comparator.comparing(each -> each.line().text(), AcceptedRoster.BYTES));
        return maker.lines;
    }

    private void addInstances(RosterRow row, Answer answer) {
        if (isKept(answer)) {
            instances
                    .computeIfAbsent(alike(answer), words -> new HashMap<>())
                    .putIfAbsent(
                            answer.instance().orElseThrow(), row.consumer() + ' ' + row.need());
        }
        answer.elements().forEach(element -> addInstances(row, element.answer()));
    }

    /** Whether several needs may receive the same object. */
    private static boolean isKept(Answer answer) {
        return answer.instance().isPresent()
                && answer.lifetime()
                        .filter(choice -> choice.lifetime() != Lifetime.FRESH)
                        .isPresent();
    }

    private void add(RosterRow row, String need, String slot, Answer answer) {
        AcceptedLine line =
                new AcceptedLine(
                        BarredRow.safe(row.consumer()),
                        BarredRow.safe(need),
                        profile,
                        BarredRow.safe(slot),
                        BarredRow.safe(words(answer) + which(answer)));
        lines.add(new PlacedLine(line, answer.origin()));
        int number = 1;
        for (Answer.Element element : answer.elements()) {
            String key = element.key().map(each -> "@" + each.written()).orElse("");
            add(row, need + String.format("[%03d", number) + key + ']', slot, element.answer());
            number++;
        }
    }

    /** The lines of what a consumer makes by itself, whatever the profile. */
    private void addByItself(String consumer, List<HardWiring> places) {
        Map<String, Integer> numbers = new HashMap<>();
        for (HardWiring place : places) {
            int number = numbers.merge(place.at().member(), 1, Integer::sum);
            AcceptedLine line =
                    new AcceptedLine(
                            consumer,
                            BarredRow.safe(
                                    AcceptedLine.BY_ITSELF
                                            + place.at().member()
                                            + String.format(" [%03d]", number)),
                            profile,
                            place.contract(),
                            BarredRow.safe(
                                    (place.by().isMade() ? "makes " : "fetches ")
                                            + place.source()
                                            + place.implementation()
                                                    .map(name -> " (" + name + ")")
                                                    .orElse("")));
            lines.add(new PlacedLine(line, Optional.of(place.at().position())));
        }
    }

    /** What a call meets, in order; what is given; how long it lives. */
    private static String words(Answer answer) {
        StringBuilder words = new StringBuilder();
        for (Answer.Around decorator : answer.around()) {
            words.append(decorator.name())
                    .append(decorator.given().isEmpty() ? "" : " (" + decorator.given() + ")")
                    .append(" > ");
        }
        words.append(
                answer.kind() == AnswerKind.COLLECTION
                        ? "collection of " + answer.elements().size()
                        : answer.kind().word());
        answer.implementation().ifPresent(name -> words.append(' ').append(name));
        if (!answer.given().isEmpty()) {
            words.append(" with ").append(answer.given());
        }
        answer.lifetime().ifPresent(choice -> words.append(", ").append(choice.lifetime().word()));
        return words.toString();
    }

    /** What is equal for objects that read alike: what has no class by its contract too. */
    private static String alike(Answer answer) {
        return answer.implementation().isPresent()
                ? words(answer)
                : words(answer)
                        + ' '
                        + answer.fills().map(seat -> seat.slot().contract().text()).orElse("");
    }

    /** Where there are several objects that read alike: which of them, by who has it first. */
    private String which(Answer answer) {
        Map<String, String> alike =
                isKept(answer) ? instances.getOrDefault(alike(answer), Map.of()) : Map.of();
        return alike.size() > 1 ? ", the one of " + alike.get(answer.instance().orElseThrow()) : "";
    }
}
