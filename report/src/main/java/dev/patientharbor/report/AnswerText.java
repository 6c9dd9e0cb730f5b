package dev.patientharbor.report;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.texts.RequiredArgument;
import java.util.List;

/**
 * What a need receives, as people read it, part by part; class names short. Equal where both read
 * alike.
 *
 * @param kind what it is, in a word
 * @param core the class or factory; {@code canned answers}; blank where the kind says all
 * @param around the decorators, outermost first
 * @param given what is given to it; blank for nothing
 * @param lifetime how long it lives; blank where nothing is received
 * @param members those of a collection, in order
 */
public record AnswerText(
        String kind,
        String core,
        List<String> around,
        String given,
        String lifetime,
        List<Member> members) {

    public AnswerText {
        RequiredArgument.of(kind, "kind");
        RequiredArgument.of(core, "core");
        RequiredArgument.of(around, "around");
        RequiredArgument.of(given, "given");
        RequiredArgument.of(lifetime, "lifetime");
        RequiredArgument.of(members, "members");
        around = List.copyOf(around);
        members = List.copyOf(members);
    }

    /**
     * A member of a collection.
     *
     * @param key its key, as it is written; blank for the plain slot
     * @param answer what it is
     */
    public record Member(String key, AnswerText answer) {
        public Member {
            RequiredArgument.of(key, "key");
            RequiredArgument.of(answer, "answer");
        }
    }

    /** Returns an answer, part by part. */
    public static AnswerText of(RosterSource source, Answer answer) {
        RequiredArgument.of(source, "source");
        RequiredArgument.of(answer, "answer");
        return new AnswerText(
                answer.kind().word(),
                ReportWording.name(source, answer),
                answer.around().stream()
                        .map(
                                each ->
                                        source.shortName(each.name())
                                                + (each.given().isEmpty()
                                                        ? ""
                                                        : " (" + each.given() + ")"))
                        .toList(),
                answer.given().replaceFirst("^stub \\[(.*)]$", "$1"),
                answer.lifetime().map(choice -> choice.lifetime().word()).orElse(""),
                answer.elements().stream()
                        .map(
                                element ->
                                        new Member(
                                                element.key().map(key -> key.written()).orElse(""),
                                                of(source, element.answer())))
                        .toList());
    }

    /** Returns what decided how long an answer lives; blank where nothing is received. */
    public static String lifetimeBy(Answer answer) {
        return RequiredArgument.of(answer, "answer")
                .lifetime()
                .map(choice -> choice.by().words())
                .orElse("");
    }

    /** Returns where an answer was said; blank if nothing was said. */
    public static String place(RosterSource source, Answer answer) {
        RequiredArgument.of(source, "source");
        return RequiredArgument.of(answer, "answer")
                .origin()
                .map(at -> ReportWording.place(source, at))
                .orElse("");
    }

    /** Returns what a row asks for: the slot, and what it is wrapped in. */
    public static String asked(RosterSource source, RosterRow row) {
        RequiredArgument.of(source, "source");
        return ReportWording.asked(source, RequiredArgument.of(row, "row"));
    }

    /** Returns where the consumer of a row stands; blank for an entry consumer. */
    public static String standing(RosterSource source, RosterRow row) {
        RequiredArgument.of(source, "source");
        RequiredArgument.of(row, "row");
        return (row.as().map(slot -> "in the slot " + ReportWording.slot(source, slot)).orElse("")
                        + row.within()
                                .map(level -> " within " + source.shortName(level))
                                .orElse(""))
                .strip();
    }

    /** Returns what a consumer makes or fetches by itself, a line for each place. */
    public static List<String> byItself(Verdict verdict, String consumer) {
        RequiredArgument.of(verdict, "verdict");
        return ReportWording.byItself(verdict, RequiredArgument.of(consumer, "consumer"));
    }

    /** Returns who makes one past the profile, in words. */
    public static String alsoMade(RosterSource source, List<String> consumers) {
        RequiredArgument.of(source, "source");
        return ReportWording.alsoMade(source, RequiredArgument.of(consumers, "consumers"));
    }
}
