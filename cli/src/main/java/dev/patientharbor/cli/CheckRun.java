package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.files.BoundedFile;
import dev.patientharbor.files.FilePaths;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.ProfileSet;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import picocli.CommandLine.ParseResult;

/** From arguments to a verdict: finds the file, reads it, reads the code, checks. */
final class CheckRun {

    /** As for other tools (POSIX Utility Syntax Guidelines, 13). */
    static final String STANDARD_INPUT = "-";

    private static final String PATTERN = "*.harbor.yaml";

    private CheckRun() {}

    /** What stands in standard input, if that is the profile file; nothing if it is not. */
    static byte[] input(ParseResult parsed) {
        if (!CommandOptions.file(parsed).equals(STANDARD_INPUT)) {
            return new byte[0];
        }
        try {
            return BoundedFile.read(System.in, STANDARD_INPUT, SizeLimit.PROFILE_FILE);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot read standard input", fault);
        }
    }

    /**
     * The profiles that a command line names, with the code that it names.
     *
     * @param input what stands in standard input, if that is the profile file
     */
    static ProfileSet set(ParseResult parsed, byte[] input) {
        return set(parsed, CommandOptions.file(parsed), input);
    }

    /** The profiles of a file, with the code that a command line names. */
    static ProfileSet set(ParseResult parsed, String file) {
        return set(parsed, file, new byte[0]);
    }

    private static ProfileSet set(ParseResult parsed, String file, byte[] input) {
        boolean inside = CommandOptions.isInsideFolder(parsed);
        ProfileSet set =
                file.equals(STANDARD_INPUT)
                        ? ofInput(input, inside)
                        : ofFile(profileFile(file), inside);
        List<String> code = CommandOptions.code(parsed);
        // The tool runs on a class path of its own.
        if (code.isEmpty() && ProfileFiles.namesClassPath(set)) {
            throw new UnusableException(
                    "code lists class-path, which is the class path of the tests that read this"
                            + " file; name it here by --code, folders and jars with "
                            + File.pathSeparator
                            + " between");
        }
        boolean isAll = CommandOptions.isAllCode(parsed);
        ProfileSet all = isAll ? set.readingAllCode() : set;
        return code.isEmpty() ? all : all.withCode(given(code));
    }

    /** The code that a command line names, by itself or by a profile file. */
    static ProfileSet surveyed(ParseResult parsed) {
        List<String> code = CommandOptions.code(parsed);
        return code.isEmpty() || !CommandOptions.file(parsed).isEmpty()
                ? set(parsed, input(parsed))
                : ProfileSet.define("survey", set -> {}).withCode(given(code));
    }

    private static ProfileSet ofFile(Path file, boolean inside) {
        return inside ? ProfileFiles.readInside(file) : ProfileFiles.read(file);
    }

    private static ProfileSet ofInput(byte[] bytes, boolean inside) {
        Path here = Path.of("");
        return inside
                ? ProfileFiles.parseInside(bytes, STANDARD_INPUT, here)
                : ProfileFiles.parse(bytes, STANDARD_INPUT, here);
    }

    /** What a check of all profiles finds. */
    static Verdict checked(ProfileSet set, ParseResult parsed) {
        return set.check(CommandOptions.today(parsed));
    }

    static Verdict verdict(ProfileSet set, ParseResult parsed) {
        Verdict verdict = checked(set, parsed);
        List<String> profiles = CommandOptions.profiles(parsed);
        return profiles.isEmpty() ? verdict : only(verdict, profiles);
    }

    /** The profile file of that name; the only one of the folder if the name is blank. */
    static Path profileFile(String given) {
        if (!given.isEmpty()) {
            return path(given, "cannot read ");
        }
        List<Path> found = new ArrayList<>();
        try (DirectoryStream<Path> here = Files.newDirectoryStream(Path.of(""), PATTERN)) {
            here.forEach(found::add);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot list the current folder", fault);
        }
        if (found.size() == 1) {
            return found.get(0);
        }
        throw new UnusableException(
                found.isEmpty()
                        ? "there is no " + PATTERN + " in the current folder; name the file"
                        : "there are several profile files here; name one of "
                                + String.join(
                                        ", ",
                                        found.stream().map(Path::toString).sorted().toList()));
    }

    private static Path path(String given, String cannot) {
        try {
            return FilePaths.resolve(Path.of(""), given);
        } catch (IOException fault) {
            throw new UncheckedIOException(cannot + given, fault);
        }
    }

    /** The places that {@code --code} names; all of them are there. */
    static Path[] given(List<String> code) {
        List<Path> paths = new ArrayList<>();
        for (String place : code) {
            Path path = path(place, "--code names ");
            if (!place.contains("*") && !place.contains("?") && !Files.exists(path)) {
                throw new UnusableException(
                        "--code names " + place + ", and there is no such place");
            }
            paths.add(path);
        }
        return paths.toArray(Path[]::new);
    }

    private static Verdict only(Verdict verdict, List<String> names) {
        try {
            return verdict.only(names);
        } catch (IllegalArgumentException fault) {
            throw new UnusableException(fault.getMessage());
        }
    }
}
