package dev.patientharbor.report;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.patientharbor.observing.AnswerInUse;
import dev.patientharbor.observing.EntryInUse;
import dev.patientharbor.observing.ObservedRosters;
import java.io.IOException;
import java.util.Map;

/** What runs met, as a field of a roster. */
final class ObservedJson {

    private final JsonGenerator json;

    ObservedJson(JsonGenerator json) {
        this.json = json;
    }

    void write(ObservedRosters observed) throws IOException {
        json.writeObjectFieldStart("observed");
        json.writeArrayFieldStart("answers");
        for (AnswerInUse each : observed.answers()) {
            write(each);
        }
        json.writeEndArray();
        json.writeArrayFieldStart("entryConsumers");
        for (EntryInUse each : observed.entries()) {
            json.writeStartObject();
            json.writeStringField("consumer", each.consumer());
            runs(each.runs());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeNumberField("outdated", observed.outdated().size());
        json.writeEndObject();
    }

    private void write(AnswerInUse each) throws IOException {
        json.writeStartObject();
        json.writeStringField("slot", each.slot().text());
        json.writeStringField("kind", each.answer().kind().word());
        if (each.answer().implementation().isPresent()) {
            json.writeStringField("implementation", each.answer().implementation().get());
        }
        JsonText.strings(json, "decorators", each.answer().decorators());
        runs(each.runs());
        JsonText.strings(json, "consumers", each.consumers());
        json.writeNumberField("made", each.made());
        if (each.calls().isPresent()) {
            json.writeNumberField("calls", each.calls().get());
        }
        json.writeEndObject();
    }

    private void runs(Map<String, Integer> runs) throws IOException {
        json.writeObjectFieldStart("runs");
        for (Map.Entry<String, Integer> each : runs.entrySet()) {
            json.writeNumberField(each.getKey(), each.getValue());
        }
        json.writeEndObject();
    }
}
