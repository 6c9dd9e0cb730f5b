package dev.patientharbor.notation;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.model.ProfileSet;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;

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
        Included files = new Included();
        files.read(bytes, name, folder);
        List<Finding> findings = new ArrayList<>(files.findings());
        ProfileSet set = Joined.of(files.parts(), name, findings);
        Map<String, String> settings =
                SettingsFiles.read(set.settings(), files.folders(), findings);
        return new ProfileFile(set, settings, findings, files.folders());
    }
}
