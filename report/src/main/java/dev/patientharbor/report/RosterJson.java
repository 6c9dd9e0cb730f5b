package dev.patientharbor.report;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.SuppressedFinding;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.PassedParameter;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;

/**
 * Writes the roster for programs, version 3: one JSON object (RFC 8259), described in
 * docs/roster.md.
 */
public final class RosterJson {

    /** The version that is written. */
    static final int VERSION = 3;

    private final Verdict verdict;
    private final JsonGenerator json;

    /** The collections of the profile that is written, each with its label, in order. */
    private final Map<List<Answer.Element>, String> collections = new IdentityHashMap<>();

    private final Deque<List<Answer.Element>> unwritten = new ArrayDeque<>();

    /** What reaches outside; empty if nobody asked. */
    private final Optional<SortedMap<String, List<Touch>>> touches;

    /** What runs met; empty if nobody asked. */
    private final Optional<ObservedRosters> observed;

    private RosterJson(
            Verdict verdict,
            Optional<SortedMap<String, List<Touch>>> touches,
            Optional<ObservedRosters> observed,
            JsonGenerator json) {
        this.touches = touches;
        this.observed = observed;
        this.verdict = verdict;
        this.json = json;
    }

    /** The whole text; it ends with {@code \n}. */
    public static String render(Verdict verdict) {
        return render(verdict, Optional.empty(), Optional.empty());
    }

    /**
     * The whole text, with what is asked for beside the roster; it ends with {@code \n}.
     *
     * @param touches what reaches outside, by binary name, as a set of profiles tells it
     * @param observed what runs met
     */
    public static String render(
            Verdict verdict,
            Optional<SortedMap<String, List<Touch>>> touches,
            Optional<ObservedRosters> observed) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(touches, "touches");
        RequiredArgument.of(observed, "observed");
        return JsonText.of(json -> new RosterJson(verdict, touches, observed, json).write());
    }

    private void write() throws IOException {
        json.writeStartObject();
        json.writeNumberField("patientHarborRoster", VERSION);
        json.writeStringField("title", verdict.title());
        json.writeStringField("file", verdict.file());
        json.writeArrayFieldStart("profiles");
        for (ProfileVerdict profile : verdict.profiles()) {
            write(profile);
        }
        json.writeEndArray();
        write("findings", verdict.findings());
        suppressed(verdict.suppressed());
        if (touches.isPresent()) {
            json.writeArrayFieldStart("touches");
            for (Map.Entry<String, List<Touch>> entry : touches.get().entrySet()) {
                for (Touch touch : entry.getValue()) {
                    write(entry.getKey(), touch);
                }
            }
            json.writeEndArray();
        }
        if (observed.isPresent()) {
            new ObservedJson(json).write(observed.get());
        }
        json.writeEndObject();
    }

    private void write(String maker, Touch touch) throws IOException {
        json.writeStartObject();
        json.writeStringField("class", maker);
        json.writeStringField("touches", touch.kind().word());
        JsonText.strings(json, "way", touch.way());
        json.writeStringField("at", touch.at().text());
        json.writeEndObject();
    }

    private void write(ProfileVerdict profile) throws IOException {
        Optional<Roster> roster =
                profile.isPartial()
                        ? Optional.empty()
                        : Optional.of(verdict.roster(profile.name()));
        json.writeStartObject();
        json.writeStringField("name", profile.name());
        JsonText.strings(json, "extends", profile.parents());
        json.writeBooleanField("partial", profile.isPartial());
        if (profile.complete().isPresent()) {
            json.writeBooleanField("complete", profile.complete().get());
        } else {
            json.writeNullField("complete");
        }
        string("fingerprint", roster.map(Roster::fingerprint));
        json.writeArrayFieldStart("needs");
        if (roster.isPresent()) {
            for (RosterRow row : roster.get().rows()) {
                write(row);
            }
        }
        json.writeEndArray();
        collections();
        json.writeArrayFieldStart("passed");
        for (PassedParameter passed : roster.map(Roster::passed).orElse(List.of())) {
            write(passed);
        }
        json.writeEndArray();
        json.writeBooleanField("eager", roster.map(Roster::eager).orElse(false));
        write("findings", profile.findings());
        suppressed(profile.suppressed());
        json.writeEndObject();
    }

    private void write(PassedParameter passed) throws IOException {
        json.writeStartObject();
        json.writeStringField("consumer", passed.consumer());
        json.writeStringField("need", passed.name());
        json.writeStringField("place", passed.place().code());
        json.writeStringField("type", passed.type().text());
        json.writeEndObject();
    }

    private void write(RosterRow row) throws IOException {
        json.writeStartObject();
        json.writeStringField("consumer", row.consumer());
        json.writeStringField("need", row.need());
        json.writeStringField("place", row.place().code());
        string("as", row.as().map(Slot::text));
        string("within", row.within());
        json.writeStringField("contract", row.slot().contract().text());
        write(row.slot().key(), row.carrier(), row.answer());
        json.writeEndObject();
    }

    /** What a need receives, or what a member of a collection is. */
    private void write(Optional<Key> key, Optional<String> carrier, Answer answer)
            throws IOException {
        string("carrier", carrier);
        string("key", key.map(Key::text));
        string("qualifier", key.map(Key::qualifier).filter(name -> !name.isEmpty()));
        json.writeStringField("kind", answer.kind().word());
        string("implementation", answer.implementation());
        JsonText.strings(
                json, "decorators", answer.decorators().stream().map(RosterJson::word).toList());
        string("lifetime", answer.lifetime().map(choice -> choice.lifetime().word()));
        string("lifetimeBy", answer.lifetime().map(choice -> choice.by().words()));
        string("instance", answer.instance());
        string("origin", answer.origin().map(SourcePosition::text));
        json.writeStringField("given", answer.given());
        json.writeArrayFieldStart("around");
        for (Answer.Around decorator : answer.around()) {
            json.writeStartObject();
            json.writeStringField("decorator", decorator.name());
            json.writeStringField("given", decorator.given());
            json.writeStringField("at", decorator.at().text());
            json.writeEndObject();
        }
        json.writeEndArray();
        string("filledBy", answer.filledBy().map(FillInSource::word));
        JsonText.strings(json, "leftOut", answer.leftOut());
        string("fills", answer.fills().map(seat -> seat.slot().text()));
        string("fillsWithin", answer.fills().flatMap(Answer.Seat::within));
        if (answer.kind() == AnswerKind.COLLECTION) {
            json.writeStringField("collection", label(answer.elements()));
        }
    }

    private String label(List<Answer.Element> elements) {
        String known = collections.get(elements);
        if (known == null) {
            known = "c" + (collections.size() + 1);
            collections.put(elements, known);
            unwritten.add(elements);
        }
        return known;
    }

    /** The members of each collection that was named, once, whoever receives them. */
    private void collections() throws IOException {
        json.writeArrayFieldStart("collections");
        while (!unwritten.isEmpty()) {
            List<Answer.Element> elements = unwritten.remove();
            json.writeStartObject();
            json.writeStringField("collection", collections.get(elements));
            json.writeArrayFieldStart("members");
            for (Answer.Element element : elements) {
                json.writeStartObject();
                write(element.key(), element.carrier(), element.answer());
                json.writeEndObject();
            }
            json.writeEndArray();
            json.writeEndObject();
        }
        json.writeEndArray();
        collections.clear();
    }

    private void write(String field, List<Finding> findings) throws IOException {
        json.writeArrayFieldStart(field);
        for (Finding finding : findings) {
            json.writeStartObject();
            write(finding);
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    private void write(Finding finding) throws IOException {
        json.writeStringField("id", finding.kind().id());
        json.writeStringField("severity", finding.severity().word());
        json.writeStringField("message", finding.message());
        json.writeStringField("at", finding.at().text());
        json.writeStringField("cause", finding.cause());
        JsonText.strings(json, "consumers", finding.consumers());
        JsonText.strings(json, "entries", finding.entries());
    }

    /** What is not reported, with the reason why. */
    private void suppressed(List<SuppressedFinding> suppressed) throws IOException {
        json.writeArrayFieldStart("suppressed");
        for (SuppressedFinding one : suppressed) {
            json.writeStartObject();
            write(one.finding());
            Grounds grounds = one.by().grounds();
            string("because", grounds.because());
            string("owner", grounds.owner());
            string("until", grounds.until().map(LocalDate::toString));
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    private void string(String field, Optional<String> value) throws IOException {
        if (value.isPresent()) {
            json.writeStringField(field, value.get());
        } else {
            json.writeNullField(field);
        }
    }

    /** A class by its name; of what is built in, its word alone. */
    private static String word(String decorator) {
        return decorator.substring(0, (decorator + ' ').indexOf(' '));
    }
}
