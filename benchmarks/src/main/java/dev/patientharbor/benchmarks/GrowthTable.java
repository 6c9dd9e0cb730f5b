package dev.patientharbor.benchmarks;

import com.sun.management.OperatingSystemMXBean;
import dev.patientharbor.cli.Console;
import dev.patientharbor.cli.Tool;
import dev.patientharbor.report.TextLayout;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Prints by what factor the work and the output grow when a set has twice as much of one thing: for
 * each thing and each output. Two is linear, four is quadratic.
 */
public final class GrowthTable {

    private static final List<String> OUTPUTS =
            List.of("check", "text", "tree", "coverage", "json");

    private GrowthTable() {}

    /** What one run cost: seconds of CPU, and bytes of output. */
    private record Cost(double seconds, long bytes) {}

    /**
     * Measures.
     *
     * @param args names of things as the table has them, all for none; a last number multiplies the
     *     sizes
     */
    public static void main(String[] args) throws IOException {
        List<String> wanted = new ArrayList<>(List.of(args));
        int times = 1;
        if (!wanted.isEmpty() && wanted.get(wanted.size() - 1).matches("\\d+")) {
            times = Integer.parseInt(wanted.remove(wanted.size() - 1));
        }
        List<GrowthAxis> axes = wanted.isEmpty() ? List.of(GrowthAxis.values()) : named(wanted);
        System.out.println(
                "| of what | how many | output | seconds of CPU | factors | bytes, factor |");
        System.out.println("| --- | --- | --- | --- | --- | --- |");
        for (GrowthAxis axis : axes) {
            measure(axis, times);
        }
    }

    private static List<GrowthAxis> named(List<String> names) {
        Map<String, GrowthAxis> axes = new LinkedHashMap<>();
        for (GrowthAxis axis : GrowthAxis.values()) {
            axes.put(words(axis), axis);
        }
        if (!axes.keySet().containsAll(names)) {
            System.err.println("Things that are measured: " + String.join(", ", axes.keySet()));
            System.exit(2);
        }
        return names.stream().map(axes::get).toList();
    }

    private static String words(GrowthAxis axis) {
        return axis.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static void measure(GrowthAxis axis, int times) throws IOException {
        List<Integer> sizes = new ArrayList<>();
        List<Path> files = new ArrayList<>();
        for (int size = axis.least() * times; sizes.size() < 3; size *= 2) {
            sizes.add(size);
            files.add(made(axis, size));
        }
        for (String output : OUTPUTS) {
            run(output, files.get(0));
            List<Cost> costs = new ArrayList<>();
            for (Path file : files) {
                Cost cost = run(output, file);
                Cost again = cost.seconds() > 2 ? cost : run(output, file);
                costs.add(cost.seconds() < again.seconds() ? cost : again);
            }
            System.out.printf(
                    Locale.ROOT,
                    "| %s | %d to %d | %s | %.2f, %.2f, %.2f | %.1f, %.1f | %d, %.1f |%n",
                    words(axis),
                    sizes.get(0),
                    sizes.get(2),
                    output,
                    costs.get(0).seconds(),
                    costs.get(1).seconds(),
                    costs.get(2).seconds(),
                    costs.get(1).seconds() / costs.get(0).seconds(),
                    costs.get(2).seconds() / costs.get(1).seconds(),
                    costs.get(2).bytes(),
                    (double) costs.get(2).bytes() / costs.get(1).bytes());
        }
    }

    private static Path made(GrowthAxis axis, int size) throws IOException {
        Path folder = Files.createTempDirectory("growth");
        GrowthAxis.Sheet sheet = new GrowthAxis.Sheet();
        axis.make(size, new MadeCode(folder.resolve("code")), sheet);
        return Files.writeString(folder.resolve("it.harbor.yaml"), sheet.text());
    }

    private static Cost run(String output, Path file) {
        Counting counting = new Counting();
        PrintStream out = new PrintStream(counting, false);
        Console console =
                new Console(
                        out,
                        new PrintStream(OutputStream.nullOutputStream()),
                        TextLayout.plain(100));
        OperatingSystemMXBean system =
                (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
        long before = system.getProcessCpuTime();
        int code =
                output.equals("check")
                        ? Tool.run(new String[] {"check", file.toString()}, console)
                        : Tool.run(
                                new String[] {"roster", file.toString(), "--format", output},
                                console);
        out.flush();
        double seconds = (system.getProcessCpuTime() - before) / 1e9;
        if (code > 1) {
            throw new IllegalStateException(output + " of " + file + " ended with " + code);
        }
        return new Cost(seconds, counting.bytes);
    }

    /** Counts what is written. */
    private static final class Counting extends OutputStream {
        private long bytes;

        @Override
        public void write(int sign) {
            bytes++;
        }

        @Override
        public void write(byte[] some, int from, int length) {
            bytes += length;
        }
    }
}
