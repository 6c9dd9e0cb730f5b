package dev.patientharbor.report;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.explaining.ConsideredWord;
import dev.patientharbor.explaining.ProfileExplanation;
import dev.patientharbor.explaining.RuleInForce;
import dev.patientharbor.explaining.SaidWord;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Writes for people what a profile is made of and what it changes. */
public final class ProfileExplanationText {

    private static final int TEXT = 18;
    private static final String NOBODY = "nobody";

    private ProfileExplanationText() {}

    /** The text about a profile; every line ends with {@code \n}. */
    public static String of(Verdict verdict, ProfileExplanation explanation, TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(explanation, "explanation");
        TextPage page = new TextPage(RequiredArgument.of(layout, "layout"));
        page.line(0)
                .put(TextTone.TITLE, explanation.profile())
                .put("· a profile" + (explanation.partial() ? ", partial" : ""))
                .put("· " + ReportWording.place(verdict, explanation.at()))
                .end();
        page.labelled(2, "extends", TEXT, names(explanation.parents(), "nothing", ", then "));
        page.labelled(2, "extended by", TEXT, names(explanation.extendedBy(), NOBODY, ", "));
        if (explanation.says().isEmpty()) {
            page.labelled(2, "says", TEXT, "nothing of its own");
        }
        String label = "says";
        for (SaidWord said : explanation.says()) {
            page.line(2)
                    .put(TextTone.QUIET, label)
                    .tab(TEXT)
                    .put(isWhole(said) ? "" : said.level() + ",")
                    .put(said.slot() + ":")
                    .put(TextTone.TITLE, said.word())
                    .put(TextTone.QUIET, "· " + ReportWording.place(verdict, said.at()))
                    .put("· " + decides(explanation, said))
                    .put(said.without().map(ProfileExplanationText::without).orElse(""))
                    .end();
            label = "";
        }
        label = "rules";
        for (RuleInForce rule : explanation.rules()) {
            page.line(2)
                    .put(TextTone.QUIET, label)
                    .tab(TEXT)
                    .put(rule.rule())
                    .put(
                            TextTone.QUIET,
                            "· "
                                    + (rule.profile().equals(explanation.profile())
                                            ? ""
                                            : "said in " + rule.profile() + " ")
                                    + ReportWording.place(verdict, rule.at()))
                    .end();
            label = "";
        }
        return page.blank().toString();
    }

    private static String names(List<String> names, String none, String between) {
        return names.isEmpty() ? none : String.join(between, names);
    }

    private static String without(ConsideredWord next) {
        return "· without it "
                + next.word()
                + (next.profile().isEmpty() ? "" : " of " + next.profile());
    }

    private static boolean isWhole(SaidWord said) {
        return said.level().equals("whole profile");
    }

    /** How many needs, in which profiles; those with as many needs stand together. */
    private static String decides(ProfileExplanation explanation, SaidWord said) {
        Map<Integer, List<String>> profiles = new LinkedHashMap<>();
        said.decides()
                .forEach(
                        (name, needs) ->
                                profiles.computeIfAbsent(needs, key -> new ArrayList<>())
                                        .add(name));
        return profiles.isEmpty()
                ? "decides nothing"
                : profiles.entrySet().stream()
                        .map(
                                each ->
                                        ReportWording.count(each.getKey(), "need")
                                                + where(explanation, each.getValue()))
                        .collect(Collectors.joining("; ", "decides ", ""));
    }

    private static String where(ProfileExplanation explanation, List<String> profiles) {
        List<String> others =
                profiles.stream().filter(name -> !name.equals(explanation.profile())).toList();
        String in = others.isEmpty() ? "" : " in " + String.join(", ", others);
        return others.size() == profiles.size() ? in : " here" + (in.isEmpty() ? "" : " and" + in);
    }
}
