package dev.patientharbor.benchmarks;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.profiles.Surveys;
import dev.patientharbor.report.CheckText;
import dev.patientharbor.report.SurveyText;
import dev.patientharbor.report.TextLayout;
import dev.patientharbor.survey.Survey;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * A check of a large application against the yardstick, in the same run: cold (each in a new Java
 * process, the two in turn) and warm (again and again in one process).
 *
 * <p>Arguments: the number of classes, then one or more numbers of profiles, or {@code reached=N}
 * for one profile by which only so many classes are reached, or {@code survey} for a survey against
 * a bare read of the class files with their bodies, or {@code unmet=N} for the same with one need
 * that nothing meets.
 */
public final class CheckRatio {

    private static final int LARGE = 1_000_000;
    private static final int LARGE_JARS = 200;

    private static final String SURVEY = "survey";

    private static int lastRead;

    private CheckRatio() {}

    public static void main(String[] args) throws IOException, InterruptedException {
        if (args[0].equals("one")) {
            List<Path> paths = Arrays.stream(args).skip(2).map(Path::of).toList();
            one(args[1], paths);
            return;
        }
        int size = Integer.parseInt(args[0]);
        Path folder = Files.createTempDirectory("town");
        Town town = new Town(size);
        List<Path> jars = town.writeJars(folder, size < LARGE ? 1 : LARGE_JARS);
        System.out.printf(
                Locale.ROOT, "%d classes in %d jars, %s%n", size, jars.size(), Runtime.version());
        for (String profiles : Arrays.copyOfRange(args, 1, args.length)) {
            Path file = folder.resolve("town" + profiles + ".harbor.yaml");
            String[] words = profiles.split("=");
            if (profiles.equals(SURVEY)) {
                measure(SURVEY, file, jars, 3);
                continue;
            }
            if (words.length == 1) {
                new Town(size).writeProfiles(file, jars, Integer.parseInt(profiles));
            } else {
                boolean unmet = words[0].equals("unmet");
                town.writeReached(file, jars, Integer.parseInt(words[1]), unmet);
            }
            measure(profiles, file, jars, size < LARGE ? 5 : 3);
        }
    }

    private static void measure(String profiles, Path file, List<Path> jars, int runs)
            throws IOException, InterruptedException {
        List<Double> ratios = new ArrayList<>();
        List<Double> yardsticks = new ArrayList<>();
        double memory = 0;
        double yardstickMemory = 0;
        for (int i = 0; i < runs; i++) {
            boolean isSurvey = profiles.equals(SURVEY);
            double[] bare = inNewProcess(isSurvey ? "bodies" : "yardstick", jars);
            double[] check =
                    isSurvey ? inNewProcess(SURVEY, jars) : inNewProcess("check", List.of(file));
            yardsticks.add(bare[0]);
            ratios.add(check[0] / bare[0]);
            memory = Math.max(memory, check[1]);
            yardstickMemory = Math.max(yardstickMemory, bare[1]);
        }
        List<Double> warm = new ArrayList<>();
        for (int i = 0; i < 2 * runs; i++) {
            long start = System.nanoTime();
            boolean isSurvey = profiles.equals(SURVEY);
            run(isSurvey ? "bodies" : "yardstick", jars);
            long between = System.nanoTime();
            run(isSurvey ? SURVEY : "check", isSurvey ? jars : List.of(file));
            warm.add((System.nanoTime() - between) / (double) (between - start));
        }
        String again =
                profiles.equals(SURVEY)
                        ? ""
                        : String.format(
                                Locale.ROOT,
                                ", checked again after an edit of the file %.3f",
                                again(file, jars, runs));
        System.out.printf(
                Locale.ROOT,
                "%3s: %d classes read, cold %.2f (yardstick %.2f s), warm %.2f times the"
                        + " yardstick%s; peak memory %.0f MB (yardstick %.0f MB)%n",
                profiles,
                lastRead,
                median(ratios),
                median(yardsticks),
                median(warm.subList(runs, 2 * runs)),
                again,
                memory,
                yardstickMemory);
    }

    /** A check as watch does it after an edit of the file, against the yardstick; warm. */
    private static double again(Path file, List<Path> jars, int runs) throws IOException {
        ProfileSet set = ProfileFiles.read(file);
        set.check(LocalDate.EPOCH);
        List<Double> ratios = new ArrayList<>();
        for (int i = 0; i < 4 * runs; i++) {
            // No other set of this text was checked before.
            Files.writeString(file, "# edit " + i + "\n", StandardOpenOption.APPEND);
            long start = System.nanoTime();
            Yardstick.read(jars);
            long between = System.nanoTime();
            ProfileSet next = ProfileFiles.read(file);
            next.shareCodeOf(set);
            CheckText.render(next.check(LocalDate.EPOCH), TextLayout.plain(100));
            set = next;
            ratios.add((System.nanoTime() - between) / (double) (between - start));
        }
        return median(ratios.subList(2 * runs, 4 * runs));
    }

    private static double median(List<Double> values) {
        List<Double> sorted = values.stream().sorted().toList();
        return sorted.get(sorted.size() / 2);
    }

    /** Seconds inside the process, and its peak memory in MB. */
    private static double[] inNewProcess(String what, List<Path> paths)
            throws IOException, InterruptedException {
        // As the launcher starts the tool; the yardstick has the same archive of classes.
        List<String> line = new ArrayList<>();
        line.addAll(
                List.of(
                        System.getProperty("java.home") + "/bin/java",
                        "-XX:SharedArchiveFile="
                                + System.getProperty("patientharbor.archive", "none"),
                        "-Xshare:auto",
                        "-Xlog:disable",
                        "-XX:+UseSerialGC",
                        "-Xms64m",
                        "-XX:NewSize=44m",
                        "-XX:TieredStopAtLevel=1",
                        "-XX:CICompilerCount=1",
                        "-XX:+UseTransparentHugePages",
                        "-XX:-UsePerfData",
                        "-XX:+UnlockDiagnosticVMOptions",
                        "-XX:ArchiveRelocationMode=0",
                        "-cp",
                        System.getProperty("java.class.path"),
                        CheckRatio.class.getName(),
                        "one",
                        what));
        paths.forEach(path -> line.add(path.toString()));
        Process process =
                new ProcessBuilder(line).redirectError(ProcessBuilder.Redirect.INHERIT).start();
        String out = new String(process.getInputStream().readAllBytes());
        if (process.waitFor() != 0) {
            throw new IllegalStateException(what + " failed: " + out);
        }
        return Arrays.stream(out.trim().split(" ")).mapToDouble(Double::parseDouble).toArray();
    }

    private static void one(String what, List<Path> paths) throws IOException {
        long start = System.nanoTime();
        run(what, paths);
        double seconds = (System.nanoTime() - start) / 1e9;
        double peak =
                Files.readAllLines(Path.of("/proc/self/status")).stream()
                        .filter(line -> line.startsWith("VmHWM"))
                        .mapToDouble(line -> Double.parseDouble(line.replaceAll("\\D", "")) / 1024)
                        .findFirst()
                        .orElse(0);
        System.out.println(seconds + " " + peak);
    }

    private static void run(String what, List<Path> paths) {
        switch (what) {
            case "yardstick" -> Yardstick.read(paths);
            case "bodies" -> Yardstick.readBodies(paths);
            case SURVEY -> {
                Survey survey = Surveys.of(paths.toArray(Path[]::new));
                SurveyText.render(survey, Set.of(), TextLayout.plain(100));
                lastRead = survey.classes();
            }
            default -> check(paths.get(0));
        }
    }

    /** All that the command does: the file, the code, the verdict, the text. */
    private static void check(Path path) {
        Verdict verdict = ProfileFiles.read(path).check(LocalDate.EPOCH);
        String text = CheckText.render(verdict, TextLayout.plain(100));
        boolean unmet = path.getFileName().toString().contains("unmet");
        if (!text.contains("complete") && !unmet || text.contains("INCOMPLETE") != unmet) {
            throw new IllegalStateException(text.substring(0, Math.min(5000, text.length())));
        }
        lastRead = verdict.classesRead();
    }
}
