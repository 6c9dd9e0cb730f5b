package dev.patientharbor.report;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.explaining.ConsideredWord;
import dev.patientharbor.explaining.NeedExplanation;
import dev.patientharbor.explaining.ReceivingNeed;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Writes for people why needs receive what they do, and who receives something. */
public final class ExplanationText {

    private static final int TEXT = 18;

    private final Verdict verdict;
    private final TextPage page;
    private final Map<String, InstanceSharing> sharing = new LinkedHashMap<>();

    private ExplanationText(Verdict verdict, TextLayout layout) {
        this.verdict = verdict;
        page = new TextPage(layout);
        verdict.profiles().stream()
                .filter(profile -> !profile.isPartial())
                .forEach(
                        profile ->
                                sharing.put(
                                        profile.name(),
                                        new InstanceSharing(verdict.roster(profile.name()))));
    }

    /** What says how places are written; it ends with an empty line. */
    public static String places(Verdict verdict, TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        return new TextPage(RequiredArgument.of(layout, "layout"))
                .line(0)
                .put(TextTone.QUIET, ":33:7 is a place in " + verdict.file())
                .end()
                .blank()
                .toString();
    }

    /**
     * The text about needs; every line ends with {@code \n}. Profiles that explain a need alike
     * stand together.
     *
     * @param explanations of one or several profiles
     */
    public static String ofNeeds(
            Verdict verdict, List<NeedExplanation> explanations, TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(explanations, "explanations");
        RequiredArgument.of(layout, "layout");
        ExplanationText text = new ExplanationText(verdict, layout);
        Map<String, List<NeedExplanation>> needs = new LinkedHashMap<>();
        for (NeedExplanation each : explanations) {
            needs.computeIfAbsent(each.row().identity(), key -> new ArrayList<>()).add(each);
        }
        needs.values().forEach(text::need);
        return text.page.toString();
    }

    /** The text about what consumers make by themselves, or that it is nothing. */
    public static String ofConsumers(
            Verdict verdict, Collection<String> consumers, TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(consumers, "consumers");
        TextPage page = new TextPage(RequiredArgument.of(layout, "layout"));
        for (String consumer : consumers) {
            List<String> all = ReportWording.byItself(verdict, consumer);
            page.line(0)
                    .put(TextTone.TITLE, verdict.shortName(consumer))
                    .put(all.isEmpty() ? "· " + ReportWording.NOTHING_BY_ITSELF : "· by itself")
                    .end();
            all.forEach(line -> page.line(2).put(TextTone.BAD, line).end());
            page.blank();
        }
        return page.toString();
    }

    private void need(List<NeedExplanation> explanations) {
        RosterRow row = explanations.get(0).row();
        page.line(0)
                .put(TextTone.TITLE, verdict.shortName(row.consumer()) + " (" + row.need() + ")")
                .put("· " + ReportWording.asked(verdict, row) + " · " + row.place().words())
                .put(
                        row.as()
                                .map(slot -> "· in the slot " + ReportWording.slot(verdict, slot))
                                .orElse(""))
                .put(row.within().map(level -> "· within " + verdict.shortName(level)).orElse(""))
                .end();
        Map<List<String>, List<NeedExplanation>> alike = new LinkedHashMap<>();
        for (NeedExplanation each : explanations) {
            alike.computeIfAbsent(lines(each), key -> new ArrayList<>()).add(each);
        }
        alike.values().forEach(this::profiles);
        page.blank();
    }

    private List<String> lines(NeedExplanation explanation) {
        List<String> all = new ArrayList<>();
        all.add(meets(explanation.row().answer()));
        all.add(instance(explanation));
        all.add(explanation.row().answer().elements().toString());
        explanation.considered().forEach(word -> all.add(word.toString()));
        return all;
    }

    private String meets(Answer answer) {
        String chain = ReportWording.chain(verdict, answer);
        String given = ReportWording.given(answer);
        return (chain.isEmpty() ? "" : chain + ' ')
                + ReportWording.core(verdict, answer)
                + (given.isEmpty() ? "" : " with " + given);
    }

    private void profiles(List<NeedExplanation> alike) {
        NeedExplanation first = alike.get(0);
        Answer answer = first.row().answer();
        page.line(2)
                .put(
                        TextTone.QUIET,
                        "in "
                                + alike.stream()
                                        .map(NeedExplanation::profile)
                                        .collect(Collectors.joining(", ")))
                .end();
        page.line(4)
                .put(TextTone.QUIET, "call meets")
                .tab(TEXT)
                .put(ReportWording.tone(answer.kind()), meets(answer))
                .end();
        for (Answer.Around decorator : answer.around()) {
            page.labelled(
                    4,
                    "around it",
                    TEXT,
                    verdict.shortName(decorator.name()) + " · " + place(decorator.at()));
        }
        for (Answer.Element element : answer.elements()) {
            page.labelled(
                    4,
                    "member",
                    TEXT,
                    element.key().map(key -> "@" + key.written() + " ").orElse("")
                            + meets(element.answer()));
        }
        String instance = instance(first);
        if (!instance.isEmpty()) {
            page.labelled(4, "instance", TEXT, instance);
        }
        String label = "looked at";
        for (ConsideredWord word : first.considered()) {
            page.line(4)
                    .put(TextTone.QUIET, label)
                    .tab(TEXT)
                    .put(TextTone.QUIET, level(word) + ":")
                    .put(word.wins() ? TextTone.TITLE : null, word.word())
                    .put(TextTone.QUIET, word.at().map(at -> "· " + place(at)).orElse(""))
                    .put(word.why().isEmpty() ? "" : "· " + word.why())
                    .end();
            label = "";
        }
    }

    /** Where it is said: the level, and the profile. */
    private static String level(ConsideredWord word) {
        return word.level() + (word.profile().isEmpty() ? "" : ", " + word.profile());
    }

    private String instance(NeedExplanation explanation) {
        Answer answer = explanation.row().answer();
        if (answer.lifetime().isEmpty()) {
            return "";
        }
        List<String> others =
                sharing.get(explanation.profile())
                        .othersWith(explanation.row().consumer(), answer, Integer.MAX_VALUE);
        return answer.lifetime().get().lifetime().word()
                + ' '
                + answer.lifetime().get().by().words()
                + (others.isEmpty() ? "" : ", with " + ReportWording.classes(verdict, others));
    }

    private String place(SourcePosition at) {
        return ReportWording.place(verdict, at);
    }

    /**
     * The text about who receives something; every line ends with {@code \n}.
     *
     * @param what what is received, as people call it
     * @param receivers by profile
     */
    public static String ofReceivers(
            Verdict verdict,
            String what,
            Map<String, List<ReceivingNeed>> receivers,
            TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(what, "what");
        RequiredArgument.of(receivers, "receivers");
        RequiredArgument.of(layout, "layout");
        ExplanationText text = new ExplanationText(verdict, layout);
        text.page.line(0).put(TextTone.TITLE, what).put("· who receives it").end();
        Map<List<String>, List<String>> alike = new LinkedHashMap<>();
        receivers.forEach(
                (profile, each) ->
                        alike.computeIfAbsent(text.receiverLines(each), key -> new ArrayList<>())
                                .add(profile));
        alike.forEach(
                (lines, profiles) -> {
                    text.page
                            .line(2)
                            .put(TextTone.QUIET, "in " + String.join(", ", profiles))
                            .end();
                    int depth = 1;
                    for (String line : lines) {
                        text.page.labelled(
                                4,
                                depth == 1 ? "directly" : "by " + (depth - 1) + " more",
                                TEXT,
                                line);
                        depth++;
                    }
                });
        return text.page.blank().toString();
    }

    /** One line for each depth. */
    private List<String> receiverLines(List<ReceivingNeed> receivers) {
        if (receivers.isEmpty()) {
            return List.of("nobody");
        }
        Map<Integer, List<String>> byDepth = new TreeMap<>();
        for (ReceivingNeed each : receivers) {
            byDepth.computeIfAbsent(each.depth(), key -> new ArrayList<>())
                    .add(verdict.shortName(each.row().consumer()) + " (" + each.row().need() + ")");
        }
        return byDepth.values().stream()
                .map(names -> names.stream().distinct().collect(Collectors.joining(", ")))
                .toList();
    }
}
