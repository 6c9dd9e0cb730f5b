package dev.patientharbor.report;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.survey.ExtractableInterface;
import dev.patientharbor.survey.HandWiring;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.survey.SharedState;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.survey.SurveyedContract;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Writes a survey for programs, version 1: one JSON object (RFC 8259), described in docs/survey.md.
 */
public final class SurveyJson {

    private static final int VERSION = 1;

    private final Survey survey;
    private final JsonGenerator json;

    private SurveyJson(Survey survey, JsonGenerator json) {
        this.survey = survey;
        this.json = json;
    }

    /** The whole text; it ends with {@code \n}. */
    public static String render(Survey survey) {
        RequiredArgument.of(survey, "survey");
        return JsonText.of(json -> new SurveyJson(survey, json).write());
    }

    private void write() throws IOException {
        json.writeStartObject();
        json.writeNumberField("patientHarborSurvey", VERSION);
        json.writeNumberField("classes", survey.classes());
        json.writeArrayFieldStart("hardWired");
        for (HardWiring wiring : survey.hardWired()) {
            write(wiring);
        }
        json.writeEndArray();
        json.writeArrayFieldStart("contracts");
        for (SurveyedContract contract : survey.contracts()) {
            write(contract);
        }
        json.writeEndArray();
        json.writeArrayFieldStart("interfaces");
        for (ExtractableInterface one : survey.interfaces()) {
            json.writeStartObject();
            json.writeStringField("class", one.className());
            json.writeStringField("name", one.name());
            JsonText.strings(json, "members", one.members());
            json.writeStringField("source", one.source());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeArrayFieldStart("touches");
        for (Map.Entry<String, List<Touch>> touches : survey.touches().entrySet()) {
            for (Touch touch : touches.getValue()) {
                write(touches.getKey(), touch);
            }
        }
        json.writeEndArray();
        json.writeArrayFieldStart("handWiring");
        for (HandWiring wiring : survey.handWiring()) {
            json.writeStartObject();
            write(wiring.at());
            json.writeNumberField("objects", wiring.made());
            json.writeNumberField("handOvers", wiring.handOvers());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeArrayFieldStart("sharedState");
        for (SharedState state : survey.sharedState()) {
            json.writeStartObject();
            json.writeStringField("class", state.className());
            json.writeStringField("field", state.field());
            json.writeStringField("type", state.type());
            json.writeBooleanField("changes", state.change().isPresent());
            json.writeStringField("change", state.change().orElse(null));
            json.writeEndObject();
        }
        json.writeEndArray();
        JsonText.strings(json, "entryConsumers", survey.entryConsumers());
        json.writeArrayFieldStart("unreadable");
        for (Finding finding : survey.findings()) {
            json.writeStartObject();
            json.writeStringField("place", finding.at().text());
            json.writeStringField("message", finding.message());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeEndObject();
    }

    private void write(HardWiring wiring) throws IOException {
        json.writeStartObject();
        json.writeStringField("consumer", wiring.consumer());
        write(wiring.at());
        json.writeStringField("by", wiring.by().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        json.writeStringField("source", wiring.source());
        json.writeStringField("contract", wiring.contract());
        if (wiring.implementation().isPresent()) {
            json.writeStringField("implementation", wiring.implementation().get());
        } else {
            json.writeNullField("implementation");
        }
        json.writeEndObject();
    }

    private void write(SurveyedContract contract) throws IOException {
        json.writeStartObject();
        json.writeStringField("name", contract.name());
        json.writeStringField("kind", contract.kind().word());
        JsonText.strings(json, "implementations", contract.implementations());
        JsonText.strings(json, "askedBy", contract.askedBy());
        JsonText.strings(json, "hardWiredIn", contract.hardWiredIn());
        json.writeEndObject();
    }

    private void write(String className, Touch touch) throws IOException {
        json.writeStartObject();
        json.writeStringField("class", className);
        json.writeStringField("touches", touch.kind().word());
        JsonText.strings(json, "way", touch.way());
        write(touch.at());
        json.writeEndObject();
    }

    private void write(CodeLocation at) throws IOException {
        json.writeObjectFieldStart("at");
        json.writeStringField("class", at.className());
        json.writeStringField("member", at.member());
        if (at.file().isPresent()) {
            json.writeStringField("file", at.file().get());
        } else {
            json.writeNullField("file");
        }
        json.writeNumberField("line", at.line());
        json.writeEndObject();
    }
}
