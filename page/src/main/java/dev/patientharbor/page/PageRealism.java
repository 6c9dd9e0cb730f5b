package dev.patientharbor.page;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.patientharbor.check.Coverage;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.observing.AnswerInUse;
import dev.patientharbor.observing.EntryInUse;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.report.AnswerText;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** How real each environment is, from the desk to the real thing. */
final class PageRealism {

    private final Verdict verdict;
    private final Optional<ObservedRosters> observed;
    private final JsonGenerator json;

    PageRealism(Verdict verdict, Optional<ObservedRosters> observed, JsonGenerator json) {
        this.observed = observed;
        this.verdict = verdict;
        this.json = json;
    }

    void write() throws IOException {
        Coverage coverage = verdict.coverage();
        json.writeObjectFieldStart("realism");
        PageTexts.write(json, "order", coverage.profiles());
        json.writeArrayFieldStart("slots");
        for (Coverage.Use use : coverage.slots()) {
            write(use, coverage.profiles());
        }
        json.writeEndArray();
        json.writeArrayFieldStart("never");
        for (Coverage.NeverReal never : coverage.neverReal()) {
            json.writeStartObject();
            json.writeStringField("c", verdict.shortName(never.consumer()));
            json.writeStringField("n", never.need());
            json.writeStringField("slot", never.slot().text(verdict::shortName));
            json.writeEndObject();
        }
        json.writeEndArray();
        PageTexts.write(
                json, "unused", coverage.unused().stream().map(verdict::shortName).toList());
        if (observed.isPresent()) {
            write(observed.get());
        }
        json.writeEndObject();
    }

    /** What runs met, and what they did not. */
    private void write(ObservedRosters all) throws IOException {
        json.writeObjectFieldStart("met");
        json.writeNumberField("outdated", all.outdated().size());
        json.writeArrayFieldStart("entries");
        for (EntryInUse entry : all.entries()) {
            if (!entry.isMet()) {
                json.writeString(verdict.shortName(entry.consumer()));
            }
        }
        json.writeEndArray();
        json.writeArrayFieldStart("answers");
        for (AnswerInUse each : all.answers()) {
            write(each);
        }
        json.writeEndArray();
        json.writeEndObject();
    }

    private void write(AnswerInUse each) throws IOException {
        AnswerText text = AnswerText.of(verdict, each.answer());
        json.writeStartObject();
        json.writeStringField("slot", each.slot().text(verdict::shortName));
        json.writeStringField("k", text.kind());
        json.writeStringField("core", text.core());
        PageTexts.write(json, "around", text.around());
        json.writeObjectFieldStart("runs");
        for (Map.Entry<String, Integer> runs : each.runs().entrySet()) {
            json.writeNumberField(runs.getKey(), runs.getValue());
        }
        json.writeEndObject();
        PageTexts.write(json, "for", each.consumers().stream().map(verdict::shortName).toList());
        json.writeEndObject();
    }

    private void write(Coverage.Use use, List<String> profiles) throws IOException {
        json.writeStartObject();
        json.writeStringField("slot", use.slot().text(verdict::shortName));
        json.writeArrayFieldStart("kinds");
        for (Set<AnswerKind> kinds : use.kinds()) {
            json.writeStartArray();
            for (AnswerKind kind : kinds) {
                json.writeString(kind.word());
            }
            json.writeEndArray();
        }
        json.writeEndArray();
        if (observed.isPresent()) {
            json.writeArrayFieldStart("runs");
            for (String profile : profiles) {
                json.writeNumber(observed.get().leastRuns(profile, use.slot()).orElse(-1));
            }
            json.writeEndArray();
        }
        json.writeStringField("first", use.firstReal().orElse(""));
        json.writeStringField(
                "past",
                use.bypassedBy().isEmpty() ? "" : AnswerText.alsoMade(verdict, use.bypassedBy()));
        json.writeEndObject();
    }
}
