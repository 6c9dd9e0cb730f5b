package dev.patientharbor.observing;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.texts.BarredRow;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * How often one thing was used that a profile has in a slot. Immutable.
 *
 * @param profile the name of the profile
 * @param slot the slot in which it stands, with full names; of an entry consumer its class
 * @param within the area or consumer at which it stands; blank for the whole profile
 * @param stands what stands there, without what is given to it: kind, class, and decorators from
 *     the outermost on, by binary names; {@value #ENTRY} for an entry consumer
 * @param runs in how many runs it was made
 * @param made how many objects were made of it, in all runs
 * @param calls how many calls were seen of it in all runs; empty where nobody could see them
 */
public record ObservedAnswer(
        String profile,
        String slot,
        String within,
        String stands,
        int runs,
        int made,
        Optional<Integer> calls) {

    /** What stands in the place of an entry consumer. */
    public static final String ENTRY = "entry consumer";

    private static final int PARTS = 7;
    private static final String NOBODY_SAW = "-";
    private static final Pattern NUMBER = Pattern.compile("[0-9]{1,9}");

    public ObservedAnswer {
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(slot, "slot");
        RequiredArgument.of(within, "within");
        RequiredArgument.of(stands, "stands");
        RequiredArgument.of(calls, "calls");
    }

    /**
     * Returns what was used of an answer in one run.
     *
     * @param profile the name of the profile
     * @param seat where it stands
     * @param answer the answer; empty for an entry consumer
     * @param made how many objects were made of it
     * @param calls how many calls were seen; empty where nobody could see them
     */
    public static ObservedAnswer inOneRun(
            String profile,
            Answer.Seat seat,
            Optional<Answer> answer,
            int made,
            Optional<Integer> calls) {
        RequiredArgument.of(seat, "seat");
        RequiredArgument.of(answer, "answer");
        return new ObservedAnswer(
                RequiredArgument.of(profile, "profile"),
                seat.slot().text(),
                seat.within().orElse(""),
                answer.map(ObservedAnswer::words).orElse(ENTRY),
                made == 0 ? 0 : 1,
                made,
                calls);
    }

    /** What is equal for answers that are the same, whatever is given to them. */
    static String words(Answer answer) {
        List<String> words = new ArrayList<>(answer.decorators());
        words.add(
                answer.kind().word() + answer.implementation().map(name -> ' ' + name).orElse(""));
        return String.join(" > ", words);
    }

    /** Returns a text that is equal for the same thing in another run, and in a roster. */
    String key() {
        return BarredRow.of(
                List.of(
                        BarredRow.safe(profile),
                        BarredRow.safe(slot),
                        BarredRow.safe(within),
                        BarredRow.safe(stands)));
    }

    /** Returns this and another one of the same thing, as one. */
    ObservedAnswer plus(ObservedAnswer other) {
        return new ObservedAnswer(
                profile,
                slot,
                within,
                stands,
                runs + other.runs,
                made + other.made,
                calls.isEmpty() && other.calls.isEmpty()
                        ? Optional.empty()
                        : Optional.of(calls.orElse(0) + other.calls.orElse(0)));
    }

    /** Returns the line as it stands in the file. */
    String line() {
        return BarredRow.of(
                List.of(
                        key(),
                        "" + runs,
                        "" + made,
                        calls.map(String::valueOf).orElse(NOBODY_SAW)));
    }

    /** Reads a line; empty if it is none. */
    static Optional<ObservedAnswer> parse(String line) {
        List<String> parts = BarredRow.parts(line);
        if (parts.size() != PARTS
                || !isNumber(parts.get(4))
                || !isNumber(parts.get(5))
                || !isNumber(parts.get(6)) && !parts.get(6).equals(NOBODY_SAW)) {
            return Optional.empty();
        }
        return Optional.of(
                new ObservedAnswer(
                        parts.get(0),
                        parts.get(1),
                        parts.get(2),
                        parts.get(3),
                        Integer.parseInt(parts.get(4)),
                        Integer.parseInt(parts.get(5)),
                        Optional.of(parts.get(6))
                                .filter(ObservedAnswer::isNumber)
                                .map(Integer::parseInt)));
    }

    private static boolean isNumber(String text) {
        return NUMBER.matcher(text).matches();
    }
}
