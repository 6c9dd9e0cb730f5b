package dev.patientharbor.code;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.stream.Stream;

/** Opens folders and jars, and reads their class files. */
public final class CodeReader {

    /** The number of files that are read sooner than a second thread starts. */
    private static final int FEW = 200;

    /**
     * The number of files that a thread takes at a time: few enough that all threads end together.
     */
    private static final int HANDFUL = 64;

    private CodeReader() {}

    /** Opens each place once, so that profiles may see some of them only; reads no class yet. */
    public static CodePlaces open(List<CodeRoot> roots, FactsRequest request) {
        return new CodePlaces(opened(roots, request));
    }

    private static OpenedCode opened(List<CodeRoot> roots, FactsRequest request) {
        SourceOpener opener = new SourceOpener();
        try {
            return new OpenedCode(
                    roots,
                    roots.stream().map(opener::open).toList(),
                    opener.findings(),
                    request,
                    opener.count());
        } catch (RuntimeException | Error fault) {
            opener.close();
            throw fault;
        }
    }

    static Finding unreadable(String place, String what, String reason) {
        return Finding.of(
                        FindingKinds.UNREADABLE_CLASS,
                        SourcePosition.startOf(place),
                        place,
                        "The " + what + " " + place + " cannot be read: " + reason + ".")
                .with("do", "build it again, or take it off the code path");
    }

    /** Does something with each of many, on a number of threads at most; few take one thread. */
    static <T> void inParallel(int threads, List<T> all, Consumer<T> task) {
        AtomicInteger next = new AtomicInteger();
        Runnable work =
                () -> {
                    for (int from = next.getAndAdd(HANDFUL);
                            from < all.size();
                            from = next.getAndAdd(HANDFUL)) {
                        int end = Math.min(all.size(), from + HANDFUL);
                        all.subList(from, end).forEach(task);
                    }
                };
        if (threads <= 1 || all.size() <= FEW) {
            work.run();
            return;
        }
        ExecutorService pool = Executors.newFixedThreadPool(threads);
        try {
            for (Future<?> future :
                    Stream.generate(() -> pool.submit(work)).limit(threads).toList()) {
                future.get();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("stopped while reading class files", stopped);
        } catch (ExecutionException fault) {
            throw new IllegalStateException("reading class files failed", fault.getCause());
        } finally {
            pool.shutdownNow();
        }
    }
}
