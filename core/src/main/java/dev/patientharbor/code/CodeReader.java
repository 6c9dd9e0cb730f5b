package dev.patientharbor.code;

import dev.patientharbor.code.ClassFileReader.NotAClassFile;
import dev.patientharbor.files.IoReason;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;

/** Reads all class files of some places. */
public final class CodeReader {

    /** The number of files that are read sooner than a second thread starts. */
    private static final int FEW = 200;

    /**
     * The number of files that a thread takes at a time: few enough that all threads end together.
     */
    private static final int HANDFUL = 64;

    private CodeReader() {}

    /**
     * Reads with as many threads as there are processors. A place that is missing becomes a
     * finding.
     */
    public static CodeIndex read(List<CodeRoot> roots, FactsRequest request) {
        return readPlaces(roots, request).whole();
    }

    /**
     * Reads with a number of threads, on which the answer does not depend.
     *
     * @throws UncheckedIOException if a folder cannot be listed
     */
    public static CodeIndex read(List<CodeRoot> roots, FactsRequest request, int threads) {
        return readPlaces(roots, request, threads).whole();
    }

    /** Reads each place once, so that profiles may see some of them only. */
    public static CodePlaces readPlaces(List<CodeRoot> roots, FactsRequest request) {
        return readPlaces(roots, request, Runtime.getRuntime().availableProcessors());
    }

    private static CodePlaces readPlaces(List<CodeRoot> roots, FactsRequest request, int threads) {
        SourceOpener opener = new SourceOpener();
        try {
            List<List<ClassSource>> ofRoots = roots.stream().map(opener::open).toList();
            List<ClassSource> sources = opener.opened();
            List<ClassFile> files =
                    sources.stream().flatMap(source -> source.classFiles().stream()).toList();
            Object[] read = new Object[files.size()];
            inParallel(
                    files.size() <= FEW ? 1 : threads,
                    files.size(),
                    i -> read[i] = readOne(files.get(i), request));
            CodePlaces places = new CodePlaces(roots, opener.findings(), request);
            int next = 0;
            for (ClassSource source : sources) {
                int end = next + source.classFiles().size();
                places.add(source, Arrays.asList(read).subList(next, end));
                next = end;
            }
            ofRoots.forEach(places::addRoot);
            places.close();
            return places;
        } finally {
            opener.close();
        }
    }

    private static Object readOne(ClassFile file, FactsRequest request) {
        String reason;
        try {
            return ClassFileReader.read(file.bytes(SizeLimit.CLASS_FILE), request);
        } catch (NotAClassFile fault) {
            reason = fault.getMessage();
        } catch (IOException fault) {
            reason = IoReason.of(fault);
        }
        return unreadable(file.place(), "class file", reason);
    }

    static Finding unreadable(String place, String what, String reason) {
        return Finding.of(
                        FindingKinds.UNREADABLE_CLASS,
                        SourcePosition.startOf(place),
                        place,
                        "The " + what + " " + place + " cannot be read: " + reason + ".")
                .with("do", "build it again, or take it off the code path");
    }

    private interface Task {
        void run(int index);
    }

    private static void inParallel(int threads, int count, Task task) {
        AtomicInteger next = new AtomicInteger();
        Runnable work =
                () -> {
                    for (int from = next.getAndAdd(HANDFUL);
                            from < count;
                            from = next.getAndAdd(HANDFUL)) {
                        for (int i = from; i < Math.min(count, from + HANDFUL); i++) {
                            task.run(i);
                        }
                    }
                };
        if (threads <= 1) {
            work.run();
            return;
        }
        Runnable[] works = new Runnable[threads];
        Arrays.fill(works, work);
        ExecutorService pool = Executors.newFixedThreadPool(threads);
        try {
            List<Future<?>> running = new ArrayList<>();
            for (Runnable one : works) {
                running.add(pool.submit(one));
            }
            for (Future<?> future : running) {
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
