package dev.patientharbor.code;

import dev.patientharbor.files.BoundedFile;
import dev.patientharbor.files.FileIdentity;
import dev.patientharbor.files.IoReason;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipException;

/**
 * Opens the folders and jars that roots name, each once, whatever its names. What cannot be opened
 * becomes a finding and stops nothing else.
 */
final class SourceOpener {

    private final Map<Object, ClassSource> opened = new LinkedHashMap<>();
    private final List<Finding> findings = new ArrayList<>();
    private final ReadCount count = new ReadCount();

    /** Returns findings about what could not be opened. */
    List<Finding> findings() {
        return findings;
    }

    /** Returns what counts the files that are read from all that is opened. */
    ReadCount count() {
        return count;
    }

    void close() {
        opened.values().forEach(ClassSource::close);
    }

    /** Opens what a root names: one source, or one for each file that a pattern fits. */
    List<ClassSource> open(CodeRoot root) {
        List<ClassSource> sources = new ArrayList<>();
        try {
            for (Path path : PlacePattern.expand(root.path())) {
                open(root, path, sources);
            }
        } catch (IOException fault) {
            findings.add(notRead(root, root.name(), fault));
        }
        return sources;
    }

    private void open(CodeRoot root, Path path, List<ClassSource> sources) {
        String place = name(root, path);
        Object identity = FileIdentity.of(path);
        try {
            ClassSource source = opened.get(identity);
            if (source == null) {
                source =
                        Files.isDirectory(path)
                                ? FolderSource.open(
                                        path,
                                        place,
                                        (part, reason) ->
                                                findings.add(
                                                        CodeRoot.notRead(
                                                                root.written(), part, reason)),
                                        count)
                                : jar(path, place, count);
                opened.put(identity, source);
            }
            sources.add(source);
        } catch (IOException fault) {
            findings.add(notRead(root, place, fault));
        }
    }

    private static Finding notRead(CodeRoot root, String place, IOException fault) {
        return fault instanceof NoSuchFileException
                ? Finding.of(
                                FindingKinds.CODE_MISSING,
                                root.written().at(),
                                place,
                                "No compiled code at " + place + ".")
                        .with("do", "compile it first, or correct the path")
                : CodeRoot.notRead(root.written(), place, IoReason.of(fault));
    }

    private static ClassSource jar(Path path, String place, ReadCount count) throws IOException {
        BoundedFile.requireRegular(path);
        try {
            return JarSource.open(path, place, count);
        } catch (ZipException fault) {
            throw new IOException("it is no jar that can be read, for " + fault.getMessage());
        }
    }

    /** What a folder or jar is called that a root names. */
    static String name(CodeRoot root, Path path) {
        return PlacePattern.isPattern(root.path())
                ? root.name().substring(0, root.name().lastIndexOf('/') + 1) + path.getFileName()
                : root.name();
    }
}
