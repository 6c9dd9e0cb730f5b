package dev.patientharbor.cli;

import dev.patientharbor.report.TextLayout;
import dev.patientharbor.report.TextPainter;
import dev.patientharbor.texts.VisibleText;
import java.io.FileDescriptor;
import java.io.PrintStream;
import java.time.Duration;

/**
 * Where the tool writes to.
 *
 * @param out for what was asked for
 * @param err for notices and for what stopped the work
 * @param layout how text on {@code out} is laid out
 * @param hasWidth whether {@code out} is a terminal, or somebody said how wide it is: tables fit
 *     into it then
 * @param progress tells on {@code err} how far the work is
 */
public record Console(
        PrintStream out,
        PrintStream err,
        TextLayout layout,
        boolean hasWidth,
        ProgressLine progress) {

    /** How long work may take before somebody who looks on wants to know. */
    private static final Duration PATIENCE = Duration.ofSeconds(1);

    private static final int COLUMNS_OFF_A_TERMINAL = 100;

    /** A console of some width. */
    public Console(PrintStream out, PrintStream err, TextLayout layout) {
        this(out, err, layout, true, ProgressLine.none());
    }

    /** Returns the console of the process; the launcher says how many columns a terminal has. */
    static Console ofProcess() {
        Integer columns = Integer.getInteger("patientharbor.columns");
        boolean colour = columns != null && System.getenv("NO_COLOR") == null;
        int width = columns != null ? columns : number(System.getenv("COLUMNS"));
        PrintStream err = StandardStream.of(FileDescriptor.err);
        Integer lookingOn = Integer.getInteger("patientharbor.progress");
        return new Console(
                StandardStream.of(FileDescriptor.out),
                err,
                new TextLayout(width, colour ? new TerminalColours() : TextPainter.NONE),
                columns != null || System.getenv("COLUMNS") != null,
                lookingOn == null
                        ? ProgressLine.none()
                        : ProgressLine.on(err, lookingOn, PATIENCE));
    }

    /** Returns the layout of files: without colour. */
    TextLayout forFiles() {
        return TextLayout.plain(layout.width());
    }

    /** Prints a line of its own for people, behind all that was printed until now. */
    void notify(String line) {
        progress.end();
        out.flush();
        err.println(VisibleText.of(line));
    }

    /**
     * Hands over all that was printed.
     *
     * @return the exit code: the given one, unless what was asked for could not be written
     */
    int ended(int code) {
        progress.end();
        boolean lost = out.checkError();
        boolean left = out instanceof StandardStream stream && stream.isLeft();
        if (lost && !left && code != ExitCode.OUR_FAULT) {
            err.println("patient-harbor: cannot write to standard output: the report is cut off");
        }
        err.flush();
        return lost && code != ExitCode.OUR_FAULT ? ExitCode.UNUSABLE : code;
    }

    private static int number(String columns) {
        return columns != null && columns.matches("[1-9][0-9]{0,3}")
                ? Integer.parseInt(columns)
                : COLUMNS_OFF_A_TERMINAL;
    }
}
