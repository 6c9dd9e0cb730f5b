package dev.patientharbor.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Hands the result over: to standard output, or to the file that was asked for. */
final class Output {

    private Output() {}

    static void write(String text, String file, Console console) {
        if (file.isEmpty()) {
            console.out().print(text);
            return;
        }
        try {
            Files.writeString(Path.of(file), text);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot write " + file, fault);
        }
        console.err().println("written to " + file);
    }
}
