package dev.patientharbor.notation;

import dev.patientharbor.model.Area;
import dev.patientharbor.model.HouseMarks;
import dev.patientharbor.model.HouseMarks.ScopeMark;
import dev.patientharbor.model.HouseMarks.TouchMark;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads one file as a whole. */
final class PartReader {

    private static final String VERSION = "1";

    private PartReader() {}

    /** Reads the bytes of a file; what cannot be understood is reported and left out. */
    static FilePart read(byte[] bytes, FileFaults faults) {
        return YamlText.read(bytes, faults)
                .map(node -> read(node, faults))
                .orElse(FilePart.NOTHING);
    }

    private static FilePart read(YamlNode root, FileFaults faults) {
        YamlMap file = root.fields("the profile file");
        Optional<YamlNode> version = file.take("patient-harbor");
        if (version.isEmpty() && root.isFields()) {
            faults.malformed(
                    root.at(),
                    "The file does not say which version of the notation it is written in.",
                    "begin with patient-harbor: 1");
        }
        version.flatMap(node -> node.text("the version of the notation, which is 1"))
                .filter(text -> !text.text().equals(VERSION))
                .ifPresent(
                        text ->
                                faults.malformed(
                                        text.at(),
                                        "Version " + text.text() + " of the notation is not known.",
                                        "write patient-harbor: 1"));
        Optional<String> title =
                file.take("title").flatMap(node -> node.text("a title")).map(WrittenName::text);
        List<WrittenName> include = texts(file, "include", "a profile file, or a list of them");
        List<WrittenName> code =
                texts(file, "code", "the place of compiled code, or a list of them");
        List<WrittenName> settings =
                texts(file, "settings", "a .properties file, or a list of them");
        List<WrittenName> packages = texts(file, "packages", "a package, or a list of packages");
        List<WrittenName> entry = texts(file, "entry", "a class, a pattern, or a list of them");
        List<WrittenName> order = texts(file, "order", "a profile, or a list of profiles");
        List<StatedConsumer> consumers =
                file.take("consumers").map(ConsumerReader::read).orElse(List.of());
        Optional<Lifetime> lifetime =
                file.take("default-lifetime").flatMap(BindingReader::lifetime);
        HouseMarks marks = file.take("marks").map(PartReader::marks).orElse(HouseMarks.NONE);
        List<WrittenName> mayBeEmpty = texts(file, "may-be-empty", "a slot, or a list of slots");
        List<FillInSource> fillIn = fillIn(file);
        Strictness strictness = StrictnessReader.read(file, faults);
        List<Area> areas = new ArrayList<>();
        file.take("areas")
                .ifPresent(
                        node ->
                                node.fields("areas")
                                        .each((name, area) -> areas.add(area(name, area))));
        List<Profile> profiles = new ArrayList<>();
        file.take("profiles")
                .ifPresent(
                        node ->
                                node.fields("profiles")
                                        .each(
                                                (name, profile) ->
                                                        profiles.add(
                                                                ProfileReader.read(
                                                                        name, profile))));
        file.reportUnknownKeys();
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

    private static HouseMarks marks(YamlNode node) {
        YamlMap marks = node.fields("marks");
        List<WrittenName> inject = texts(marks, "inject", "an annotation, or a list of them");
        List<WrittenName> key = texts(marks, "key", "an annotation, or a list of them");
        List<WrittenName> absent = texts(marks, "absent", "an annotation, or a list of them");
        List<WrittenName> lookup = new ArrayList<>();
        for (WrittenName method : texts(marks, "lookup", "a method: CLASS#METHOD")) {
            if (method.text().matches("[^#]+#[^#]+")) {
                lookup.add(method);
            } else {
                node.faults()
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
                                                                        kept ->
                                                                                new ScopeMark(
                                                                                        mark, kept))
                                                                .ifPresent(scopes::add)));
        List<TouchMark> touches = new ArrayList<>();
        marks.take("touches")
                .ifPresent(
                        all ->
                                all.fields("touches")
                                        .each(
                                                (kind, patterns) ->
                                                        touches(kind, patterns, touches)));
        marks.reportUnknownKeys();
        return new HouseMarks(inject, key, absent, lookup, scopes, touches);
    }

    private static void touches(WrittenName word, YamlNode patterns, List<TouchMark> found) {
        DemandReader.touchKind(word, patterns.faults())
                .ifPresent(
                        kind ->
                                patterns.texts("a class, PACKAGE.**, or CLASS#MEMBER")
                                        .forEach(
                                                pattern ->
                                                        found.add(new TouchMark(kind, pattern))));
    }

    private static List<FillInSource> fillIn(YamlMap file) {
        List<FillInSource> all = new ArrayList<>();
        file.take("fill-in")
                .ifPresent(
                        node -> {
                            for (WrittenName word : node.texts("sole, marked, services")) {
                                FillInSource.of(word.text())
                                        .ifPresentOrElse(
                                                all::add,
                                                () ->
                                                        node.faults()
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

    private static Area area(WrittenName name, YamlNode node) {
        YamlMap area = node.fields("the area " + name.text());
        Optional<WrittenName> inside = area.take("inside").flatMap(value -> value.text("an area"));
        List<WrittenName> members = texts(area, "members", "a class, a pattern, or a list of them");
        area.reportUnknownKeys();
        return new Area(name.text(), inside, members, name.at());
    }

    private static List<WrittenName> texts(YamlMap file, String key, String wanted) {
        return file.take(key).map(node -> node.texts(wanted)).orElse(List.of());
    }
}
