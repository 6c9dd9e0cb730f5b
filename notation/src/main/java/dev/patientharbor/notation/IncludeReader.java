package dev.patientharbor.notation;

import dev.patientharbor.files.BoundedFile;
import dev.patientharbor.files.FileIdentity;
import dev.patientharbor.files.FilePaths;
import dev.patientharbor.files.IoReason;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.WrittenName;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * Reads a file and those that it includes, each once whatever its names, those included first. In a
 * loop: a chain of them may be as long as it likes.
 */
final class IncludeReader {

    /** The most bytes of all files together. */
    private static final long MOST = 64L << 20;

    /** The most files of a circle that are named. */
    private static final int SHOWN = 10;

    private final AllowedFiles allowed;
    private final List<FilePart> parts = new ArrayList<>();
    private final List<Finding> findings = new ArrayList<>();
    private final Map<String, Path> folders = new HashMap<>();
    private final Deque<OpenFile> open = new ArrayDeque<>();
    private final Map<Object, String> reading = new LinkedHashMap<>();
    private final Set<Object> done = new HashSet<>();
    private final List<Path> paths = new ArrayList<>();
    private long bytesRead;

    /** A file that was read, while those that it includes are. */
    private record OpenFile(
            Object identity, FilePart part, Path folder, Iterator<WrittenName> includes) {}

    IncludeReader(AllowedFiles allowed) {
        this.allowed = allowed;
    }

    /** Reads the bytes of the first file; the others are read from where it says they are. */
    void read(byte[] bytes, String name, Path folder) {
        open(identity(name, folder), bytes, name, folder);
        while (!open.isEmpty()) {
            OpenFile last = open.peek();
            if (last.includes().hasNext()) {
                include(last.includes().next(), last.folder());
            } else {
                open.pop();
                reading.remove(last.identity());
                done.add(last.identity());
                parts.add(last.part());
            }
        }
    }

    private static Object identity(String name, Path folder) {
        try {
            return FileIdentity.of(FilePaths.resolve(folder, lastName(name)));
        } catch (IOException noFile) {
            return name;
        }
    }

    private static String lastName(String name) {
        return name.substring(Math.max(name.lastIndexOf('/'), name.lastIndexOf('\\')) + 1);
    }

    private void open(Object identity, byte[] bytes, String name, Path folder) {
        FileFaults faults = new FileFaults(name);
        FilePart part = PartReader.read(bytes, faults);
        folders.put(name, folder);
        findings.addAll(faults.all());
        reading.put(identity, lastName(name));
        open.push(new OpenFile(identity, part, folder, part.include().iterator()));
    }

    private void include(WrittenName other, Path folder) {
        try {
            Path path = allowed.path(folder, other.text());
            Object identity = FileIdentity.of(path);
            if (reading.containsKey(identity)) {
                findings.add(circle(other, identity));
            } else if (!done.contains(identity)) {
                paths.add(path);
                byte[] bytes = BoundedFile.read(path, SizeLimit.PROFILE_FILE);
                bytesRead += bytes.length;
                if (bytesRead > MOST) {
                    findings.add(
                            missing(
                                    other,
                                    path.toString(),
                                    "the files together are larger than 64 MiB"));
                } else if (!YamlText.looksLikeProfiles(bytes)) {
                    // It may be anything that somebody was made to include: none of it is shown.
                    done.add(identity);
                    findings.add(
                            missing(
                                    other,
                                    path.toString(),
                                    "it is no profile file: it does not say patient-harbor: 1"));
                } else {
                    Path own = Objects.requireNonNullElse(path.getParent(), Path.of(""));
                    open(identity, bytes, path.toString(), own);
                }
            }
        } catch (IOException fault) {
            findings.add(missing(other, place(folder, other), IoReason.of(fault)));
        }
    }

    private Finding circle(WrittenName other, Object identity) {
        List<String> names = new ArrayList<>();
        boolean inside = false;
        for (Map.Entry<Object, String> entry : reading.entrySet()) {
            inside |= entry.getKey().equals(identity);
            if (inside) {
                names.add(entry.getValue());
            }
        }
        String first = names.get(0);
        String between =
                names.size() <= SHOWN
                        ? String.join(" → ", names)
                        : String.join(" → ", names.subList(0, SHOWN))
                                + " → "
                                + (names.size() - SHOWN)
                                + " more";
        return Finding.of(
                        FindingKinds.INCLUDE_CYCLE,
                        other.at(),
                        other.text(),
                        "The file " + other.text() + " includes itself.")
                .with("path", between + " → " + first)
                .with("do", "take this include out, or the one that leads back here");
    }

    private static String place(Path folder, WrittenName other) {
        String from = folder.toString();
        return from.isEmpty() ? other.text() : from + '/' + other.text();
    }

    private static Finding missing(WrittenName other, String path, String reason) {
        return Finding.of(
                        FindingKinds.INCLUDE_MISSING,
                        other.at(),
                        other.text(),
                        "The included file " + other.text() + " is not read: " + reason + ".")
                .with("looked for", path)
                .with("do", "correct the path: it starts at the folder of this file");
    }

    /** What the files say, those that are included before those that include them. */
    List<FilePart> parts() {
        return parts;
    }

    List<Finding> findings() {
        return findings;
    }

    /** The folder of the file where something is written: paths that it names start there. */
    Path folder(WrittenName of) {
        String file = of.at().match(SourcePosition.InFile::path, in -> "", in -> "");
        return folders.getOrDefault(file, Path.of(""));
    }

    /** The files that are included, whether they could be read or not. */
    List<Path> paths() {
        return paths;
    }
}
