package dev.patientharbor.page;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.patientharbor.check.Coverage;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.report.AnswerText;
import java.io.IOException;
import java.util.Set;

/** How real each environment is, from the desk to the real thing. */
final class PageRealism {

    private final Verdict verdict;
    private final JsonGenerator json;

    PageRealism(Verdict verdict, JsonGenerator json) {
        this.verdict = verdict;
        this.json = json;
    }

    void write() throws IOException {
        Coverage coverage = verdict.coverage();
        json.writeObjectFieldStart("realism");
        json.writeArrayFieldStart("order");
        for (String profile : coverage.profiles()) {
            json.writeString(profile);
        }
        json.writeEndArray();
        json.writeArrayFieldStart("slots");
        for (Coverage.Use use : coverage.slots()) {
            write(use);
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
        json.writeArrayFieldStart("unused");
        for (String name : coverage.unused()) {
            json.writeString(verdict.shortName(name));
        }
        json.writeEndArray();
        json.writeEndObject();
    }

    private void write(Coverage.Use use) throws IOException {
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
        json.writeStringField("first", use.firstReal().orElse(""));
        json.writeStringField(
                "past",
                use.bypassedBy().isEmpty() ? "" : AnswerText.alsoMade(verdict, use.bypassedBy()));
        json.writeEndObject();
    }
}
