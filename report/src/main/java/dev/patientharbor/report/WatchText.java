package dev.patientharbor.report;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.ChangeKind;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.watching.VerdictChange;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;

/** Writes for people what is new since the last check. */
public final class WatchText {

    private static final int MOST = 5;

    private WatchText() {}

    /**
     * The text; every line ends with {@code \n}.
     *
     * @param files the names of the files that have changed
     * @param before the verdict of the last check
     * @param after the verdict of this one
     */
    public static String render(
            Collection<String> files,
            VerdictChange change,
            Verdict before,
            Verdict after,
            TextLayout layout) {
        RequiredArgument.of(files, "files");
        RequiredArgument.of(change, "change");
        RequiredArgument.of(before, "before");
        RequiredArgument.of(after, "after");
        TextPage page = new TextPage(RequiredArgument.of(layout, "layout"));
        page.blank().line(0).put(TextTone.TITLE, "changed:").put(files(files)).end();
        findings(page, "new", change.appeared());
        findings(page, "gone", change.gone());
        profiles(page, "new profiles", change.newProfiles());
        profiles(page, "profiles that are gone", change.goneProfiles());
        StringBuilder text = new StringBuilder(page.toString());
        change.rosters()
                .forEach(
                        (profile, comparison) ->
                                text.append("\n")
                                        .append(
                                                ComparisonText.ofProfile(
                                                        profile,
                                                        comparison,
                                                        EnumSet.allOf(ChangeKind.class),
                                                        before,
                                                        after,
                                                        layout)));
        TextPage end = new TextPage(layout);
        if (change.isNothing()) {
            end.line(0).put("Nothing is new.").end();
        }
        end.line(0).put(CheckSummary.of(after)).end();
        return text + (text.toString().endsWith("\n\n") ? "" : "\n") + end;
    }

    private static String files(Collection<String> files) {
        List<String> some = files.stream().limit(MOST).toList();
        int more = files.size() - some.size();
        return String.join(", ", some)
                + (more == 0 ? "" : " and " + ReportWording.count(more, "other file"));
    }

    private static void findings(TextPage page, String what, List<Finding> findings) {
        for (Finding finding : findings) {
            page.line(2)
                    .put(TextTone.QUIET, what)
                    .tab(8)
                    .put(
                            finding.severity() == Severity.ERROR ? TextTone.BAD : TextTone.CAREFUL,
                            finding.severity().word())
                    .put(TextTone.TITLE, finding.kind().id())
                    .put(TextTone.QUIET, "· " + finding.at().text())
                    .end();
            page.line(8).put(finding.message()).end();
        }
    }

    private static void profiles(TextPage page, String what, List<String> names) {
        if (!names.isEmpty()) {
            page.line(2).put(TextTone.QUIET, what + ":").put(String.join(", ", names)).end();
        }
    }
}
