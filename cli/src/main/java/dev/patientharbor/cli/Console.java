package dev.patientharbor.cli;

import dev.patientharbor.finding.VisibleText;
import dev.patientharbor.report.Ink;
import dev.patientharbor.report.Layout;
import java.io.BufferedOutputStream;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/**
 * Where the tool writes to.
 *
 * @param out for what was asked for
 * @param err for notices and for what stopped the work
 * @param layout how text on {@code out} is laid out
 */
public record Console(PrintStream out, PrintStream err, Layout layout) {

    private static final int COLUMNS_OFF_A_TERMINAL = 100;

    /** That of the process: the launcher tells the columns if the output is a terminal. */
    static Console ofProcess() {
        Integer columns = Integer.getInteger("patientharbor.columns");
        boolean colour = columns != null && System.getenv("NO_COLOR") == null;
        int width = columns != null ? columns : number(System.getenv("COLUMNS"));
        return new Console(
                stream(FileDescriptor.out),
                stream(FileDescriptor.err),
                new Layout(width, colour ? new Colours() : Ink.NONE));
    }

    /** The same, whatever is printed going elsewhere and without colour. */
    Layout forFiles() {
        return Layout.plain(layout.width());
    }

    /** Prints a line of its own for people, behind all that was printed until now. */
    void tell(String line) {
        out.flush();
        err.println(VisibleText.of(line));
    }

    void flush() {
        out.flush();
        err.flush();
    }

    private static int number(String columns) {
        return columns != null && columns.matches("[1-9][0-9]{0,3}")
                ? Integer.parseInt(columns)
                : COLUMNS_OFF_A_TERMINAL;
    }

    private static PrintStream stream(FileDescriptor descriptor) {
        return new PrintStream(
                new BufferedOutputStream(new FileOutputStream(descriptor), 1 << 15),
                false,
                StandardCharsets.UTF_8);
    }
}
