package dev.patientharbor.page;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.report.AnswerText;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The needs, each once, with what it receives in each profile: the number of an answer, and of the
 * instance. Answers that read alike stand once.
 */
final class PageRows {

    private static final int NONE = -1;

    private final Verdict verdict;
    private final List<Roster> rosters;
    private final JsonGenerator json;
    private final Map<AnswerText, Integer> answers = new LinkedHashMap<>();
    private final Map<AnswerPlace, Integer> said = new LinkedHashMap<>();

    /** Where an answer was said, and what decided how long it lives: no part of the decision. */
    private record AnswerPlace(String place, String lifetimeBy) {}

    /**
     * A need.
     *
     * @param row as one of the profiles has it
     * @param answers the numbers of its answers, by profile; -1 where nobody asks
     * @param instances the numbers of the instances, by profile; -1 where there is none
     * @param said the numbers of where it was said, by profile; -1 where nobody asks
     */
    private record NeedRow(RosterRow row, int[] answers, int[] instances, int[] said) {}

    PageRows(Verdict verdict, List<Roster> rosters, JsonGenerator json) {
        this.verdict = verdict;
        this.rosters = rosters;
        this.json = json;
    }

    void write() throws IOException {
        Map<String, NeedRow> rows = new LinkedHashMap<>();
        for (int i = 0; i < rosters.size(); i++) {
            Map<String, Integer> seen = new TreeMap<>();
            for (RosterRow row : rosters.get(i).rows()) {
                // One need may have several answers, if who asks stands in several ways in one
                // slot.
                int times = seen.merge(row.identity(), 1, Integer::sum);
                NeedRow need =
                        rows.computeIfAbsent(
                                row.identity() + '\t' + times,
                                key -> new NeedRow(row, nones(), nones(), nones()));
                need.answers()[i] = number(answers, AnswerText.of(verdict, row.answer()));
                need.said()[i] =
                        number(
                                said,
                                new AnswerPlace(
                                        AnswerText.place(verdict, row.answer()),
                                        AnswerText.lifetimeBy(row.answer())));
                need.instances()[i] = row.answer().instance().map(PageRows::number).orElse(NONE);
            }
        }
        List<NeedRow> sorted = new ArrayList<>(rows.values());
        sorted.sort(Comparator.comparing(NeedRow::row, RosterRow.ORDER));
        json.writeArrayFieldStart("rows");
        for (NeedRow need : sorted) {
            write(need);
        }
        json.writeEndArray();
        json.writeArrayFieldStart("answers");
        for (AnswerText answer : answers.keySet()) {
            write(answer);
        }
        json.writeEndArray();
        json.writeArrayFieldStart("said");
        for (AnswerPlace each : said.keySet()) {
            json.writeStartObject();
            json.writeStringField("at", each.place());
            json.writeStringField("by", each.lifetimeBy());
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    private int[] nones() {
        int[] nones = new int[rosters.size()];
        Arrays.fill(nones, NONE);
        return nones;
    }

    private static <T> int number(Map<T, Integer> numbers, T one) {
        Integer known = numbers.putIfAbsent(one, numbers.size());
        return known == null ? numbers.size() - 1 : known;
    }

    private static int number(String label) {
        return Integer.parseInt(label.substring(1));
    }

    private void write(NeedRow need) throws IOException {
        RosterRow row = need.row();
        json.writeStartObject();
        json.writeStringField("c", verdict.shortName(row.consumer()));
        json.writeStringField("full", row.consumer());
        json.writeStringField("n", row.need());
        json.writeStringField("slot", AnswerText.asked(verdict, row));
        json.writeStringField("place", row.place().words());
        json.writeStringField("as", AnswerText.standing(verdict, row));
        numbers("a", need.answers());
        numbers("i", need.instances());
        numbers("s", need.said());
        List<String> past = verdict.bypassedBy(row.slot());
        if (!past.isEmpty()) {
            json.writeStringField("past", AnswerText.alsoMade(verdict, past));
        }
        json.writeEndObject();
    }

    private void numbers(String field, int[] numbers) throws IOException {
        json.writeFieldName(field);
        json.writeArray(numbers, 0, numbers.length);
    }

    private void write(AnswerText answer) throws IOException {
        json.writeStartObject();
        json.writeStringField("k", answer.kind());
        json.writeStringField("core", answer.core());
        PageTexts.write(json, "around", answer.around());
        json.writeStringField("given", answer.given());
        json.writeStringField("life", answer.lifetime());
        if (!answer.members().isEmpty()) {
            json.writeArrayFieldStart("members");
            for (AnswerText.Member member : answer.members()) {
                json.writeStartObject();
                json.writeStringField("key", member.key());
                json.writeFieldName("answer");
                write(member.answer());
                json.writeEndObject();
            }
            json.writeEndArray();
        }
        json.writeEndObject();
    }
}
