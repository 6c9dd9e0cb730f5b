package dev.patientharbor.report;

import dev.patientharbor.survey.HandOver;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.ShortName;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What a method hands over that wires by hand, and what a profile gives instead, as lines. */
public final class HandOverText {

    /** The number of hand-overs that are not the same of which each has a line without a wish. */
    private static final int MOST = 15;

    private HandOverText() {}

    /**
     * Returns a line for each profile with the counts, and a line for each hand-over that is not
     * the same.
     *
     * @param handOvers by profile
     * @param all whether those that are the same have a line too
     */
    public static List<String> lines(Map<String, List<HandOver>> handOvers, boolean all) {
        RequiredArgument.of(handOvers, "handOvers");
        List<String> lines = new ArrayList<>();
        handOvers.forEach((profile, each) -> addProfile(profile, each, all, lines));
        return lines;
    }

    private static void addProfile(
            String profile, List<HandOver> handOvers, boolean all, List<String> lines) {
        long understood = handOvers.stream().filter(HandOver::isUnderstood).count();
        long same = handOvers.stream().filter(HandOver::isSame).count();
        lines.add(
                profile
                        + ": "
                        + understood
                        + " of "
                        + handOvers.size()
                        + " hand-overs are understood, and "
                        + same
                        + " of these are the same in the profile");
        List<HandOver> shown = handOvers.stream().filter(each -> all || !each.isSame()).toList();
        int most = all ? shown.size() : Math.min(shown.size(), MOST);
        shown.subList(0, most).forEach(each -> lines.add("  " + line(each)));
        if (most < shown.size()) {
            lines.add("  and " + (shown.size() - most) + " more; --verify lists all");
        }
    }

    private static String line(HandOver handOver) {
        String where =
                handOver.at().text()
                        + "  "
                        + ShortName.everywhere(handOver.consumer())
                        + " ("
                        + handOver.need()
                        + "): ";
        if (!handOver.isUnderstood()) {
            return where + "not understood: " + handOver.handed();
        }
        return where
                + ShortName.everywhere(handOver.handed())
                + handOver.held()
                        .map(held -> ", but in the profile " + ShortName.everywhere(held))
                        .orElse("");
    }
}
