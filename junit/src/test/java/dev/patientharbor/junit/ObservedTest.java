package dev.patientharbor.junit;

import static dev.patientharbor.junit.ExtensionTest.PORT;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.observing.AnswerInUse;
import dev.patientharbor.observing.EntryInUse;
import dev.patientharbor.observing.ObservedAnswer;
import dev.patientharbor.observing.ObservedFiles;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.observing.ObservedUse;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.RigUsage;
import gullwing.port.CardTerminal;
import gullwing.port.PilotPager;
import gullwing.port.TideGauge;
import gullwing.quay.ArrivalDesk;
import gullwing.quay.BerthClerk;
import gullwing.quay.NightDesk;
import java.io.IOException;
import java.lang.ProcessBuilder.Redirect;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** What tests used, written by many processes and read by one. */
class ObservedTest {

    private static final String PROPERTY = "patientharbor.observed";
    private static final int FORKS = 8;

    @TempDir private Path temp;

    @Test
    void counts_of_eight_forks_equal_those_of_their_rigs_summed() throws Exception {
        List<Process> forks = new ArrayList<>();
        for (int i = 0; i < FORKS; i++) {
            // Two modules, each with a folder of its own.
            Path folder = temp.resolve(i % 2 == 0 ? "first/observed" : "second/observed");
            forks.add(
                    new ProcessBuilder(
                                    Path.of(System.getProperty("java.home"), "bin", "java")
                                            .toString(),
                                    "-D" + PROPERTY + "=" + folder,
                                    "-cp",
                                    System.getProperty("java.class.path"),
                                    ObservedTest.class.getName(),
                                    "" + i,
                                    temp.resolve("summed-" + i).toString())
                            .redirectErrorStream(true)
                            .redirectOutput(Redirect.INHERIT)
                            .start());
        }
        Map<String, List<Integer>> expected = new TreeMap<>();
        for (int i = 0; i < FORKS; i++) {
            assertTrue(forks.get(i).waitFor(2, TimeUnit.MINUTES));
            assertEquals(0, forks.get(i).exitValue());
            for (String line : Files.readAllLines(temp.resolve("summed-" + i))) {
                String[] parts = line.split("\t");
                add(expected, parts[0], Stream.of(parts).skip(1).map(Integer::valueOf).toList());
            }
        }
        ProfileSet port = port();
        List<ObservedUse> read = ObservedFiles.read(temp);
        assertEquals(FORKS, read.size());
        Map<String, List<Integer>> told = new TreeMap<>();
        for (ObservedAnswer each : ObservedUse.joined("Gullwing Ferry Port", read).answers()) {
            add(
                    told,
                    each.profile() + " " + each.slot() + " " + each.within(),
                    List.of(each.runs(), each.made(), each.calls().orElse(0)));
        }
        assertEquals(expected, told);
        assertTrue(expected.size() > 40, expected.toString());
        ObservedRosters observed =
                ObservedRosters.of(
                        port.check().rosters().values(),
                        ObservedUse.joined("Gullwing Ferry Port", read));
        assertEquals(0, observed.runs("live", answer(port, "live", ArrivalDesk.class, "gauge")));
        int runs = observed.runs("dock-test", answer(port, "dock-test", ArrivalDesk.class, "rota"));
        String rota = "dock-test gullwing.port.PilotRota ";
        assertEquals(expected.get(rota).get(0), runs);
        AnswerInUse first = observed.answers().get(0);
        assertEquals(List.of("live"), List.copyOf(first.runs().keySet()), first.toString());
        assertTrue(observed.toString().contains("TideGauge: real"), observed.toString());
        assertEquals(
                List.of("CraneShed", "BridgeWatch"),
                observed.entries().stream()
                        .filter(entry -> !entry.isMet())
                        .map(EntryInUse::consumer)
                        .map(name -> name.substring(name.lastIndexOf('.') + 1))
                        .filter(List.of("BridgeWatch", "CraneShed", "ArrivalDesk")::contains)
                        .toList());
    }

    private static void add(Map<String, List<Integer>> to, String key, List<Integer> counts) {
        to.merge(
                key,
                counts,
                (all, more) ->
                        List.of(
                                all.get(0) + more.get(0),
                                all.get(1) + more.get(1),
                                all.get(2) + more.get(2)));
    }

    private static ProfileSet port() {
        return ProfileFiles.read(Path.of(PORT));
    }

    private static dev.patientharbor.plan.Answer answer(
            ProfileSet set, String profile, Class<?> consumer, String need) {
        return set.roster(profile).of(consumer).need(need).answer();
    }

    @Test
    void what_a_test_swaps_in_is_not_taken_for_what_the_profile_has() throws Exception {
        System.setProperty(PROPERTY, temp.toString());
        try {
            ExtensionTest.run(Swapping.class).testEvents().assertStatistics(it -> it.succeeded(1));
        } finally {
            System.clearProperty(PROPERTY);
        }
        ProfileSet port = port();
        ObservedRosters observed =
                ObservedRosters.of(
                        port.check().rosters().values(),
                        ObservedUse.joined("Gullwing Ferry Port", ObservedFiles.read(temp)));
        var gauge = answer(port, "dock-test", ArrivalDesk.class, "gauge");
        var rota = answer(port, "dock-test", ArrivalDesk.class, "rota");
        assertEquals(0, observed.runs("dock-test", gauge));
        assertEquals(1, observed.runs("dock-test", rota));
        assertEquals(
                List.of("gullwing.port.TideGauge"),
                observed.outdated().stream().map(ObservedAnswer::slot).toList());
    }

    @Harbor(PORT)
    @UnderProfile("dock-test")
    static class Swapping {
        @SwappedIn private final TideGauge high = () -> 9;

        @Test
        void arrives(ArrivalDesk desk) {
            desk.arrive("GULL");
        }
    }

    @Test
    void a_file_reads_back_and_a_damaged_one_is_told_by_its_line() throws IOException {
        ObservedAnswer odd =
                new ObservedAnswer(
                        "a | b\n", "p.Slot@\u202ex", "", "mock", 1, 2, java.util.Optional.of(3));
        ObservedUse use = new ObservedUse("Title | of\nit", List.of(odd, odd));
        Path file = ObservedFiles.newFile(temp);
        ObservedFiles.write(file, use);
        ObservedUse read = ObservedFiles.read(temp).get(0);
        assertEquals(use.text(), read.text());
        assertTrue(read.isOf("Title | of\nit"));
        assertEquals(2, read.answers().get(0).runs());
        assertEquals(4, read.answers().get(0).made());
        for (String bad : List.of("", "x", "a | b | c | d | 1 | 1", "a | b | c | d | 1 | x | -")) {
            Files.writeString(file, use.text() + bad + "\n");
            String told =
                    assertThrows(IllegalArgumentException.class, () -> ObservedFiles.read(temp))
                            .getMessage();
            assertTrue(told.startsWith(file + ":4 is no line of what was observed"), told);
        }
        Files.writeString(file, "something else\n");
        assertThrows(IllegalArgumentException.class, () -> ObservedFiles.read(file));
    }

    /** One fork: runs tests, and writes what their rigs said, summed by itself. */
    public static void main(String[] args) throws IOException {
        Sample.random = new Random(Long.parseLong(args[0]));
        var results = ExtensionTest.run(Sample.class);
        if (!ExtensionTest.failures(results).isEmpty()) {
            throw new IllegalStateException(ExtensionTest.failures(results).toString());
        }
        Map<String, List<Integer>> summed = new TreeMap<>();
        for (Map.Entry<String, RigUsage> each : Sample.SEEN) {
            for (RigUsage.Line line : each.getValue().lines()) {
                add(
                        summed,
                        each.getKey()
                                + " "
                                + line.seat().slot().text()
                                + " "
                                + line.seat().within().orElse(""),
                        List.of(line.made() > 0 ? 1 : 0, line.made(), line.calls().orElse(0)));
            }
        }
        Files.write(
                Path.of(args[1]),
                summed.entrySet().stream()
                        .map(
                                each ->
                                        each.getKey()
                                                + "\t"
                                                + each.getValue().stream()
                                                        .map(String::valueOf)
                                                        .collect(Collectors.joining("\t")))
                        .toList());
    }

    @Harbor(PORT)
    @Execution(ExecutionMode.CONCURRENT)
    static class Sample {
        static Random random = new Random(0);
        static final ConcurrentLinkedQueue<Map.Entry<String, RigUsage>> SEEN =
                new ConcurrentLinkedQueue<>();

        @UnderProfile("dock-test")
        @RepeatedTest(5)
        void at_the_dock(Rig rig) {
            use(rig);
        }

        @UnderProfile("winter")
        @RepeatedTest(3)
        void in_winter(Rig rig) {
            use(rig);
        }

        private static void use(Rig rig) {
            for (int i = 0; i < random.nextInt(6); i++) {
                switch (random.nextInt(5)) {
                    case 0 -> rig.get(ArrivalDesk.class).arrive("GULL");
                    case 1 -> rig.get(CardTerminal.class).charge(100);
                    case 2 -> rig.get(PilotPager.class).page("Ada", "GULL");
                    case 3 -> rig.get(BerthClerk.class);
                    default -> rig.get(NightDesk.class);
                }
            }
            SEEN.add(Map.entry(rig.profile(), rig.usage()));
        }
    }
}
