package dev.patientharbor.report;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerBuilder;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.LifetimeChoice;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.plan.PassedParameter;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.SlotParser;
import dev.patientharbor.terms.TypeRef;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** Reads what {@link RosterJson} has written: all that decides, and where it was said. */
final class RosterReader {

    private static final String WRITE_ANEW =
            "; write it anew with: patient-harbor roster --format json --out FILE";

    private final Map<?, ?> root;

    /** The members of collections by label, as they are written; of one profile. */
    private final Map<String, List<?>> collections = new HashMap<>();

    private final Map<String, List<Answer.Element>> known = new HashMap<>();

    RosterReader(Object json) {
        if (!(json instanceof Map<?, ?> object) || !object.containsKey("patientHarborRoster")) {
            throw new IllegalArgumentException("it is no roster" + WRITE_ANEW);
        }
        root = object;
        Object version = root.get("patientHarborRoster");
        if (!Integer.valueOf(RosterJson.VERSION).equals(version)) {
            throw new IllegalArgumentException(
                    "it is a roster of version "
                            + version
                            + ", and version "
                            + RosterJson.VERSION
                            + " is read"
                            + WRITE_ANEW);
        }
    }

    String title() {
        return text(root, "title");
    }

    String file() {
        return text(root, "file");
    }

    List<Roster> rosters() {
        List<Roster> rosters = new ArrayList<>();
        for (Object profile : list(root, "profiles")) {
            Map<?, ?> object = object(profile);
            if (!Boolean.TRUE.equals(object.get("partial"))) {
                rosters.add(roster(object));
            }
        }
        return rosters;
    }

    private Roster roster(Map<?, ?> profile) {
        collections.clear();
        known.clear();
        for (Object each : list(profile, "collections")) {
            Map<?, ?> collection = object(each);
            collections.put(text(collection, "collection"), list(collection, "members"));
        }
        return new Roster(
                text(profile, "name"),
                list(profile, "needs").stream().map(row -> row(object(row))).toList(),
                list(profile, "passed").stream().map(each -> passed(object(each))).toList(),
                Boolean.TRUE.equals(profile.get("eager")));
    }

    private static PassedParameter passed(Map<?, ?> passed) {
        return new PassedParameter(
                text(passed, "consumer"),
                place(text(passed, "place")),
                text(passed, "need"),
                type(text(passed, "type")));
    }

    private RosterRow row(Map<?, ?> row) {
        return new RosterRow(
                text(row, "consumer"),
                text(row, "need"),
                place(text(row, "place")),
                maybe(row, "as").map(RosterReader::slot),
                maybe(row, "within"),
                new Slot(type(text(row, "contract")), key(row)),
                maybe(row, "carrier"),
                answer(row));
    }

    private Answer answer(Map<?, ?> answer) {
        return new AnswerBuilder(word(AnswerKind.values(), AnswerKind::word, text(answer, "kind")))
                .implementation(maybe(answer, "implementation"))
                .around(list(answer, "around").stream().map(each -> around(object(each))).toList())
                .lifetime(maybe(answer, "lifetime").map(each -> lifetime(answer, each)))
                .instance(maybe(answer, "instance"))
                .origin(maybe(answer, "origin").map(RosterReader::position))
                .filledBy(maybe(answer, "filledBy").flatMap(FillInSource::of))
                .leftOut(list(answer, "leftOut").stream().map(String::valueOf).toList())
                .elements(maybe(answer, "collection").map(this::members).orElse(List.of()))
                .given(text(answer, "given"))
                .fills(
                        maybe(answer, "fills")
                                .map(
                                        slot ->
                                                new Answer.Seat(
                                                        slot(slot), maybe(answer, "fillsWithin"))))
                .build();
    }

    private List<Answer.Element> members(String label) {
        List<Answer.Element> members = known.get(label);
        if (members == null) {
            members = new ArrayList<>();
            for (Object each : collections.getOrDefault(label, List.of())) {
                Map<?, ?> member = object(each);
                members.add(
                        new Answer.Element(key(member), maybe(member, "carrier"), answer(member)));
            }
            known.put(label, members);
        }
        return members;
    }

    private static LifetimeChoice lifetime(Map<?, ?> answer, String lifetime) {
        return new LifetimeChoice(
                word(Lifetime.values(), Lifetime::word, lifetime),
                word(
                        LifetimeChoice.By.values(),
                        LifetimeChoice.By::words,
                        text(answer, "lifetimeBy")));
    }

    private static Answer.Around around(Map<?, ?> around) {
        return new Answer.Around(
                text(around, "decorator"), text(around, "given"), position(text(around, "at")));
    }

    private static Optional<Key> key(Map<?, ?> object) {
        return maybe(object, "key").map(key -> new Key(key, maybe(object, "qualifier").orElse("")));
    }

    private static <T> T word(T[] all, Function<T, String> words, String word) {
        return Arrays.stream(all)
                .filter(each -> words.apply(each).equals(word))
                .findFirst()
                .orElseThrow(() -> damaged(word));
    }

    private static NeedPlace place(String code) {
        try {
            return NeedPlace.parse(code);
        } catch (IllegalArgumentException unknown) {
            throw damaged(code);
        }
    }

    private static Slot slot(String text) {
        return SlotParser.slot(text).orElseThrow(() -> damaged(text));
    }

    private static TypeRef type(String text) {
        return slot(text).contract();
    }

    private static SourcePosition position(String text) {
        return SourcePosition.parse(text);
    }

    private static IllegalArgumentException damaged(Object what) {
        return new IllegalArgumentException(
                "it is damaged: " + what + " stands where that cannot be" + WRITE_ANEW);
    }

    private static Map<?, ?> object(Object value) {
        if (value instanceof Map<?, ?> object) {
            return object;
        }
        throw damaged(value);
    }

    private static List<?> list(Map<?, ?> object, String field) {
        if (object.get(field) instanceof List<?> list) {
            return list;
        }
        throw new IllegalArgumentException(
                "it is damaged: a list " + field + " is missing" + WRITE_ANEW);
    }

    private static Optional<String> maybe(Map<?, ?> object, String field) {
        return Optional.ofNullable(object.get(field)).map(String::valueOf);
    }

    private static String text(Map<?, ?> object, String field) {
        return maybe(object, field)
                .orElseThrow(
                        () ->
                                new IllegalArgumentException(
                                        "it is damaged: " + field + " is missing" + WRITE_ANEW));
    }
}
