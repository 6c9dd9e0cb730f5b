package dev.patientharbor.cli;

import dev.patientharbor.report.TextLayout;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** One run of the tool, in this process: its exit code and what it printed. */
record Ran(int code, String out, String err) {

    static Ran tool(String... args) {
        return tool(TextLayout.plain(100), args);
    }

    static Ran tool(TextLayout layout, String... args) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        Console console =
                new Console(
                        new PrintStream(out, true, StandardCharsets.UTF_8),
                        new PrintStream(err, true, StandardCharsets.UTF_8),
                        layout);
        int code = Tool.run(args, console);
        return new Ran(
                code, out.toString(StandardCharsets.UTF_8), err.toString(StandardCharsets.UTF_8));
    }

    /** A command line as a person types it. */
    static Ran line(String line) {
        return tool(List.of(line.split(" ")).toArray(String[]::new));
    }
}
