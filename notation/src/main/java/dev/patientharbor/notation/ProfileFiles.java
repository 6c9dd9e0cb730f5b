package dev.patientharbor.notation;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Where;
import dev.patientharbor.model.HouseMarks;
import dev.patientharbor.model.Lifetime;
import dev.patientharbor.model.ProfileSet;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** Reads profile files. Has no state; may be used by several threads. */
public final class ProfileFiles {

    private ProfileFiles() {}

    /**
     * Reads a file. Whatever is wrong with its text is a finding; places in it carry the path as it
     * was given.
     *
     * @param path the file, never null
     * @throws UncheckedIOException if the file is not there or cannot be read
     */
    public static ProfileFile read(Path path) {
        byte[] bytes;
        try {
            bytes = Files.readAllBytes(path);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot read " + path, fault);
        }
        Path folder = Objects.requireNonNullElse(path.getParent(), Path.of(""));
        return parse(bytes, path.toString(), folder);
    }

    /**
     * Reads the bytes of a file.
     *
     * @param bytes the text, in UTF-8
     * @param name what findings call the file
     * @param folder from where its paths start
     */
    public static ProfileFile parse(byte[] bytes, String name, Path folder) {
        Faults faults = new Faults(name);
        Optional<Piece> root = YamlText.read(bytes, name, faults);
        ProfileSet set =
                root.map(piece -> SetReader.read(piece, faults)).orElseGet(() -> empty(name));
        List<Finding> findings = new ArrayList<>(faults.all());
        Map<String, String> settings = SettingsFiles.read(set.settings(), folder, findings);
        return new ProfileFile(set, settings, findings, folder);
    }

    private static ProfileSet empty(String name) {
        return new ProfileSet(
                name,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Lifetime.SHARED,
                HouseMarks.NONE,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Where.startOf(name));
    }
}
