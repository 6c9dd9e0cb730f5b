package dev.patientharbor.notation;

import dev.patientharbor.code.CodeRoot;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Declaration;
import dev.patientharbor.model.Written;
import dev.patientharbor.profiles.ProfileSet;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;

/**
 * Reads profile files. Has no state; may be used by several threads.
 *
 * <pre>{@code
 * ProfileSet port = ProfileFiles.read(Path.of("../examples/port.harbor.yaml"));
 * Plan winter = port.plan("winter");
 * assertEquals("stub", winter.roster().of(CraneShed.class).need("gauge").received());
 * }</pre>
 */
public final class ProfileFiles {

    private ProfileFiles() {}

    /**
     * Reads a file. Whatever is wrong with its text is a finding; places in it carry the path as it
     * was given.
     *
     * @param path the file, never null
     * @throws UncheckedIOException if the file is not there or cannot be read
     */
    public static ProfileSet read(Path path) {
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
    public static ProfileSet parse(byte[] bytes, String name, Path folder) {
        Included files = new Included();
        files.read(bytes, name, folder);
        List<Finding> findings = new ArrayList<>(files.findings());
        Declaration set = Joined.of(files.parts(), name, findings);
        Map<String, String> settings =
                SettingsFiles.read(set.settings(), files.folders(), findings);
        List<CodeRoot> code =
                Stream.concat(
                                set.code().stream(),
                                set.profiles().stream()
                                        .flatMap(one -> one.terms().code().stream())
                                        .flatMap(List::stream))
                        .map(written -> new CodeRoot(written, path(written, files.folders())))
                        .toList();
        return ProfileSet.of(set, code, settings, findings);
    }

    /** The path of what is written in a file, taken from the folder of that file. */
    static Path path(Written written, Map<String, Path> folders) {
        String file = written.at().match(Where.InFile::path, in -> "", in -> "");
        return folders.getOrDefault(file, Path.of("")).resolve(written.text().replace('\0', '?'));
    }
}
