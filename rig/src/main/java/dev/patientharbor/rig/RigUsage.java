package dev.patientharbor.rig;

import dev.patientharbor.observing.ObservedAnswer;
import dev.patientharbor.observing.ObservedUse;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.ShortName;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What a run really used, beside what the plan says: which objects were made, which of them were
 * called as far as mocks, canned stubs and spies can tell, and by whom that the plan does not know
 * of. What the user's code makes without the rig is not seen. Immutable.
 */
public final class RigUsage {

    private final String heading;
    private final List<Line> lines;
    private final Map<Answer.Seat, Answer> planned;

    /**
     * @param planned what stands where, but for entry consumers
     */
    RigUsage(String heading, List<Line> lines, Map<Answer.Seat, Answer> planned) {
        this.heading = heading;
        this.lines = List.copyOf(lines);
        this.planned = Map.copyOf(planned);
    }

    /**
     * What stands in one slot at one level.
     *
     * @param seat where it stands
     * @param planned what it is by the plan, as the roster says it; blank for an entry consumer
     * @param made how many objects were made of it; one that is handed in counts once it was used
     * @param calls how many calls were seen; empty where it was not made, or is neither a mock nor
     *     a canned stub and no spy is around it
     * @param strangers who called it and does not receive it by the plan, by binary names
     */
    public record Line(
            Answer.Seat seat,
            String planned,
            int made,
            Optional<Integer> calls,
            List<String> strangers) {
        public Line {
            RequiredArgument.of(seat, "seat");
            RequiredArgument.of(planned, "planned");
            RequiredArgument.of(calls, "calls");
            RequiredArgument.of(strangers, "strangers");
            strangers = List.copyOf(strangers);
        }

        /** Where it stands, as people read it. */
        String place() {
            return seat.toString();
        }

        private String observed() {
            String count = made == 0 ? "not made" : made == 1 ? "made" : "made " + made + " times";
            String seen = calls.map(it -> it == 1 ? ", 1 call" : ", " + it + " calls").orElse("");
            return count
                    + seen
                    + strangers.stream()
                            .map(ShortName::of)
                            .map(
                                    stranger ->
                                            "; called by "
                                                    + stranger
                                                    + ", which does not receive it by the plan")
                            .collect(Collectors.joining());
        }
    }

    /** All that the plan leads to, and all else that was made, by slot and level. */
    public List<Line> lines() {
        return lines;
    }

    /** Returns what the plan leads to and nobody needed. */
    public List<Line> notMade() {
        return lines.stream().filter(line -> line.made() == 0).toList();
    }

    /** Returns what was called by somebody who does not receive it by the plan. */
    public List<Line> bypassed() {
        return lines.stream().filter(line -> !line.strangers().isEmpty()).toList();
    }

    /**
     * Returns this as what one run used, to be added up with others.
     *
     * @param title the title of the set
     * @param profile the name of the profile in the set; what was swapped in it tells by itself
     *     that it is something else
     */
    public ObservedUse observed(String title, String profile) {
        RequiredArgument.of(title, "title");
        RequiredArgument.of(profile, "profile");
        return new ObservedUse(
                title,
                lines.stream()
                        .map(
                                line ->
                                        ObservedAnswer.inOneRun(
                                                profile,
                                                line.seat(),
                                                Optional.ofNullable(planned.get(line.seat())),
                                                line.made(),
                                                line.calls()))
                        .toList());
    }

    /** A table: the place, what is planned, what was seen. */
    @Override
    public String toString() {
        int places = lines.stream().mapToInt(line -> line.place().length()).max().orElse(0);
        int plans = lines.stream().mapToInt(line -> line.planned().length()).max().orElse(0);
        String row = "  %-" + Math.max(1, places) + "s  %-" + Math.max(1, plans) + "s  %s";
        return heading
                + lines.stream()
                        .map(it -> row.formatted(it.place(), it.planned(), it.observed()))
                        .collect(Collectors.joining("\n", "\n", ""));
    }
}
