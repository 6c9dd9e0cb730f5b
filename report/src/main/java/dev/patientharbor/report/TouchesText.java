package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.texts.RequiredArgument;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.stream.Collectors;

/** Writes for people what of the profiles reaches outside, and in which of them. */
public final class TouchesText {

    private TouchesText() {}

    /**
     * The text; every line ends with {@code \n}.
     *
     * @param touches by binary name, as a set of profiles tells them
     */
    public static String render(
            Verdict verdict, SortedMap<String, List<Touch>> touches, TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(touches, "touches");
        RequiredArgument.of(layout, "layout");
        TextPage page = new TextPage(layout);
        page.blank().line(0).put(TextTone.TITLE, "What reaches outside").end();
        Map<String, Set<String>> profiles = profiles(verdict);
        boolean any = false;
        for (Map.Entry<String, List<Touch>> entry : touches.entrySet()) {
            Set<String> in = profiles.get(entry.getKey());
            if (in != null) {
                any = true;
                page.line(2)
                        .put(name(verdict, entry.getKey()))
                        .put(TextTone.QUIET, "· in " + String.join(", ", in))
                        .end();
                entry.getValue().forEach(touch -> add(page, verdict, touch));
            }
        }
        if (!any) {
            page.line(2).put("nothing, as far as calls can be followed").end();
        }
        return page.toString();
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

    /** A class, or a member of one, by the short name of the class. */
    private static String name(Verdict verdict, String name) {
        int end = name.indexOf('#');
        String owner = end < 0 ? name : name.substring(0, end);
        if (verdict.knows(owner)) {
            return verdict.shortName(owner) + name.substring(owner.length());
        }
        int dot = owner.lastIndexOf('.');
        return dot < 0 ? name : verdict.shortName(owner.substring(0, dot)) + owner.substring(dot);
    }

    /** The profiles that hold something, by what makes it. */
    private static Map<String, Set<String>> profiles(Verdict verdict) {
        Map<String, Set<String>> found = new LinkedHashMap<>();
        for (ProfileVerdict profile : verdict.profiles()) {
            if (!profile.isPartial()) {
                for (RosterRow row : verdict.roster(profile.name()).rows()) {
                    row.makers()
                            .forEach(
                                    maker ->
                                            found.computeIfAbsent(
                                                            maker, key -> new LinkedHashSet<>())
                                                    .add(profile.name()));
                }
            }
        }
        return found;
    }
}
