package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.ProfileSet;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import picocli.CommandLine.ParseResult;

/** From arguments to a verdict: finds the file, reads it, reads the code, checks. */
final class Checked {

    private static final String PATTERN = "*.harbor.yaml";

    private Checked() {}

    /** The profiles that a command line names, with the code that it names. */
    static ProfileSet set(ParseResult parsed) {
        ProfileSet set = ProfileFiles.read(file(Options.file(parsed)));
        List<String> code = Options.code(parsed);
        return code.isEmpty() ? set : set.withCode(given(code));
    }

    static Verdict verdict(ProfileSet set, ParseResult parsed) {
        Verdict verdict = set.check(Options.today(parsed));
        List<String> profiles = Options.profiles(parsed);
        return profiles.isEmpty() ? verdict : only(verdict, profiles);
    }

    private static Path file(String given) {
        if (!given.isEmpty()) {
            return Path.of(given);
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

    private static Path[] given(List<String> code) {
        for (String place : code) {
            if (!place.contains("*") && !place.contains("?") && !Files.exists(Path.of(place))) {
                throw new UnusableException(
                        "--code names " + place + ", and there is no such place");
            }
        }
        return code.stream().map(Path::of).toArray(Path[]::new);
    }

    private static Verdict only(Verdict verdict, List<String> names) {
        try {
            return verdict.only(names);
        } catch (IllegalArgumentException fault) {
            throw new UnusableException(fault.getMessage());
        }
    }
}
