package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Writes for people what of the profiles reaches outside, and in which of them. */
public final class TouchesText {

    private TouchesText() {}

    /** The text, of the profiles that are shown; every line ends with {@code \n}. */
    public static String render(Verdict verdict, TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(layout, "layout");
        TextPage page = new TextPage(layout);
        page.blank().line(0).put(TextTone.TITLE, "What reaches outside").end();
        Map<String, Map<List<Touch>, List<String>>> found = byMaker(verdict);
        found.forEach(
                (maker, byTouches) ->
                        byTouches.forEach(
                                (touches, profiles) -> {
                                    page.line(2)
                                            .put(maker(verdict, maker))
                                            .put(
                                                    TextTone.QUIET,
                                                    "· in " + String.join(", ", profiles))
                                            .end();
                                    touches.forEach(touch -> add(page, verdict, touch));
                                }));
        if (found.isEmpty()) {
            page.line(2).put("nothing, as far as calls can be followed").end();
        }
        return page.toString();
    }

    /** What is reached, and in which profiles, in their order, by what makes the object. */
    private static Map<String, Map<List<Touch>, List<String>>> byMaker(Verdict verdict) {
        Map<String, Map<List<Touch>, List<String>>> found = new TreeMap<>();
        SortedMap<String, SortedMap<String, List<Touch>>> byProfile = verdict.touchesByProfile();
        for (ProfileVerdict profile : verdict.profiles()) {
            byProfile
                    .getOrDefault(profile.name(), new TreeMap<>())
                    .forEach(
                            (maker, touches) ->
                                    found.computeIfAbsent(maker, key -> new LinkedHashMap<>())
                                            .computeIfAbsent(touches, key -> new ArrayList<>())
                                            .add(profile.name()));
        }
        return found;
    }

    private static void add(TextPage page, Verdict verdict, Touch touch) {
        page.labelled(
                4,
                touch.kind().word(),
                18,
                touch.way().stream()
                                .map(step -> name(verdict, step))
                                .collect(Collectors.joining(" → "))
                        + " · "
                        + touch.at().text());
    }

    private static String maker(Verdict verdict, String maker) {
        String owner = maker.split("#")[0];
        return verdict.shortName(owner) + maker.substring(owner.length());
    }

    /** A member of a class, by the short name of the class. */
    private static String name(Verdict verdict, String step) {
        int dot = step.lastIndexOf('.');
        return verdict.shortName(step.substring(0, dot)) + step.substring(dot);
    }
}
