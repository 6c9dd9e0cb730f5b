package dev.patientharbor.cli;

import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.TrialBuild;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URLClassLoader;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import picocli.CommandLine.ParseResult;

/**
 * The process in which profiles are really built, each with the classes that it sees. The user's
 * code may end it, or hang in it: what it was doing is reported before it does it.
 */
public final class BuildProcess {

    private final BuildReport report;
    private final int seconds;
    private final Thread builder = Thread.currentThread();
    private final ScheduledExecutorService watch = watch();
    private volatile TrialBuild.Attempt attempt;

    private BuildProcess(BuildReport report, int seconds) {
        this.report = report;
        this.seconds = seconds;
    }

    /**
     * Builds profiles.
     *
     * @param args the file for the report, the seconds that a profile may take, how many profiles
     *     there are, their names, and the arguments of the command that asks for it
     */
    public static void main(String[] args) throws IOException {
        int profiles = Integer.parseInt(args[2]);
        List<String> names = Arrays.asList(args).subList(3, 3 + profiles);
        String[] command = Arrays.copyOfRange(args, 3 + profiles, args.length);
        // Without the one who asked nobody waits for the answer.
        ProcessHandle.current()
                .parent()
                .ifPresent(asker -> asker.onExit().thenRun(() -> Runtime.getRuntime().halt(1)));
        ParseResult parsed = Tool.parsed(command);
        ProfileSet set = CheckRun.set(parsed, CheckRun.input(parsed));
        try (BuildReport report = BuildReport.writing(Path.of(args[0]))) {
            BuildProcess process = new BuildProcess(report, Integer.parseInt(args[1]));
            Runtime.getRuntime().addShutdownHook(new Thread(process::endedEarly));
            for (String name : names) {
                process.build(set, name);
            }
        }
        // Threads that the user's code has left running do not matter any more.
        Runtime.getRuntime().halt(0);
    }

    private static ScheduledExecutorService watch() {
        ScheduledThreadPoolExecutor watch =
                new ScheduledThreadPoolExecutor(
                        1,
                        task -> {
                            Thread thread = new Thread(task, "time limit");
                            thread.setDaemon(true);
                            thread.setPriority(Thread.MAX_PRIORITY);
                            return thread;
                        });
        watch.prestartAllCoreThreads();
        return watch;
    }

    private void build(ProfileSet set, String profile) {
        report.begun(profile);
        ScheduledFuture<?> limit = watch.schedule(this::tookTooLong, seconds, TimeUnit.SECONDS);
        ClassLoader before = builder.getContextClassLoader();
        try (URLClassLoader loader = ProfileClasses.loader(set, profile)) {
            builder.setContextClassLoader(loader);
            TrialBuild.of(set.plan(profile), loader, this::tries).forEach(report::found);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot close the code of " + profile, fault);
        } finally {
            builder.setContextClassLoader(before);
        }
        limit.cancel(false);
        report.done();
    }

    private void tries(TrialBuild.Attempt next) {
        attempt = next;
        report.tries(next);
    }

    private void tookTooLong() {
        StackTraceElement[] stack = builder.getStackTrace();
        report.found(attempt.failed("it did not end within " + seconds + " seconds", stack));
        report.done();
        Runtime.getRuntime().halt(1);
    }

    /** The user's code has ended the process: it waits for this in its own stack. */
    private void endedEarly() {
        for (Map.Entry<Thread, StackTraceElement[]> entry : Thread.getAllStackTraces().entrySet()) {
            boolean ends =
                    Arrays.stream(entry.getValue())
                            .anyMatch(frame -> frame.getClassName().equals("java.lang.Shutdown"));
            if (ends) {
                report.found(attempt.failed("it ended the process", entry.getValue()));
                report.done();
                return;
            }
        }
    }
}
