package dev.patientharbor.cli;

import dev.patientharbor.files.FilePaths;
import dev.patientharbor.notation.HandWiringDraft;
import dev.patientharbor.notation.ProfileDraft;
import dev.patientharbor.notation.ProfileDrafts;
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
        return CommandOptions.drafting(
                "Writes a first profile file for compiled code: what fills each need, and for tests"
                        + " a mock of what reaches outside.");
    }

    static int run(ParseResult parsed, Console console) {
        List<String> code = CommandOptions.code(parsed);
        if (code.isEmpty()) {
            throw new UnusableException("draft needs --code: the folders and jars to read");
        }
        CheckRun.given(code);
        String out = CommandOptions.out(parsed);
        Path folder = out.isEmpty() ? Path.of("") : folder(out);
        String from = CommandOptions.from(parsed);
        if (from.isEmpty()) {
            if (CommandOptions.isVerified(parsed)) {
                throw new UnusableException("--verify needs --from: the method to hold against");
            }
            return told(
                    usable(
                            () ->
                                    ProfileDrafts.of(
                                            places(code, folder),
                                            folder,
                                            CommandOptions.entries(parsed))),
                    out,
                    console);
        }
        if (!CommandOptions.entries(parsed).isEmpty()) {
            throw new UnusableException(
                    "--entry does not go with --from: what the method makes, and hands to nobody,"
                            + " are the entry consumers");
        }
        HandWiringDraft draft =
                usable(() -> ProfileDrafts.from(places(code, folder), folder, from));
        told(draft.draft(), out, console);
        HandOverText.lines(draft.handOvers(), CommandOptions.isVerified(parsed))
                .forEach(console::notify);
        return CommandOptions.isVerified(parsed) && !draft.isSame()
                ? ExitCode.FINDINGS
                : ExitCode.CLEAN;
    }

    private static int told(ProfileDraft draft, String out, Console console) {
        if (out.isEmpty()) {
            console.out().print(draft.text());
        } else {
            write(out, draft.text());
            console.notify("written to " + out);
        }
        draft.remarks().forEach(remark -> console.notify("to mend: " + remark));
        if (!draft.toFill().isEmpty()) {
            console.notify("to fill: " + String.join(", ", draft.toFill()));
        }
        if (draft.isComplete()) {
            console.notify("the draft is complete");
        }
        return ExitCode.CLEAN;
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

    private static Path folder(String out) {
        Path file = file(out);
        if (Files.exists(file)) {
            throw new UnusableException(
                    "--out names " + out + ", which is there; draft overwrites nothing");
        }
        return Objects.requireNonNullElse(file.getParent(), Path.of(""));
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
