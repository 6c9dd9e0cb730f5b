package dev.patientharbor.report;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.terms.Slot;
import java.util.List;
import java.util.stream.Collectors;

/** The phrases that several outputs share; class names short, unless two would look the same. */
final class ReportWording {

    private ReportWording() {}

    private static final int MOST = 5;
    private static final String CANNED = "canned answers";

    /** {@code 1 need}, {@code 2 needs}. */
    static String count(long number, String one) {
        return number + " " + one + (number == 1 ? "" : "s");
    }

    /** Who makes or fetches one past the profile. */
    /** How many runs met something, in words. */
    static String met(int runs) {
        return runs == 0 ? "met in no run" : "met in " + count(runs, "run");
    }

    static String alsoMade(RosterSource source, List<String> consumers) {
        return "also made by "
                + classes(source, consumers)
                + (consumers.size() == 1 ? " itself" : " themselves");
    }

    /** What is said of a consumer that is clean. */
    static final String NOTHING_BY_ITSELF = "makes and fetches nothing by itself";

    /** What a consumer makes or fetches by itself: {@code makes its own Mailer: new Smtp}. */
    static List<String> byItself(Verdict verdict, String consumer) {
        return verdict.hardWired().getOrDefault(consumer, List.of()).stream()
                .map(
                        wiring ->
                                (wiring.by().isMade() ? "makes its own " : "fetches its own ")
                                        + verdict.shortName(wiring.contract())
                                        + ": "
                                        + wiring.source()
                                        + " · "
                                        + wiring.at().text())
                .distinct()
                .toList();
    }

    static TextTone tone(AnswerKind kind) {
        return switch (kind) {
            case REAL, VALUE, FACTORY -> TextTone.REAL;
            case FAKE, STUB, MOCK -> TextTone.STAND_IN;
            case COLLECTION -> TextTone.TITLE;
            case ABSENT -> TextTone.QUIET;
            case UNMET -> TextTone.BAD;
        };
    }

    /** Where something is said: in the file of the set by line and column alone. */
    static String place(RosterSource source, SourcePosition at) {
        return place(source, at, "the class itself");
    }

    /**
     * Where something is said.
     *
     * @param ofClass what stands for a class that says it by itself
     */
    static String place(RosterSource source, SourcePosition at, String ofClass) {
        return at.<String>match(
                in ->
                        in.path().equals(source.file())
                                ? ":" + in.line() + ":" + in.column()
                                : at.text(),
                in -> ofClass,
                in -> at.text());
    }

    static String slot(RosterSource source, Slot slot) {
        return slot.text(source::shortName);
    }

    /** A class, or {@code Class#method}. */
    private static String maker(RosterSource source, String implementation) {
        int hash = implementation.indexOf('#');
        return hash < 0
                ? source.shortName(implementation)
                : source.shortName(implementation.substring(0, hash))
                        + implementation.substring(hash);
    }

    /** What is asked for, and what it is wrapped in: {@code WeatherFeed, as List}. */
    static String asked(RosterSource source, RosterRow row) {
        return slot(source, row.slot()) + row.carrier().map(key -> ", as " + key).orElse("");
    }

    static String classes(RosterSource source, List<String> binaryNames) {
        return binaryNames.stream()
                .map(source::shortName)
                .sorted()
                .collect(Collectors.joining(", "));
    }

    /** Lists classes by short names, five at most, and how many more there are. */
    static String someClasses(RosterSource source, List<String> binaryNames) {
        if (binaryNames.size() <= MOST) {
            return classes(source, binaryNames);
        }
        List<String> sorted = binaryNames.stream().map(source::shortName).sorted().toList();
        return String.join(", ", sorted.subList(0, MOST))
                + " and "
                + (binaryNames.size() - MOST)
                + " more";
    }

    /**
     * The decorators in the order in which a call meets them, each with an arrow behind it; empty
     * if none.
     */
    static String chain(RosterSource source, Answer answer) {
        StringBuilder chain = new StringBuilder();
        for (Answer.Around decorator : answer.around()) {
            chain.append(source.shortName(decorator.name()))
                    .append(decorator.given().isEmpty() ? "" : " with " + decorator.given())
                    .append(" → ");
        }
        return chain.toString().stripTrailing();
    }

    /** What is at the end of a line, in a word: {@code stub SilentRadioNotice}. */
    static String behind(RosterSource source, Answer.Behind behind) {
        String name = behind.implementation().map(other -> maker(source, other)).orElse("");
        return behind.kind() == AnswerKind.FACTORY || name.isEmpty()
                ? name + (name.isEmpty() ? behind.kind().word() : "")
                : behind.kind().word() + " " + name;
    }

    /** The values that are given to an object, or that it is; blank for none. */
    static String given(Answer answer) {
        boolean isMade = answer.implementation().isPresent();
        return isMade || answer.kind() == AnswerKind.VALUE ? answer.given() : "";
    }

    /** {@code fake MemoryBerthLedger}, {@code mock}, {@code UNMET}. */
    static String core(RosterSource source, Answer answer) {
        if (!answer.isMet()) {
            return "UNMET";
        }
        if (answer.kind() == AnswerKind.COLLECTION) {
            return "collection of " + answer.elements().size();
        }
        if (answer.kind() == AnswerKind.ABSENT) {
            return "absent, by permission";
        }
        String name = name(source, answer);
        return name.equals(CANNED)
                ? answer.kind().word() + " with " + CANNED
                : (answer.kind().word() + ' ' + name).strip();
    }

    /** The class or factory of the core; {@code canned answers}; blank where the kind says all. */
    static String name(RosterSource source, Answer answer) {
        boolean isCanned = answer.kind() == AnswerKind.STUB && answer.implementation().isEmpty();
        return isCanned
                ? CANNED
                : answer.implementation().map(other -> maker(source, other)).orElse("");
    }
}
