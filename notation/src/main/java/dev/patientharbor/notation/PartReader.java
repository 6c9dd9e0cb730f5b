package dev.patientharbor.notation;

import dev.patientharbor.model.Area;
import dev.patientharbor.model.FillIn;
import dev.patientharbor.model.HouseMarks;
import dev.patientharbor.model.HouseMarks.ScopeMark;
import dev.patientharbor.model.Lifetime;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.model.Written;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads one file as a whole. */
final class PartReader {

    private static final String VERSION = "1";

    private PartReader() {}

    /** What the bytes of a file say; what cannot be understood is told and left out. */
    static FilePart read(byte[] bytes, Faults faults) {
        return YamlText.read(bytes, faults)
                .map(piece -> read(piece, faults))
                .orElse(FilePart.NOTHING);
    }

    private static FilePart read(Piece root, Faults faults) {
        Fields file = root.fields("the profile file");
        Optional<Piece> version = file.take("patient-harbor");
        if (version.isEmpty() && root.isFields()) {
            faults.malformed(
                    root.at(),
                    "The file does not say which version of the notation it is written in.",
                    "begin with patient-harbor: 1");
        }
        version.flatMap(piece -> piece.text("the version of the notation, which is 1"))
                .filter(text -> !text.text().equals(VERSION))
                .ifPresent(
                        text ->
                                faults.malformed(
                                        text.at(),
                                        "Version " + text.text() + " of the notation is not known.",
                                        "write patient-harbor: 1"));
        Optional<String> title =
                file.take("title").flatMap(piece -> piece.text("a title")).map(Written::text);
        List<Written> include = texts(file, "include", "a profile file, or a list of them");
        List<Written> code = texts(file, "code", "the place of compiled code, or a list of them");
        List<Written> settings = texts(file, "settings", "a .properties file, or a list of them");
        List<Written> packages = texts(file, "packages", "a package, or a list of packages");
        List<Written> entry = texts(file, "entry", "a class, a pattern, or a list of them");
        List<Written> order = texts(file, "order", "a profile, or a list of profiles");
        List<StatedConsumer> consumers =
                file.take("consumers").map(ConsumerReader::read).orElse(List.of());
        Optional<Lifetime> lifetime =
                file.take("default-lifetime").flatMap(BindingReader::lifetime);
        HouseMarks marks = file.take("marks").map(PartReader::marks).orElse(HouseMarks.NONE);
        List<Written> mayBeEmpty = texts(file, "may-be-empty", "a slot, or a list of slots");
        List<FillIn> fillIn = fillIn(file);
        Strictness strictness = StrictnessReader.read(file, faults);
        List<Area> areas = new ArrayList<>();
        file.take("areas")
                .ifPresent(
                        piece ->
                                piece.fields("areas")
                                        .each((name, area) -> areas.add(area(name, area))));
        List<Profile> profiles = new ArrayList<>();
        file.take("profiles")
                .ifPresent(
                        piece ->
                                piece.fields("profiles")
                                        .each(
                                                (name, profile) ->
                                                        profiles.add(
                                                                ProfileReader.read(
                                                                        name, profile))));
        file.tellUnknown();
        return new FilePart(
                title,
                include,
                code,
                settings,
                packages,
                entry,
                order,
                consumers,
                lifetime,
                marks,
                mayBeEmpty,
                fillIn,
                strictness,
                areas,
                profiles);
    }

    private static HouseMarks marks(Piece piece) {
        Fields marks = piece.fields("marks");
        List<Written> inject = texts(marks, "inject", "an annotation, or a list of them");
        List<Written> key = texts(marks, "key", "an annotation, or a list of them");
        List<Written> absent = texts(marks, "absent", "an annotation, or a list of them");
        List<Written> lookup = new ArrayList<>();
        for (Written method : texts(marks, "lookup", "a method: CLASS#METHOD")) {
            if (method.text().matches("[^#]+#[^#]+")) {
                lookup.add(method);
            } else {
                piece.faults()
                        .malformed(
                                method.at(),
                                method.text() + " is not a method.",
                                "write it as CLASS#METHOD");
            }
        }
        List<ScopeMark> scopes = new ArrayList<>();
        marks.take("scope")
                .ifPresent(
                        all ->
                                all.fields("scope")
                                        .each(
                                                (mark, lifetime) ->
                                                        BindingReader.lifetime(lifetime)
                                                                .map(
                                                                        one ->
                                                                                new ScopeMark(
                                                                                        mark, one))
                                                                .ifPresent(scopes::add)));
        marks.tellUnknown();
        return new HouseMarks(inject, key, absent, lookup, scopes);
    }

    private static List<FillIn> fillIn(Fields file) {
        List<FillIn> all = new ArrayList<>();
        file.take("fill-in")
                .ifPresent(
                        piece -> {
                            for (Written word : piece.texts("sole, marked, services")) {
                                FillIn.of(word.text())
                                        .ifPresentOrElse(
                                                all::add,
                                                () ->
                                                        piece.faults()
                                                                .malformed(
                                                                        word.at(),
                                                                        word.text()
                                                                                + " is no way to"
                                                                                + " fill in.",
                                                                        "write sole, marked or"
                                                                                + " services"));
                            }
                        });
        return all;
    }

    private static Area area(Written name, Piece piece) {
        Fields area = piece.fields("the area " + name.text());
        Optional<Written> inside = area.take("inside").flatMap(one -> one.text("an area"));
        List<Written> members = texts(area, "members", "a class, a pattern, or a list of them");
        area.tellUnknown();
        return new Area(name.text(), inside, members, name.at());
    }

    private static List<Written> texts(Fields file, String key, String wanted) {
        return file.take(key).map(piece -> piece.texts(wanted)).orElse(List.of());
    }
}
