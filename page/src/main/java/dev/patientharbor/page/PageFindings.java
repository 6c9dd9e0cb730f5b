package dev.patientharbor.page;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.report.ReportedFinding;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;

/** What is wrong, each once, and what its kind means. */
final class PageFindings {

    private final Verdict verdict;
    private final JsonGenerator json;

    PageFindings(Verdict verdict, JsonGenerator json) {
        this.verdict = verdict;
        this.json = json;
    }

    static String summary(Verdict verdict) {
        return ReportedFinding.summary(verdict);
    }

    void write() throws IOException {
        Map<String, String> pages = new LinkedHashMap<>();
        json.writeArrayFieldStart("findings");
        for (ReportedFinding finding : ReportedFinding.all(verdict)) {
            write(finding);
            pages.putIfAbsent(finding.id(), finding.page());
        }
        json.writeEndArray();
        json.writeObjectFieldStart("pages");
        for (Map.Entry<String, String> page : pages.entrySet()) {
            json.writeStringField(page.getKey(), page.getValue());
        }
        json.writeEndObject();
    }

    private void write(ReportedFinding finding) throws IOException {
        json.writeStartObject();
        json.writeStringField("id", finding.id());
        json.writeStringField("sev", finding.severity());
        json.writeBooleanField("incomplete", finding.incomplete());
        json.writeStringField("msg", finding.message());
        json.writeStringField("at", finding.place());
        PageTexts.write(json, "in", finding.profiles());
        json.writeArrayFieldStart("facts");
        for (ReportedFinding.Fact fact : finding.facts()) {
            json.writeStartObject();
            json.writeStringField("label", fact.label());
            PageTexts.write(json, "lines", fact.lines());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeStringField("because", finding.suppressedBecause());
        json.writeEndObject();
    }
}
