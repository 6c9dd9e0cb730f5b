package dev.patientharbor.cli;

import java.io.PrintStream;
import java.time.Duration;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import me.tongfei.progressbar.ProgressBar;
import me.tongfei.progressbar.ProgressBarBuilder;
import me.tongfei.progressbar.ProgressBarConsumer;
import me.tongfei.progressbar.ProgressState;

/**
 * Tells on a terminal how many class files were read, while work takes longer than a second; its
 * line is gone when the work is done. Begun and ended by one thread.
 */
final class ProgressLine {

    /** In milliseconds. */
    private static final int UPDATE = 200;

    private final PrintStream terminal;
    private final int width;
    private final Duration patience;
    private CountDownLatch done = new CountDownLatch(0);
    private Thread teller;

    private ProgressLine(PrintStream terminal, int width, Duration patience) {
        this.terminal = terminal;
        this.width = width;
        this.patience = patience;
    }

    /**
     * The line of a terminal.
     *
     * @param width in columns
     * @param patience how long work may take before anything is told
     */
    static ProgressLine on(PrintStream terminal, int width, Duration patience) {
        return new ProgressLine(terminal, width, patience);
    }

    /** Tells nothing: nobody looks on. */
    static ProgressLine none() {
        return new ProgressLine(null, 0, Duration.ZERO);
    }

    /**
     * Begins to wait, and then to tell, unless it did so before.
     *
     * @param filesRead how many class files were read so far; 0 where nobody counts
     */
    void begin(LongSupplier filesRead) {
        if (terminal != null && teller == null) {
            done = new CountDownLatch(1);
            teller = new Thread(() -> tell(filesRead), "progress");
            teller.setDaemon(true);
            teller.start();
        }
    }

    /** Takes the line away, if there is one. */
    void end() {
        done.countDown();
        if (teller != null) {
            try {
                teller.join();
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
            teller = null;
        }
    }

    private void tell(LongSupplier filesRead) {
        try {
            if (done.await(patience.toMillis(), TimeUnit.MILLISECONDS)) {
                return;
            }
            try (ProgressBar bar = bar()) {
                do {
                    bar.stepTo(filesRead.getAsLong());
                } while (!done.await(UPDATE, TimeUnit.MILLISECONDS));
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private ProgressBar bar() {
        return new ProgressBarBuilder()
                .setInitialMax(-1)
                .setUpdateIntervalMillis(UPDATE)
                .continuousUpdate()
                .startsFrom(0, patience)
                .setRenderer(ProgressLine::text)
                .setConsumer(new OneLine())
                .build();
    }

    private static String text(ProgressState state, int width) {
        Duration elapsed = state.getTotalElapsed();
        String text =
                "%s%d:%02d min"
                        .formatted(
                                state.getCurrent() == 0
                                        ? "working, "
                                        : String.format(
                                                Locale.ROOT,
                                                "%,d class files read, ",
                                                state.getCurrent()),
                                elapsed.toMinutes(),
                                elapsed.toSecondsPart());
        return text.substring(0, Math.min(text.length(), width));
    }

    /** One line that is written again and again, and wiped in the end. */
    private final class OneLine implements ProgressBarConsumer {

        @Override
        public int getMaxRenderedLength() {
            return width - 1;
        }

        @Override
        public void accept(String line) {
            terminal.print("\r" + line);
            terminal.flush();
        }

        @Override
        public void close() {
            terminal.print("\r" + " ".repeat(width - 1) + "\r");
            terminal.flush();
        }
    }
}
