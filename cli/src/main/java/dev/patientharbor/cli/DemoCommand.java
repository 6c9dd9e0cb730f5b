package dev.patientharbor.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import picocli.CommandLine.Model.CommandSpec;

/** {@code demo}: every command on the example that ships with the project. */
final class DemoCommand {

    /** One command of the demo, and what it shows. */
    private record Step(String says, int ends, List<String> args) {}

    private DemoCommand() {}

    static CommandSpec spec() {
        CommandSpec spec = CommandSpec.create();
        return CommandOptions.help(spec);
    }

    static int run(Console console) {
        Path examples = examples();
        String port = examples.resolve("port.harbor.yaml").toString();
        String classes = examples.resolve("target/classes").toString();
        String sides = examples.resolve("sides.harbor.yaml").toString();
        String broken = examples.resolve("broken.harbor.yaml").toString();
        String observed = examples.resolve("observed").toString();
        String page = examples.resolve("target/port.html").toString();
        List<Step> steps =
                List.of(
                        new Step(
                                "Is every environment of the port complete?",
                                ExitCode.CLEAN,
                                List.of("check", port)),
                        new Step(
                                "Who receives what at the desks, at the build machine and on a real"
                                        + " day?",
                                ExitCode.CLEAN,
                                List.of(
                                        "roster",
                                        port,
                                        "--profile",
                                        "dock-test,live",
                                        "--consumer",
                                        "*Desk")),
                        new Step(
                                "Where do the environments differ?",
                                ExitCode.CLEAN,
                                List.of("roster", port, "--format", "matrix", "--differing")),
                        new Step(
                                "Why does the crane receive that gauge on a winter's night?",
                                ExitCode.CLEAN,
                                List.of("explain", port, "CraneShed.gauge", "--profile", "winter")),
                        new Step(
                                "What does winter say itself, and what does each line decide?",
                                ExitCode.CLEAN,
                                List.of("explain", port, "winter")),
                        new Step(
                                "What would change, and break, if the gauge of the real day were a"
                                        + " mock?",
                                ExitCode.CLEAN,
                                List.of("compare", port, "live", "--with", "TideGauge: mock")),
                        new Step(
                                "What stands below each of them, on a winter's night?",
                                ExitCode.CLEAN,
                                List.of("roster", port, "--profile", "winter", "--format", "tree")),
                        new Step(
                                "How real is each of them, and where is the real thing met first?",
                                ExitCode.CLEAN,
                                List.of("roster", port, "--format", "coverage")),
                        new Step(
                                "What does the bridge see on a winter's night? This runs it.",
                                ExitCode.CLEAN,
                                List.of("run", "--profile", "winter", port, "BridgeWatch")),
                        new Step(
                                "Which gauge did runs really meet, and which one is met on the real"
                                        + " day for the first time?",
                                ExitCode.CLEAN,
                                List.of(
                                        "roster",
                                        port,
                                        "--consumer",
                                        "BridgeWatch",
                                        "--slot",
                                        "TideGauge",
                                        "--observed",
                                        observed)),
                        new Step(
                                "And all of that as a page to look around in?",
                                ExitCode.CLEAN,
                                List.of("report", port, "--out", page)),
                        new Step(
                                "What do I put into the comment of a review?",
                                ExitCode.CLEAN,
                                List.of("check", port, "--format", "markdown")),
                        new Step(
                                "Is each side whole by itself, aboard and ashore?",
                                ExitCode.CLEAN,
                                List.of("check", sides)),
                        new Step(
                                "What is in the old office, for which there is no file?",
                                ExitCode.CLEAN,
                                List.of(
                                        "survey",
                                        "--code",
                                        classes,
                                        "--package",
                                        "gullwing.office",
                                        "--section",
                                        "hard-wired,touches")),
                        new Step(
                                "Its main wires by hand: which profile does the same?",
                                ExitCode.CLEAN,
                                List.of(
                                        "draft",
                                        "--code",
                                        classes,
                                        "--from",
                                        "gullwing.office.FerryOffice#main")),
                        new Step(
                                "And what is reported of a file that is full of mistakes?",
                                ExitCode.FINDINGS,
                                List.of("check", broken)));
        for (Step step : steps) {
            console.out().println(step.says());
            console.out().println("$ patient-harbor " + shown(step.args()));
            console.out().println();
            int ended = Tool.run(step.args().toArray(String[]::new), console);
            console.out().println();
            if (ended != step.ends()) {
                throw new IllegalStateException(
                        "the demo's " + step.args() + " ended with " + ended);
            }
        }
        console.out()
                .println(
                        "The files are in "
                                + examples
                                + "; change a line and check again. Open "
                                + page
                                + " in a browser.");
        return ExitCode.CLEAN;
    }

    /** The arguments as a shell takes them. */
    private static String shown(List<String> args) {
        return args.stream()
                .map(arg -> arg.matches(".*[ *].*") ? "'" + arg + "'" : arg)
                .collect(Collectors.joining(" "));
    }

    private static Path examples() {
        Path here = Path.of(System.getProperty("patientharbor.examples", "examples"));
        if (!Files.exists(here.resolve("port.harbor.yaml"))) {
            throw new UnusableException(
                    "the demo needs the project's folder examples, and it is not at "
                            + here
                            + "; run ./patient-harbor demo in the project");
        }
        Path current = Path.of("").toAbsolutePath();
        return here.startsWith(current) ? current.relativize(here) : here;
    }
}
