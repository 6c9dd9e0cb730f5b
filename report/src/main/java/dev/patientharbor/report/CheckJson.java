package dev.patientharbor.report;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.RuleFault;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingDetail;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.Suppression;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Writes what a check found for programs, version 1: one JSON object (RFC 8259), described in
 * docs/check.md.
 */
public final class CheckJson {

    private static final int VERSION = 1;

    private final JsonGenerator json;

    private CheckJson(JsonGenerator json) {
        this.json = json;
    }

    /** The whole text; it ends with {@code \n}. */
    public static String render(Verdict verdict) {
        RequiredArgument.of(verdict, "verdict");
        return JsonText.of(json -> new CheckJson(json).write(verdict));
    }

    private void write(Verdict verdict) throws IOException {
        json.writeStartObject();
        json.writeNumberField("patientHarborCheck", VERSION);
        json.writeStringField("title", verdict.title());
        json.writeStringField("file", verdict.file());
        json.writeStringField("summary", CheckSummary.of(verdict));
        json.writeNumberField("entryConsumers", verdict.entryConsumers());
        json.writeNumberField("classesRead", verdict.classesRead());
        json.writeNumberField("classesThere", verdict.classesThere());
        json.writeArrayFieldStart("profiles");
        for (ProfileVerdict profile : verdict.profiles()) {
            write(profile);
        }
        json.writeEndArray();
        findings("findings", FindingOnce.reported(verdict));
        findings("suppressed", FindingOnce.suppressed(verdict));
        json.writeArrayFieldStart("faults");
        for (RuleFault fault : verdict.faults()) {
            json.writeStartObject();
            json.writeStringField("rule", fault.rule());
            json.writeStringField("cause", fault.cause().toString());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeEndObject();
    }

    private void write(ProfileVerdict profile) throws IOException {
        json.writeStartObject();
        json.writeStringField("name", profile.name());
        JsonText.strings(json, "extends", profile.parents());
        json.writeBooleanField("partial", profile.isPartial());
        truth("complete", profile.complete());
        json.writeNumberField("needs", profile.needs());
        json.writeObjectFieldStart("answers");
        for (Map.Entry<AnswerKind, Integer> each : profile.answers().entrySet()) {
            json.writeNumberField(each.getKey().word(), each.getValue());
        }
        json.writeEndObject();
        truth("built", profile.built());
        json.writeEndObject();
    }

    private void truth(String field, Optional<Boolean> value) throws IOException {
        if (value.isPresent()) {
            json.writeBooleanField(field, value.get());
        } else {
            json.writeNullField(field);
        }
    }

    private void findings(String field, List<FindingOnce> findings) throws IOException {
        json.writeArrayFieldStart(field);
        for (FindingOnce each : findings) {
            write(each);
        }
        json.writeEndArray();
    }

    private void write(FindingOnce once) throws IOException {
        Finding finding = once.finding();
        json.writeStartObject();
        json.writeStringField("id", finding.kind().id());
        json.writeStringField("severity", finding.severity().word());
        json.writeBooleanField("incomplete", finding.kind().breaksCompleteness());
        json.writeStringField("about", finding.kind().title());
        json.writeStringField("message", finding.message());
        json.writeStringField("at", finding.at().text());
        place(finding.at());
        JsonText.strings(json, "profiles", once.profiles());
        json.writeStringField("cause", finding.cause());
        JsonText.strings(json, "subjects", finding.subjects());
        json.writeArrayFieldStart("details");
        for (FindingDetail detail : finding.details()) {
            json.writeStartObject();
            json.writeStringField("label", detail.label());
            JsonText.strings(json, "lines", detail.lines());
            json.writeEndObject();
        }
        json.writeEndArray();
        JsonText.strings(json, "remedy", FindingRemedy.lines(finding));
        JsonText.strings(json, "consumers", finding.consumers());
        JsonText.strings(json, "entries", finding.entries());
        if (once.by().isPresent()) {
            suppression(once.by().get());
        }
        json.writeEndObject();
    }

    private void suppression(Suppression by) throws IOException {
        Grounds grounds = by.grounds();
        json.writeObjectFieldStart("suppressed");
        json.writeStringField("because", grounds.because().orElse(""));
        json.writeStringField("owner", grounds.owner().orElse(""));
        json.writeStringField("until", grounds.until().map(Object::toString).orElse(""));
        json.writeStringField("at", by.at().text());
        json.writeEndObject();
    }

    /** The parts of a place: those that it has not are null. */
    private void place(SourcePosition at) throws IOException {
        json.writeObjectFieldStart("place");
        json.writeStringField(
                "file",
                at.match(
                        in -> in.path(),
                        in -> in.source().map(line -> line.file()).orElse(null),
                        in -> in.file()));
        number(
                "line",
                at.match(
                        in -> in.line(),
                        in -> in.source().map(line -> line.line()).orElse(0),
                        in -> in.line()));
        number("column", at.match(in -> in.column(), in -> 0, in -> 0));
        json.writeStringField("class", at.match(in -> null, in -> in.className(), in -> null));
        json.writeEndObject();
    }

    private void number(String field, int value) throws IOException {
        if (value == 0) {
            json.writeNullField(field);
        } else {
            json.writeNumberField(field, value);
        }
    }
}
