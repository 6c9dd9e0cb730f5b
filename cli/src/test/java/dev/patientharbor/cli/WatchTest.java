package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.report.TextLayout;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A check after each change: what it tells last is what a fresh check tells. */
class WatchTest {

    private static final int EDITS = Integer.getInteger("patientharbor.edits", 60);

    @TempDir private Path folder;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteArrayOutputStream err = new ByteArrayOutputStream();
    private final AtomicReference<Runnable> whenTold = new AtomicReference<>(() -> {});
    private Path port;
    private Path classes;
    private Thread watching;
    private final CompletableFuture<Integer> ended = new CompletableFuture<>();

    @BeforeEach
    void start() throws Exception {
        for (String name : List.of("port.harbor.yaml", "quay.harbor.yaml", "port.properties")) {
            Files.copy(Path.of("../examples", name), folder.resolve(name));
        }
        port = folder.resolve("port.harbor.yaml");
        classes = folder.resolve("classes");
        try (Stream<Path> all = Files.walk(Path.of("../examples/target/classes"))) {
            for (Path from : all.toList()) {
                Path to =
                        classes.resolve(
                                Path.of("../examples/target/classes").relativize(from).toString());
                Files.createDirectories(to.getParent());
                Files.copy(from, to);
            }
        }
        PrintStream told =
                new PrintStream(out, true, StandardCharsets.UTF_8) {
                    @Override
                    public void flush() {
                        super.flush();
                        whenTold.getAndSet(() -> {}).run();
                    }
                };
        Console console =
                new Console(
                        told,
                        new PrintStream(err, true, StandardCharsets.UTF_8),
                        TextLayout.plain(100));
        String[] args = {"watch", port.toString(), "--code", classes.toString()};
        watching = new Thread(() -> ended.complete(Tool.run(args, console)));
        watching.start();
        awaits(text -> text.contains("All 4 profiles are complete"));
        awaitsErr("watching ");
    }

    @AfterEach
    void end() throws Exception {
        watching.interrupt();
        assertEquals(0, ended.get(30, TimeUnit.SECONDS), err.toString(StandardCharsets.UTF_8));
    }

    private String said() {
        return out.toString(StandardCharsets.UTF_8);
    }

    private void awaits(Predicate<String> wanted) throws InterruptedException {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        while (!wanted.test(said())) {
            assertTrue(
                    System.nanoTime() < end, () -> said() + err.toString(StandardCharsets.UTF_8));
            Thread.sleep(20);
        }
    }

    private void awaitsErr(String wanted) throws InterruptedException {
        awaits(text -> err.toString(StandardCharsets.UTF_8).contains(wanted));
    }

    private void edit(String from, String to) throws IOException {
        String text = Files.readString(port);
        assertTrue(text.contains(from), from);
        Files.writeString(port, text.replace(from, to));
    }

    @Test
    void what_is_new_what_is_gone_and_who_receives_something_else_is_told() throws Exception {
        edit("TideGauge: SonarTideGauge", "TideGauge: mock");
        awaits(text -> text.contains("1 of 4 profiles is not complete"));
        String told = said();
        assertTrue(told.contains("changed: port.harbor.yaml\n"), told);
        assertTrue(told.contains("  new   error rule-broken · "), told);
        assertTrue(told.contains("    now     mock · shared · :21:7\n"), told);
        edit("TideGauge: mock", "TideGauge: SonarTideGauge");
        awaits(text -> text.contains("  gone  error rule-broken · "));
        out.reset();
        Files.delete(classes.resolve("gullwing/works/BellPilotPager.class"));
        awaits(text -> text.contains("changed: BellPilotPager.class"));
        awaits(text -> text.contains("  new   error unknown-class · "));
        out.reset();
        Files.writeString(folder.resolve("port.properties"), "call.sign=GULL 2\n");
        awaits(text -> text.contains("changed: port.properties"));
        out.reset();
        Files.writeString(port, Files.readString(port) + "  x: [\n");
        awaits(text -> text.contains("No profile was checked: 1 error."));
        Files.delete(port);
        awaitsErr("cannot read ");
        Files.copy(Path.of("../examples/port.harbor.yaml"), port);
        awaits(text -> text.contains("new profiles: dock-test, live, rehearsal, winter"));
    }

    @Test
    void a_change_while_it_tells_of_another_is_not_lost() throws Exception {
        Path rota = classes.resolve("gullwing/works/BellPilotPager.class");
        whenTold.set(() -> delete(rota));
        edit("TideGauge: SonarTideGauge", "TideGauge: mock");
        awaits(text -> text.contains("changed: port.harbor.yaml\n"));
        awaits(text -> text.contains("changed: BellPilotPager.class"));
        whenTold.set(() -> delete(port));
        edit("TideGauge: mock", "TideGauge: FixedTideGauge");
        awaitsErr("cannot read ");
    }

    private static void delete(Path file) {
        try {
            Files.delete(file);
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }

    @Test
    void after_many_edits_that_come_faster_than_it_checks_the_last_answer_is_that_of_a_fresh_check()
            throws Exception {
        String text = Files.readString(port);
        List<String> supplies =
                List.of("SonarTideGauge", "mock", "FixedTideGauge", "Nothing", "none", "[");
        Random random = new Random(11);
        for (int i = 0; i < EDITS; i++) {
            String supply = supplies.get(random.nextInt(supplies.size()));
            Files.writeString(
                    port,
                    "#".repeat(random.nextInt(9))
                            + "\n"
                            + text.replace("TideGauge: SonarTideGauge", "TideGauge: " + supply));
            Thread.sleep(random.nextInt(30));
        }
        Files.writeString(
                port, text.replace("PilotPager: BellPilotPager", "PilotPager: NoSuchPager # end"));
        String fresh = Ran.tool("check", port.toString(), "--code", classes.toString()).out();
        String last = fresh.substring(fresh.stripTrailing().lastIndexOf('\n') + 1);
        awaits(told -> told.endsWith(last) && told.contains("NoSuchPager"));
        Thread.sleep(600);
        assertTrue(said().endsWith(last), "and nothing more");
    }
}
