package dev.patientharbor.cli;

import dev.patientharbor.files.FilePaths;
import dev.patientharbor.files.FileReplacement;
import dev.patientharbor.notation.HandWiringDraft;
import dev.patientharbor.notation.ProfileDraft;
import dev.patientharbor.notation.ProfileDrafts;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.notation.ProfileTests;
import dev.patientharbor.report.HandOverText;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.Objects;
import java.util.function.Supplier;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code draft}: a first profile file for code that has none. */
final class DraftCommand {

    private DraftCommand() {}

    static CommandSpec spec() {
        return DraftOptions.drafting();
    }

    static int run(ParseResult parsed, Console console) {
        List<String> code = CommandOptions.code(parsed);
        String into = DraftOptions.into(parsed);
        if (code.isEmpty() && into.isEmpty()) {
            throw new UnusableException("draft needs --code: the folders and jars to read");
        }
        CheckRun.given(code);
        mustFit(parsed);
        console.progress().begin(() -> 0);
        Path tests = newFile("--tests", DraftOptions.tests(parsed));
        int ended = into.isEmpty() ? draft(parsed, code, console) : add(parsed, code, console);
        if (!DraftOptions.tests(parsed).isEmpty()) {
            String out = CommandOptions.out(parsed);
            writeTests(out.isEmpty() ? into : out, tests, console);
        }
        return ended;
    }

    /** Options that say nothing together are refused, rather than passed over. */
    private static void mustFit(ParseResult parsed) {
        boolean from = !DraftOptions.from(parsed).isEmpty();
        boolean into = !DraftOptions.into(parsed).isEmpty();
        boolean entries = !DraftOptions.entries(parsed).isEmpty();
        refuse(from && into, "--from does not go with --into");
        refuse(
                entries && from,
                "--entry does not go with --from: what the method makes, and hands"
                        + " to nobody, are the entry consumers");
        refuse(entries && into, "--entry does not go with --into: the file says who they are");
        refuse(
                DraftOptions.isVerified(parsed) && !from,
                "--verify needs --from: the method to hold against");
        refuse(!DraftOptions.profile(parsed).isEmpty() && !into, "--profile needs --into");
        refuse(
                !DraftOptions.tests(parsed).isEmpty()
                        && !into
                        && CommandOptions.out(parsed).isEmpty(),
                "--tests needs --out or --into: the file that the tests name");
    }

    private static void refuse(boolean isWrong, String why) {
        if (isWrong) {
            throw new UnusableException(why);
        }
    }

    private static int draft(ParseResult parsed, List<String> code, Console console) {
        String out = CommandOptions.out(parsed);
        Path folder = out.isEmpty() ? Path.of("") : folder(newFile("--out", out));
        String from = DraftOptions.from(parsed);
        if (from.isEmpty()) {
            List<String> entries = DraftOptions.entries(parsed);
            return told(
                    usable(() -> ProfileDrafts.of(places(code, folder), folder, entries)),
                    out,
                    console);
        }
        HandWiringDraft draft =
                usable(() -> ProfileDrafts.from(places(code, folder), folder, from));
        told(draft.draft(), out, console);
        HandOverText.lines(draft.handOvers(), DraftOptions.isVerified(parsed))
                .forEach(console::notify);
        return DraftOptions.isVerified(parsed) && !draft.isSame()
                ? ExitCode.FINDINGS
                : ExitCode.CLEAN;
    }

    /** Adds to a file; it is written in place unless another one is named. */
    private static int add(ParseResult parsed, List<String> code, Console console) {
        String into = DraftOptions.into(parsed);
        Path file = file(into);
        String out = CommandOptions.out(parsed);
        if (!out.isEmpty()) {
            newFile("--out", out);
        }
        String named = DraftOptions.profile(parsed);
        String profile = named.isEmpty() ? onlyProfile(file) : named;
        Path[] places = code.stream().map(Path::of).toArray(Path[]::new);
        ProfileDraft draft = usable(() -> ProfileDrafts.into(file, profile, places));
        String before = text(file);
        if (!out.isEmpty()) {
            write(out, draft.text());
            console.notify("written to " + out);
        } else if (draft.text().equals(before)) {
            console.notify("nothing is added to " + into);
        } else {
            replace(file, draft.text());
            long added = draft.text().lines().count() - before.lines().count();
            console.notify(added + " lines are added to " + into + ", profile " + profile);
        }
        remarks(draft, console);
        return ExitCode.CLEAN;
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot read " + file, fault);
        }
    }

    private static String onlyProfile(Path file) {
        List<String> names = ProfileFiles.read(file).profiles();
        if (names.size() != 1) {
            throw new UnusableException(
                    "--into needs --profile, for the file has "
                            + (names.isEmpty() ? "none" : String.join(", ", names)));
        }
        return names.get(0);
    }

    private static void writeTests(String profileFile, Path tests, Console console) {
        String source =
                usable(
                        () ->
                                ProfileTests.of(
                                        ProfileFiles.read(file(profileFile)), profileFile, tests));
        try {
            if (tests.getParent() != null) {
                Files.createDirectories(tests.getParent());
            }
            Files.writeString(tests, source, StandardOpenOption.CREATE_NEW);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot write " + tests, fault);
        }
        console.notify("written to " + tests);
    }

    private static int told(ProfileDraft draft, String out, Console console) {
        if (out.isEmpty()) {
            console.progress().end();
            console.out().print(draft.text());
        } else {
            write(out, draft.text());
            console.notify("written to " + out);
        }
        remarks(draft, console);
        return ExitCode.CLEAN;
    }

    private static void remarks(ProfileDraft draft, Console console) {
        draft.remarks().forEach(remark -> console.notify("to mend: " + remark));
        if (!draft.toFill().isEmpty()) {
            console.notify("to fill: " + String.join(", ", draft.toFill()));
        }
        if (draft.isComplete()) {
            console.notify("the draft is complete");
        }
    }

    private static <T> T usable(Supplier<T> draft) {
        try {
            return draft.get();
        } catch (IllegalArgumentException nothing) {
            throw new UnusableException(nothing.getMessage());
        }
    }

    /** The places of code as the file names them, from the folder in which it will be. */
    private static List<String> places(List<String> code, Path folder) {
        Path absolute = folder.toAbsolutePath().normalize();
        return code.stream()
                .map(place -> Path.of(place).toAbsolutePath().normalize())
                .map(place -> absolute.relativize(place).toString().replace('\\', '/'))
                .map(place -> place.isEmpty() ? "." : place)
                .toList();
    }

    private static Path folder(Path file) {
        return Objects.requireNonNullElse(file.getParent(), Path.of(""));
    }

    /** A file that is to be made; none if nothing is named. */
    private static Path newFile(String option, String name) {
        Path file = file(name);
        if (!name.isEmpty() && Files.exists(file)) {
            throw new UnusableException(
                    option + " names " + name + ", which is there; draft overwrites nothing");
        }
        return file;
    }

    private static void replace(Path file, String text) {
        try {
            FileReplacement.write(file, text);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot write " + file, fault);
        }
    }

    private static Path file(String out) {
        try {
            return FilePaths.resolve(Path.of(""), out);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot write " + out, fault);
        }
    }

    private static void write(String out, String text) {
        try {
            Files.writeString(file(out), text, StandardOpenOption.CREATE_NEW);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot write " + out, fault);
        }
    }
}
