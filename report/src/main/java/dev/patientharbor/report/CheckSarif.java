package dev.patientharbor.report;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.patientharbor.check.RuleFault;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Writes what a check found as a SARIF log, version 2.1.0 (OASIS standard, 27 March 2020), for the
 * programs that gather such logs.
 */
public final class CheckSarif {

    private static final String SCHEMA =
            "https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json";
    private static final Pattern PLACE = Pattern.compile("([^\\s:]+\\.ya?ml):(\\d+):(\\d+)");

    private final Verdict verdict;
    private final JsonGenerator json;
    private final List<FindingKind> rules;
    private final Map<String, Integer> fingerprints = new HashMap<>();

    private CheckSarif(Verdict verdict, List<FindingKind> rules, JsonGenerator json) {
        this.verdict = verdict;
        this.json = json;
        this.rules = rules;
    }

    /** The whole text; it ends with {@code \n}. */
    public static String render(Verdict verdict) {
        RequiredArgument.of(verdict, "verdict");
        List<FindingOnce> all = new ArrayList<>(FindingOnce.reported(verdict));
        all.addAll(FindingOnce.suppressed(verdict));
        List<FindingKind> rules =
                all.stream()
                        .map(each -> each.finding().kind())
                        .distinct()
                        .sorted(Comparator.comparing(FindingKind::id))
                        .toList();
        return JsonText.of(json -> new CheckSarif(verdict, rules, json).write(all));
    }

    private void write(List<FindingOnce> all) throws IOException {
        json.writeStartObject();
        json.writeStringField("$schema", SCHEMA);
        json.writeStringField("version", "2.1.0");
        json.writeArrayFieldStart("runs");
        json.writeStartObject();
        json.writeObjectFieldStart("tool");
        json.writeObjectFieldStart("driver");
        json.writeStringField("name", "Patient Harbor");
        String version = CheckSarif.class.getPackage().getImplementationVersion();
        if (version != null) {
            json.writeStringField("version", version);
        }
        json.writeArrayFieldStart("rules");
        for (FindingKind rule : rules) {
            write(rule);
        }
        json.writeEndArray();
        json.writeEndObject();
        json.writeEndObject();
        invocation();
        json.writeStringField("columnKind", "utf16CodeUnits");
        json.writeArrayFieldStart("results");
        for (FindingOnce each : all) {
            write(each);
        }
        json.writeEndArray();
        json.writeEndObject();
        json.writeEndArray();
        json.writeEndObject();
    }

    /** A check that came to its end, and rules that did not. */
    private void invocation() throws IOException {
        json.writeArrayFieldStart("invocations");
        json.writeStartObject();
        json.writeBooleanField("executionSuccessful", verdict.faults().isEmpty());
        json.writeArrayFieldStart("toolExecutionNotifications");
        for (RuleFault fault : verdict.faults()) {
            json.writeStartObject();
            json.writeStringField("level", "error");
            text("message", fault.rule() + " did not come to its end: " + fault.cause());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeEndObject();
        json.writeEndArray();
    }

    private void write(FindingKind rule) throws IOException {
        json.writeStartObject();
        json.writeStringField("id", rule.id());
        text("shortDescription", rule.title() + ".");
        String page = FindingPages.markdown(rule);
        json.writeObjectFieldStart("help");
        json.writeStringField("text", page);
        json.writeStringField("markdown", page);
        json.writeEndObject();
        json.writeObjectFieldStart("defaultConfiguration");
        json.writeStringField("level", level(rule.severity()));
        json.writeEndObject();
        json.writeEndObject();
    }

    private static String level(Severity severity) {
        return switch (severity) {
            case ERROR -> "error";
            case WARNING -> "warning";
            case NOTE -> "note";
        };
    }

    private void write(FindingOnce once) throws IOException {
        Finding finding = once.finding();
        json.writeStartObject();
        json.writeStringField("ruleId", finding.kind().id());
        json.writeNumberField("ruleIndex", rules.indexOf(finding.kind()));
        json.writeStringField("level", level(finding.severity()));
        text("message", FindingMessage.of(verdict, finding));
        json.writeArrayFieldStart("locations");
        json.writeStartObject();
        location(finding.at());
        json.writeEndObject();
        json.writeEndArray();
        related(finding);
        json.writeObjectFieldStart("partialFingerprints");
        json.writeStringField("patientHarborCause/v1", fingerprint(finding));
        json.writeEndObject();
        json.writeArrayFieldStart("suppressions");
        if (once.by().isPresent()) {
            json.writeStartObject();
            json.writeStringField("kind", "external");
            json.writeStringField("status", "accepted");
            json.writeStringField(
                    "justification", once.by().get().grounds().because().orElse("no reason"));
            location(once.by().get().at(), "location");
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeObjectFieldStart("properties");
        JsonText.strings(json, "profiles", once.profiles());
        JsonText.strings(json, "consumers", finding.consumers());
        JsonText.strings(json, "entries", finding.entries());
        json.writeBooleanField("incomplete", finding.kind().breaksCompleteness());
        json.writeEndObject();
        json.writeEndObject();
    }

    /** Other places that the facts of a finding name, each once. */
    private void related(Finding finding) throws IOException {
        Set<SourcePosition> places = new LinkedHashSet<>();
        finding.details().forEach(detail -> detail.lines().forEach(line -> add(places, line)));
        add(places, finding.message());
        places.remove(finding.at());
        json.writeArrayFieldStart("relatedLocations");
        int id = 1;
        for (SourcePosition place : places) {
            json.writeStartObject();
            json.writeNumberField("id", id++);
            location(place);
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    private static void add(Set<SourcePosition> places, String line) {
        Matcher place = PLACE.matcher(line);
        while (place.find()) {
            places.add(SourcePosition.parse(place.group()));
        }
    }

    private void location(SourcePosition at, String field) throws IOException {
        json.writeObjectFieldStart(field);
        location(at);
        json.writeEndObject();
    }

    /** What is in a location: of a class its source, or else the profile file, and the class. */
    private void location(SourcePosition at) throws IOException {
        String file = at.match(in -> in.path(), this::source, in -> in.file());
        int line =
                at.match(
                        in -> in.line(),
                        in -> in.source().map(source -> source.line()).orElse(1),
                        in -> in.line());
        int column = at.match(in -> in.column(), in -> 1, in -> 1);
        if (!file.isEmpty()) {
            json.writeObjectFieldStart("physicalLocation");
            json.writeObjectFieldStart("artifactLocation");
            json.writeStringField("uri", ArtifactUri.of(file));
            json.writeEndObject();
            json.writeObjectFieldStart("region");
            json.writeNumberField("startLine", line);
            json.writeNumberField("startColumn", column);
            json.writeEndObject();
            json.writeEndObject();
        }
        Optional<SourcePosition.InClass> code =
                at.match(in -> Optional.empty(), Optional::of, in -> Optional.empty());
        if (code.isPresent()) {
            json.writeArrayFieldStart("logicalLocations");
            json.writeStartObject();
            json.writeStringField(
                    "fullyQualifiedName",
                    new SourcePosition.InClass(code.get().className(), code.get().member()).text());
            json.writeStringField("kind", code.get().member().isEmpty() ? "type" : "member");
            json.writeEndObject();
            json.writeEndArray();
        }
    }

    /** The file of a place in a class, from the folder of its sources on. */
    private String source(SourcePosition.InClass at) {
        String folder =
                at.className().substring(0, at.className().lastIndexOf('.') + 1).replace('.', '/');
        return at.source().map(source -> folder + source.file()).orElse(verdict.file());
    }

    /** Equal for the same cause in the next run, wherever its lines have moved to. */
    private String fingerprint(Finding finding) {
        String cause =
                String.join("\t", finding.kind().id(), finding.cause(), finding.message())
                        .replaceAll("(\\.\\w+):\\d+(:\\d+)?", "$1");
        int same = fingerprints.merge(cause, 1, Integer::sum);
        return UUID.nameUUIDFromBytes((cause + "\t" + same).getBytes(StandardCharsets.UTF_8))
                .toString();
    }

    private void text(String field, String text) throws IOException {
        json.writeObjectFieldStart(field);
        json.writeStringField("text", text);
        json.writeEndObject();
    }
}
