package dev.patientharbor.cli;

import dev.patientharbor.files.FilePaths;
import dev.patientharbor.files.FileReplacement;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.TextLayout;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Optional;
import picocli.CommandLine.ParseResult;

/** Where the result goes: to standard output, or to the file that was asked for. */
final class ResultOutput {

    private final Optional<Path> file;
    private final boolean isWide;
    private final Console console;

    private ResultOutput(Optional<Path> file, boolean isWide, Console console) {
        this.file = file;
        this.isWide = isWide;
        this.console = console;
    }

    /**
     * The output that the arguments ask for.
     *
     * @param set what is read; none of its files is overwritten
     */
    static ResultOutput of(ParseResult parsed, ProfileSet set, Console console) {
        return of(parsed, set, console, "");
    }

    /**
     * The output that the arguments ask for.
     *
     * @param set what is read; none of its files is overwritten
     * @param byDefault the file where none is named; blank for standard output
     */
    static ResultOutput of(ParseResult parsed, ProfileSet set, Console console, String byDefault) {
        String named = CommandOptions.out(parsed);
        ResultOutput output = to(named.isEmpty() ? byDefault : named, parsed, console);
        if (output.file.filter(set::isReadFrom).isPresent()) {
            throw new UnusableException(
                    "--out names " + named + ", which is read here; write to another file");
        }
        console.progress().begin(set::filesRead);
        return output;
    }

    /** The output that the arguments ask for, where nothing is read. */
    static ResultOutput of(ParseResult parsed, Console console) {
        return to(CommandOptions.out(parsed), parsed, console);
    }

    private static ResultOutput to(String given, ParseResult parsed, Console console) {
        return new ResultOutput(
                given.isEmpty() ? Optional.empty() : Optional.of(path(given)),
                CommandOptions.isWide(parsed),
                console);
    }

    /** How text is laid out there. */
    TextLayout layout() {
        TextLayout layout = file.isPresent() ? console.forFiles() : console.layout();
        return isWide ? layout.unfolded() : layout;
    }

    /** How tables are laid out there: in one piece where nothing has to fit into a width. */
    TextLayout tableLayout() {
        return file.isPresent() || !console.hasWidth() ? layout().unfolded() : layout();
    }

    void write(String text) {
        console.progress().end();
        if (file.isEmpty()) {
            console.out().print(text);
            return;
        }
        try {
            FileReplacement.write(file.get(), text);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot write " + file.get(), fault);
        }
        console.notify("written to " + file.get());
    }

    private static Path path(String given) {
        try {
            return FilePaths.resolve(Path.of(""), given);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot write " + given, fault);
        }
    }
}
