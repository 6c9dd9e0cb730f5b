package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whatever the user's code does while it is built, check ends and tells it, with its place. */
class RealBuildTest {

    /** A class that is bound to the gauge, what it does, what is told of it, and where. */
    private record Case(String name, String body, String told, String in) {
        String java() {
            return "class "
                    + name
                    + " implements Gauge, AutoCloseable { public void close() throws Exception {} "
                    + body
                    + " }\n";
        }
    }

    private static final List<Case> CASES =
            List.of(
                    new Case(
                            "Exits",
                            "Exits() { System.exit(0); }",
                            "it ended the process.",
                            "p.Exits.<init>("),
                    new Case(
                            "Halts",
                            "Halts() { Runtime.getRuntime().halt(0); }",
                            "the process ended with 0 meanwhile.",
                            "p.Halts"),
                    new Case(
                            "Mutes", "Mutes() { System.out.close(); System.err.close(); }", "", ""),
                    new Case(
                            "Hangs",
                            "Hangs() throws Exception { Thread.sleep(1_000_000); }",
                            "it did not end within 2 seconds.",
                            "p.Hangs.<init>("),
                    new Case(
                            "Stays",
                            "Stays() { new Thread(() -> { while (true) Thread.onSpinWait();"
                                    + " }).start(); }",
                            "",
                            ""),
                    new Case(
                            "Elsewhere",
                            "Elsewhere() throws Exception { Thread it = new Thread(() ->"
                                    + " System.exit(7)); it.start(); it.join(); }",
                            "it ended the process.",
                            "p.Elsewhere.lambda"),
                    new Case(
                            "Bare",
                            "Bare() { throw new Cold(); }",
                            "the constructor of p.Bare threw p.Cold: cold.",
                            "p.Bare"),
                    new Case(
                            "Mean",
                            "Mean() { throw new Sly(); }",
                            "the constructor of p.Mean threw p.Sly, whose message cannot be had: it"
                                    + " threw java.lang.IllegalStateException.",
                            "p.Mean.<init>("),
                    new Case(
                            "Deep",
                            "Deep() { go(); } void go() { go(); }",
                            "the constructor of p.Deep threw java.lang.StackOverflowError.",
                            "p.Deep.go("),
                    new Case(
                            "Fixed",
                            "static int number = Integer.parseInt(\"none\");",
                            "the static initialiser of p.Fixed threw"
                                + " java.lang.NumberFormatException: For input string: \"none\".",
                            "p.Fixed.<clinit>("),
                    new Case(
                            "Alone",
                            "Object o = new Gone();",
                            "the constructor of p.Alone threw java.lang.NoClassDefFoundError:"
                                    + " p/Gone.",
                            "p.Alone.<init>("));

    private static final String REST =
            """
            package p;
            interface Gauge {}
            class Gone {} class Base {}
            class Orphan extends Base implements Gauge {}
            class Cold extends RuntimeException { Cold() { super("cold", null, false, false); } }
            class Sly extends RuntimeException { public String toString() { throw new IllegalStateException(); } }
            class Shuts implements Gauge, AutoCloseable { public void close() { throw new Cold(); } }
            class Never implements Gauge, AutoCloseable {
                public void close() throws Exception { Thread.sleep(1_000_000); } }
            record Desk(Gauge gauge) {}
            """;

    @Test
    void all_that_it_does_is_told_where_it_happens_and_stops_no_other_profile(@TempDir Path temp)
            throws IOException {
        StringBuilder java = new StringBuilder(REST);
        StringBuilder yaml =
                new StringBuilder(
                        "patient-harbor: 1\n"
                                + "code: classes\n"
                                + "packages: [p]\n"
                                + "entry: [Desk]\n"
                                + "profiles:\n");
        for (Case one : CASES) {
            java.append(one.java());
            yaml.append("  " + one.name() + ": { bindings: { Gauge: " + one.name() + " } }\n");
        }
        for (String name : List.of("Orphan", "Shuts", "Never")) {
            yaml.append("  " + name + ": { bindings: { Gauge: " + name + " } }\n");
        }
        Path classes = Files.createDirectories(temp.resolve("classes"));
        JavaCode.compileInto(classes, java.toString());
        Files.delete(classes.resolve("p/Gone.class"));
        Files.delete(classes.resolve("p/Base.class"));
        Path file = Files.writeString(temp.resolve("build.harbor.yaml"), yaml);
        Ran ran = Ran.tool("check", file.toString(), "--build", "--time-limit", "2");
        String out = ran.out().replaceAll("\\s+", " ");
        assertEquals(1, ran.code(), out + ran.err());
        assertAll(
                CASES.stream()
                        .filter(row -> !row.told().isEmpty())
                        .map(
                                row ->
                                        () ->
                                                assertTrue(
                                                        out.contains(
                                                                "No Gauge can be made in "
                                                                        + row.name()
                                                                        + ": "
                                                                        + row.told()
                                                                        + " in "
                                                                        + row.in()),
                                                        row + "\n" + ran.out())));
        for (String told :
                List.of(
                        "in Orphan: the class p.Orphan cannot be used:"
                                + " java.lang.NoClassDefFoundError: p/Base. in p.Orphan",
                        "build-failed · p.Shuts 1 object could not be closed in the rig of Shuts"
                                + " (all others were): p.Shuts threw p.Cold: cold.",
                        "The rig of Never cannot be closed: it did not end within 2 seconds. in"
                                + " p.Never.close(",
                        "Built 2 of 14 complete profiles.")) {
            assertTrue(out.contains(told), told + "\n" + ran.out());
        }
    }
}
