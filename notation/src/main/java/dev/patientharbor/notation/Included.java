package dev.patientharbor.notation;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Written;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** Reads a file and those that it includes, each once, those included first. */
final class Included {

    private final List<FilePart> parts = new ArrayList<>();
    private final List<Finding> findings = new ArrayList<>();
    private final Map<String, Path> folders = new HashMap<>();
    private final List<Path> reading = new ArrayList<>();
    private final List<Path> done = new ArrayList<>();

    /** Reads the bytes of the first file; the others are read from where it says they are. */
    void read(byte[] bytes, String name, Path folder) {
        Faults faults = new Faults(name);
        Optional<Piece> root = YamlText.read(bytes, name, faults);
        FilePart part = root.map(piece -> PartReader.read(piece, faults)).orElse(FilePart.NOTHING);
        folders.put(name, folder);
        findings.addAll(faults.all());
        Path last = Path.of(name).getFileName();
        Path here =
                folder.resolve(last == null ? name : last.toString()).toAbsolutePath().normalize();
        reading.add(here);
        part.include().forEach(other -> include(other, folder));
        reading.remove(here);
        done.add(here);
        parts.add(part);
    }

    private void include(Written other, Path folder) {
        Path path = folder.resolve(other.text().replace('\0', '?'));
        Path there = path.toAbsolutePath().normalize();
        if (reading.contains(there)) {
            List<String> circle =
                    reading.subList(reading.indexOf(there), reading.size()).stream()
                            .map(one -> one.getFileName().toString())
                            .toList();
            findings.add(
                    Finding.of(
                                    FindingKinds.INCLUDE_CYCLE,
                                    other.at(),
                                    other.text(),
                                    "The file " + other.text() + " includes itself.")
                            .with("path", String.join(" → ", circle) + " → " + there.getFileName())
                            .with("do", "take this include out, or the one that leads back here"));
            return;
        }
        if (done.contains(there)) {
            return;
        }
        try {
            byte[] bytes = Files.readAllBytes(path);
            read(bytes, path.toString(), Objects.requireNonNullElse(path.getParent(), Path.of("")));
        } catch (IOException missing) {
            findings.add(
                    Finding.of(
                                    FindingKinds.INCLUDE_MISSING,
                                    other.at(),
                                    other.text(),
                                    "The included file " + other.text() + " cannot be read.")
                            .with("looked for", path.toString())
                            .with("do", "correct the path: it starts at the folder of this file"));
        }
    }

    /** What the files say, those that are included before those that include them. */
    List<FilePart> parts() {
        return parts;
    }

    List<Finding> findings() {
        return findings;
    }

    /** The folder of each file, by its name: paths in it start there. */
    Map<String, Path> folders() {
        return folders;
    }
}
