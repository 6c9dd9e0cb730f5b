package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.ChangeKind;
import dev.patientharbor.comparing.RosterComparison;
import dev.patientharbor.comparing.RowChange;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.RosterJson;
import dev.patientharbor.report.SavedRosters;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What differs between two profiles of the port, and what would if a line stood in one. */
class CompareTest {

    private static final Path CLASSES = Path.of("../examples/target/classes");
    private static final String PORT = "../examples/port.harbor.yaml";

    @TempDir private Path folder;

    private static Ran compare(String... more) {
        return Ran.tool(
                Stream.concat(Stream.of("compare", PORT), Stream.of(more)).toArray(String[]::new));
    }

    @Test
    void a_winter_night_differs_by_its_gauge_and_its_fees_and_the_rest_is_the_same() {
        Ran ran = compare("dock-test", "winter");
        assertEquals(0, ran.code(), ran.err());
        assertTrue(ran.out().startsWith("Gullwing Ferry Port · dock-test | winter\n"), ran.out());
        assertTrue(
                ran.out()
                        .contains(
                                "decorators\n"
                                        + "  FeeBoard (fees), FeeBooth (fees), TicketHall (fees) ·"
                                        + " FeeSchedule\n"
                                        + "    dock-test  real TonnageFee · shared ·"),
                ran.out());
        assertTrue(
                ran.out().contains("FeeTally → NightSurcharge → HarbourLevy → real TonnageFee"),
                ran.out());
        assertTrue(ran.out().endsWith("\n25 of 34 needs are answered alike.\n"), ran.out());
        assertEquals(1, compare("dock-test", "winter", "--fail-on-difference").code());
    }

    @Test
    void equal_profiles_are_said_to_be_so_with_exit_code_0() {
        Ran ran = compare("winter", "winter", "--fail-on-difference");
        assertEquals(0, ran.code());
        assertTrue(ran.out().endsWith("\nAll 34 needs are answered alike.\n"), ran.out());
    }

    @Test
    void only_kinds_shows_where_real_and_stand_in_change_places_and_counts_the_rest() {
        Ran ran = compare("dock-test", "winter", "--only", "kinds", "--fail-on-difference");
        assertEquals(0, ran.code(), ran.out());
        assertTrue(
                ran.out().contains("Of the others, 9 differ in another way than is shown."),
                ran.out());
        Ran live = compare("rehearsal", "live", "--only", "kinds", "--fail-on-difference");
        assertEquals(1, live.code());
        assertTrue(live.out().contains("rehearsal  mock"), live.out());
    }

    @Test
    void what_a_line_would_break_is_said_and_no_file_is_changed() throws IOException {
        byte[] before = Files.readAllBytes(Path.of(PORT));
        Ran ran = compare("live", "--with", "TideGauge: mock");
        assertTrue(
                ran.out()
                        .contains(
                                "what it breaks\n"
                                        + "  error rule-broken: TideGauge is a stand-in in live"),
                ran.out());
        assertTrue(
                ran.out().contains("felt by   ArrivalDesk, BridgeWatch, CraneShed, LockKeeper"),
                ran.out());
        assertEquals(new String(before), Files.readString(Path.of(PORT)));
        Ran nothing = compare("live", "--with", "PilotPager: BellPilotPager");
        assertTrue(nothing.out().contains("All 34 needs are answered alike."), nothing.out());
    }

    @Test
    void a_tried_line_does_what_the_same_line_does_in_a_copy_of_the_file() throws IOException {
        for (String name : List.of("quay.harbor.yaml", "port.properties")) {
            Files.copy(Path.of("../examples").resolve(name), folder.resolve(name));
        }
        Path classes = Path.of("../examples/target/classes");
        String text = Files.readString(Path.of(PORT));
        List<List<String>> lines =
                List.of(
                        List.of("base", "TideGauge: ReplayTideGauge", "TideGauge: SonarTideGauge"),
                        List.of(
                                "base",
                                "PilotRota: { class: SeasonPilotRota, lifetime: fresh }",
                                "PilotRota: SeasonPilotRota"),
                        List.of(
                                "rehearsal",
                                "CardTerminal: BankCardTerminal",
                                "      PilotPager: mock\n      CardTerminal: mock\n    within"),
                        List.of("base", "WeatherFeed@coast: none", "WeatherFeed@coast: CoastFeed"),
                        List.of(
                                "base",
                                "'WeatherFeed@coast': EstuaryFeed",
                                "WeatherFeed@coast: CoastFeed"));
        for (List<String> each : lines) {
            String old = each.get(2);
            String replaced =
                    old.contains("\n")
                            ? old.replace("CardTerminal: mock", each.get(1))
                            : each.get(1);
            assertTrue(text.contains(old), old);
            Path copy =
                    Files.writeString(
                            folder.resolve("copy.harbor.yaml"), text.replace(old, replaced));
            Path file = Files.writeString(folder.resolve("port.harbor.yaml"), text);
            ProfileSet written = ProfileFiles.read(copy).withCode(classes);
            ProfileSet tried =
                    ProfileFiles.readWith(file, each.get(0), List.of(each.get(1)))
                            .withCode(classes);
            assertEquals(fingerprints(written), fingerprints(tried), each.get(1));
            assertFalse(
                    fingerprints(tried)
                            .equals(fingerprints(ProfileFiles.read(file).withCode(classes))),
                    each.get(1));
        }
        // A value that stands on lines of its own is replaced as a whole.
        ProfileSet frozen =
                ProfileFiles.readWith(
                        Path.of(PORT), "winter", List.of("TideGauge: { stub: FixedTideGauge }"));
        assertEquals(List.of(), frozen.findings());
        assertEquals(
                "stub FixedTideGauge",
                frozen.roster("winter").of("ArrivalDesk").need("gauge").received());
    }

    @Test
    void inside_folder_holds_for_a_tried_line_too() {
        Ran open = compare("live", "--with", "TideGauge: mock");
        Ran inside = compare("live", "--with", "TideGauge: mock", "--inside-folder");
        assertEquals(open.out(), inside.out());
        ProfileSet outside =
                ProfileFiles.readInsideWith(
                        Path.of("../examples/first-day/office.harbor.yaml"),
                        "live",
                        List.of("Mailer: mock"));
        assertTrue(
                outside.findings().stream()
                        .anyMatch(finding -> finding.message().contains("outside")),
                outside.findings().toString());
    }

    @Test
    void an_answer_about_a_file_in_which_something_is_wrong_says_so() {
        String office = "../examples/first-day/office.harbor.yaml";
        for (String line :
                List.of(
                        "compare " + office + " live test --inside-folder",
                        "explain ../examples/broken.harbor.yaml ClockGauge")) {
            Ran ran = Ran.tool(line.split(" "));
            assertEquals(0, ran.code(), ran.err());
            assertTrue(ran.err().contains("there are findings"), line + ran.err());
        }
        assertEquals("", compare("dock-test", "winter").err());
    }

    private static List<String> fingerprints(ProfileSet set) {
        var verdict = set.check(LocalDate.EPOCH);
        return set.profiles().stream()
                .map(profile -> verdict.roster(profile).fingerprint())
                .toList();
    }

    @Test
    void in_java_a_comparison_reads_well_in_a_failed_assertion() {
        ProfileSet port = ProfileFiles.read(Path.of(PORT));
        RosterComparison comparison =
                RosterComparison.of(port.roster("dock-test"), port.roster("winter"));
        assertTrue(
                comparison
                        .toString()
                        .contains(
                                "\n  FeeBooth (fees): real TonnageFee | FeeBooth (fees): FeeTally →"
                                        + " NightSurcharge → HarbourLevy → real TonnageFee"),
                comparison.toString());
        Set<ChangeKind> kinds =
                comparison.changes().stream()
                        .flatMap(change -> change.kinds().stream())
                        .collect(Collectors.toCollection(() -> EnumSet.noneOf(ChangeKind.class)));
        assertEquals(
                EnumSet.of(
                        ChangeKind.ONLY_AFTER,
                        ChangeKind.CORE,
                        ChangeKind.DECORATORS,
                        ChangeKind.GIVEN,
                        ChangeKind.LIFETIME,
                        ChangeKind.SHARING),
                kinds);
        assertEquals(
                List.of(
                        "gullwing.quay.FeeBoard",
                        "gullwing.quay.FeeBooth",
                        "gullwing.quay.TicketHall"),
                List.copyOf(
                        comparison.only(ChangeKind.DECORATORS).changes().stream()
                                .map(RowChange::entries)
                                .flatMap(List::stream)
                                .collect(Collectors.toCollection(TreeSet::new))));
    }

    @Test
    void what_cannot_be_compared_is_said() {
        assertAll(
                Stream.of(
                                List.of("live", "takes two profiles, one and --with"),
                                List.of(
                                        "live|winter|rehearsal",
                                        "it was given live, winter, rehearsal"),
                                List.of(
                                        "live|winter|--with|TideGauge: mock",
                                        "takes two profiles, one and --with"),
                                List.of(
                                        "live|wintr",
                                        "there is no profile wintr; did you mean winter?"),
                                List.of(
                                        "live|--with|TideGauge",
                                        "TideGauge is no binding; write SLOT: SUPPLY"),
                                List.of(
                                        "nobody|--with|TideGauge: mock",
                                        "nobody is not written in this file"),
                                List.of(
                                        "live|winter|--only|cores",
                                        "--only takes kinds, not cores"))
                        .map(
                                each ->
                                        () -> {
                                            Ran ran = compare(each.get(0).split("\\|"));
                                            assertEquals(2, ran.code(), ran.out());
                                            assertTrue(ran.err().contains(each.get(1)), ran.err());
                                        }));
    }

    private static final List<String> FILES = List.of("port", "broken", "sides", "storm", "wreck");

    private static String told(Roster one, Roster other) {
        return RosterComparison.of(one, other).changes().stream()
                .map(each -> each + " " + each.kinds() + each.entries())
                .collect(Collectors.joining("\n"));
    }

    @Test
    void what_was_saved_is_read_back_as_it_was() {
        int rosters = 0;
        for (String name : FILES) {
            Path file = Path.of("../examples", name + ".harbor.yaml");
            Verdict now = ProfileFiles.read(file).withCode(CLASSES).check(LocalDate.EPOCH);
            SavedRosters saved = SavedRosters.read(RosterJson.render(now));
            assertEquals(now.rosters().keySet(), saved.rosters().keySet());
            assertEquals(now.title() + now.file(), saved.title() + saved.file());
            List<String> profiles = List.copyOf(now.rosters().keySet());
            for (String profile : profiles) {
                Roster before = saved.rosters().get(profile);
                assertEquals(now.roster(profile).fingerprint(), before.fingerprint());
                assertEquals(now.roster(profile).passed(), before.passed());
                assertTrue(RosterComparison.of(before, now.roster(profile)).isSame());
                assertEquals(
                        told(now.roster(profile), now.roster(profiles.get(0))),
                        told(before, saved.rosters().get(profiles.get(0))),
                        name + " " + profile);
                rosters++;
            }
        }
        assertTrue(rosters > 10, rosters + " rosters");
    }

    @Test
    void the_file_is_compared_with_what_was_saved_and_two_saved_ones_with_each_other()
            throws IOException {
        String before = folder.resolve("before.json").toString();
        String after = folder.resolve("after.json").toString();
        Ran.tool("roster", PORT, "--format", "json", "--out", before);
        Path changed = folder.resolve("port.harbor.yaml");
        for (String name : List.of("quay.harbor.yaml", "port.properties")) {
            Files.copy(Path.of("../examples").resolve(name), folder.resolve(name));
        }
        Files.writeString(
                changed,
                Files.readString(Path.of(PORT)).replace("{ factory: \"Clocks#wall\" }", "mock"));
        String[] codes = {"--code", CLASSES.toString()};
        Ran.tool(
                "roster",
                changed.toString(),
                codes[0],
                codes[1],
                "--format",
                "json",
                "--out",
                after);
        Ran same = Ran.tool("compare", PORT, before, "--fail-on-difference");
        assertEquals(0, same.code());
        assertTrue(
                same.out().contains("\n\nlive · All 34 needs are answered alike.\n"), same.out());
        for (Ran ran :
                List.of(
                        Ran.tool("compare", before, after, "--fail-on-difference"),
                        Ran.tool(
                                "compare",
                                changed.toString(),
                                before,
                                codes[0],
                                codes[1],
                                "--fail-on-difference"))) {
            assertEquals(1, ran.code(), ran.err());
            assertTrue(
                    ran.out().contains("winter · All 34 needs are answered alike.\n"), ran.out());
            assertTrue(ran.out().contains("factory Clocks#wall · shared"), ran.out());
        }
        String json = Files.readString(Path.of(before));
        List<String> unusable =
                List.of(
                        "",
                        "[]",
                        "{\"a\":1}",
                        json + "{}",
                        json.replaceFirst(" : 3", " : 2"),
                        json.replaceFirst("constructor:0", "nowhere:0"),
                        json.replaceFirst("\"kind\" : \"real\"", "\"kind\" : \"royal\""));
        for (String text : unusable) {
            Files.writeString(Path.of(after), text);
            Ran ran = Ran.tool("compare", before, after);
            assertEquals(2, ran.code(), ran.out());
            assertTrue(ran.err().startsWith("patient-harbor: " + after + ": it "), ran.err());
        }
        Random random = new Random(7);
        for (int i = 0; i < 300; i++) {
            int from = random.nextInt(json.length() - 50);
            String damaged =
                    json.substring(0, from) + json.substring(from + 1 + random.nextInt(40));
            try {
                SavedRosters.read(damaged);
            } catch (IllegalArgumentException told) {
                assertTrue(told.getMessage().startsWith("it is "), told.getMessage());
            }
        }
    }
}
