package dev.patientharbor.cli;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.rig.TrialBuild;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/**
 * Has the profiles really built that are shown and complete, in a process of their own. One process
 * builds them all, and another one goes on behind a profile that has ended it.
 */
final class RealBuild {

    /** In seconds, for what the process does beside building: starting, and reading all again. */
    private static final int ALLOWANCE = 60;

    /** In bytes, of what the user's code prints. */
    private static final int MOST_SHOWN = 1 << 20;

    private final List<String> command;
    private final byte[] input;
    private final int seconds;
    private final Console console;

    /**
     * @param command the arguments of this command
     * @param input the profile file, if it came by standard input; empty if it did not
     * @param seconds how long one profile may take
     */
    RealBuild(List<String> command, byte[] input, int seconds, Console console) {
        this.command = command;
        this.input = input;
        this.seconds = seconds;
        this.console = console;
    }

    Verdict of(Verdict verdict, LocalDate today) {
        // The user's code may print.
        console.progress().end();
        List<String> left =
                new ArrayList<>(
                        verdict.profiles().stream()
                                .filter(each -> each.complete().orElse(false))
                                .map(ProfileVerdict::name)
                                .toList());
        Map<String, List<Finding>> found = new LinkedHashMap<>();
        try {
            while (!left.isEmpty()) {
                Map<String, List<Finding>> some = buildSome(left);
                found.putAll(some);
                left.removeAll(some.keySet());
            }
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot build in a process of its own", fault);
        }
        return verdict.afterBuilding(found, today);
    }

    /** Builds at least the first of some profiles. */
    private Map<String, List<Finding>> buildSome(List<String> profiles) throws IOException {
        Path report = Files.createTempFile("patient-harbor", ".build");
        try {
            Process process = start(report, profiles);
            boolean ended = process.waitFor(limit(profiles), TimeUnit.SECONDS);
            process.destroyForcibly().waitFor();
            BuildReport.Read read = BuildReport.read(report);
            if (read.found().isEmpty()) {
                throw new IOException("it ended with " + process.exitValue() + " before it began");
            }
            if (read.unfinished().isPresent()) {
                TrialBuild.Attempt attempt = read.attempt().orElseThrow();
                String why =
                        ended
                                ? "the process ended with " + process.exitValue() + " meanwhile"
                                : "it did not end within " + seconds + " seconds";
                read.found()
                        .get(read.unfinished().get())
                        .add(attempt.failed(why, new StackTraceElement[0]));
            }
            return read.found();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException("it was interrupted");
        } finally {
            Files.deleteIfExists(report);
        }
    }

    private long limit(List<String> profiles) {
        return (long) seconds * profiles.size() + ALLOWANCE;
    }

    private Process start(Path report, List<String> profiles) throws IOException {
        List<String> line = new ArrayList<>();
        line.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        line.addAll(List.of("-XX:+UseSerialGC", "-Xshare:auto", "-Xlog:disable"));
        String archive = System.getProperty("patientharbor.archive", "");
        if (!archive.isEmpty()) {
            line.add("-XX:SharedArchiveFile=" + archive);
        }
        line.addAll(List.of("-cp", System.getProperty("java.class.path")));
        line.add(BuildProcess.class.getName());
        line.addAll(List.of(report.toString(), "" + seconds, "" + profiles.size()));
        line.addAll(profiles);
        line.addAll(command);
        Process process = new ProcessBuilder(line).redirectErrorStream(true).start();
        show(process.getInputStream());
        try (OutputStream toProcess = process.getOutputStream()) {
            toProcess.write(input);
        }
        return process;
    }

    /** Passes on what the user's code prints, beside the result. */
    private void show(InputStream printed) {
        Thread thread = new Thread(() -> pass(printed));
        thread.setDaemon(true);
        thread.start();
    }

    private void pass(InputStream printed) {
        byte[] some = new byte[1 << 13];
        int shown = 0;
        try {
            for (int n = printed.read(some); n >= 0; n = printed.read(some)) {
                if (shown < MOST_SHOWN) {
                    console.err().write(some, 0, n);
                    console.err().flush();
                    shown += n;
                }
            }
        } catch (IOException closed) {
            // The process is gone, and nothing more will come.
        }
    }
}
