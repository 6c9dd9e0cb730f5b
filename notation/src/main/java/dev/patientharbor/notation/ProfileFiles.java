package dev.patientharbor.notation;

import static java.nio.charset.StandardCharsets.UTF_8;

import dev.patientharbor.code.CodeRoot;
import dev.patientharbor.files.BoundedFile;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
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
     * @throws UncheckedIOException if the file is not there, is no regular file, is larger than 8
     *     MiB, or cannot be read
     */
    public static ProfileSet read(Path path) {
        return read(RequiredArgument.of(path, "path"), AllowedFiles.everywhere());
    }

    /**
     * Reads a profile file, and nothing that lies outside its folder: no included file, no
     * settings, no code. What is named out there becomes a finding.
     *
     * @param path the file, never null
     * @throws UncheckedIOException as {@link #read}
     */
    public static ProfileSet readInside(Path path) {
        RequiredArgument.of(path, "path");
        return read(path, AllowedFiles.inside(folder(path)));
    }

    /**
     * Reads the bytes of a file.
     *
     * @param bytes the text, in UTF-8
     * @param name what findings call the file
     * @param folder from where its paths start
     */
    public static ProfileSet parse(byte[] bytes, String name, Path folder) {
        return parse(bytes, name, folder, AllowedFiles.everywhere(), List.of());
    }

    /**
     * Reads the text of a profile file, and nothing that lies outside the folder.
     *
     * @param bytes the text, in UTF-8
     * @param name what findings call the file
     * @param folder from where its paths start
     */
    public static ProfileSet parseInside(byte[] bytes, String name, Path folder) {
        RequiredArgument.of(folder, "folder");
        return parse(bytes, name, folder, AllowedFiles.inside(folder), List.of());
    }

    /**
     * Reads a file as if some lines stood among the bindings of one of its profiles, in place of
     * what the profile says of these slots. The file is not changed.
     *
     * @param path the file
     * @param profile a profile that is written in it
     * @param lines bindings in the notation of the file: {@code TideGauge: mock}
     * @throws UncheckedIOException as {@link #read}
     * @throws IllegalArgumentException if a line is no binding, or the profile is not in the file
     */
    public static ProfileSet readWith(Path path, String profile, List<String> lines) {
        return readWith(path, profile, lines, AllowedFiles.everywhere());
    }

    /**
     * Reads a file in the same way, and nothing that lies outside its folder.
     *
     * @param path the file
     * @param profile a profile that is written in it
     * @param lines bindings in the notation of the file
     * @throws UncheckedIOException as {@link #read}
     * @throws IllegalArgumentException as {@link #readWith}
     */
    public static ProfileSet readInsideWith(Path path, String profile, List<String> lines) {
        RequiredArgument.of(path, "path");
        return readWith(path, profile, lines, AllowedFiles.inside(folder(path)));
    }

    private static ProfileSet readWith(
            Path path, String profile, List<String> lines, AllowedFiles allowed) {
        RequiredArgument.of(path, "path");
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(lines, "lines");
        String text = new String(bytes(path), UTF_8);
        for (String line : lines) {
            text = LineTried.in(text, profile, line);
        }
        return parse(text.getBytes(UTF_8), path.toString(), folder(path), allowed, List.of(path));
    }

    /** Whether a set names the class path of the Java that read it as code. */
    public static boolean namesClassPath(ProfileSet set) {
        RequiredArgument.of(set, "set");
        return set.code().stream()
                .anyMatch(root -> root.written().text().equals(RunClassPath.WORD));
    }

    /** Returns what stands in a profile file. */
    static byte[] bytes(Path path) {
        try {
            return BoundedFile.read(path, SizeLimit.PROFILE_FILE);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot read " + path, fault);
        }
    }

    private static ProfileSet read(Path path, AllowedFiles allowed) {
        byte[] bytes = bytes(path);
        return parse(bytes, path.toString(), folder(path), allowed, List.of(path));
    }

    private static Path folder(Path file) {
        return Objects.requireNonNullElse(file.getParent(), Path.of(""));
    }

    private static ProfileSet parse(
            byte[] bytes, String name, Path folder, AllowedFiles allowed, List<Path> itself) {
        RequiredArgument.of(bytes, "bytes");
        RequiredArgument.of(name, "name");
        RequiredArgument.of(folder, "folder");
        IncludeReader includes = new IncludeReader(allowed);
        includes.read(bytes, name, folder);
        List<Finding> findings = new ArrayList<>(includes.findings());
        SetDeclaration set = FileJoiner.of(includes.parts(), name, findings);
        SettingsFiles settings = new SettingsFiles();
        set.settings()
                .forEach(
                        written ->
                                settings.read(
                                        written, includes.folder(written), allowed, findings));
        CodeLister lister = new CodeLister(includes, allowed, findings);
        List<CodeRoot> code = lister.roots(set);
        List<Path> files =
                Stream.of(itself, includes.paths(), settings.paths())
                        .flatMap(List::stream)
                        .toList();
        return ProfileSet.of(set, code, settings.settings(), findings, files);
    }
}
