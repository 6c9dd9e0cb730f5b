package dev.patientharbor.page;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.report.AnswerText;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the page shows, as one JSON object: short keys, and what profiles share once. */
final class PageData {

    private final Verdict verdict;
    private final JsonGenerator json;
    private final List<ProfileVerdict> profiles;
    private final Map<String, Roster> rosters;

    private final Optional<ObservedRosters> observed;

    private PageData(Verdict verdict, Optional<ObservedRosters> observed, JsonGenerator json) {
        this.observed = observed;
        this.verdict = verdict;
        this.json = json;
        profiles = verdict.profiles().stream().filter(profile -> !profile.isPartial()).toList();
        rosters = verdict.rosters();
    }

    /** The object; nothing in it is markup. */
    static String json(Verdict verdict, Optional<ObservedRosters> observed) {
        StringWriter text = new StringWriter();
        JsonFactory factory = new JsonFactory().setCharacterEscapes(new MarkupEscaped());
        try (JsonGenerator json = factory.createGenerator(text)) {
            new PageData(verdict, observed, json).write();
        } catch (IOException impossible) {
            throw new UncheckedIOException("text in memory cannot fail", impossible);
        }
        return text.toString();
    }

    private void write() throws IOException {
        json.writeStartObject();
        json.writeStringField("title", verdict.title());
        json.writeStringField("file", verdict.file());
        json.writeStringField("summary", PageFindings.summary(verdict));
        json.writeArrayFieldStart("profiles");
        for (ProfileVerdict profile : profiles) {
            write(profile);
        }
        json.writeEndArray();
        new PageRows(verdict, List.copyOf(rosters.values()), json).write();
        writeByItself();
        new PageFindings(verdict, json).write();
        new PageRealism(verdict, observed, json).write();
        new PageGraphs(verdict, List.copyOf(rosters.values()), json).write();
        json.writeEndObject();
    }

    /** What consumers make by themselves, past every profile. */
    private void writeByItself() throws IOException {
        json.writeArrayFieldStart("byItself");
        for (String consumer : verdict.hardWired().keySet()) {
            json.writeStartObject();
            json.writeStringField("full", consumer);
            json.writeStringField("c", verdict.shortName(consumer));
            PageTexts.write(json, "places", AnswerText.byItself(verdict, consumer));
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    private void write(ProfileVerdict profile) throws IOException {
        json.writeStartObject();
        json.writeStringField("name", profile.name());
        json.writeStringField("parents", String.join(", ", profile.parents()));
        json.writeBooleanField("complete", profile.complete().orElse(false));
        json.writeStringField("print", rosters.get(profile.name()).fingerprint());
        json.writeNumberField("needs", profile.needs());
        json.writeNumberField("met", profile.met());
        json.writeObjectFieldStart("kinds");
        for (Map.Entry<AnswerKind, Integer> each : profile.answers().entrySet()) {
            json.writeNumberField(each.getKey().word(), each.getValue());
        }
        json.writeEndObject();
        json.writeEndObject();
    }
}
