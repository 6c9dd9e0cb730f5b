package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.explaining.ConsideredWord;
import dev.patientharbor.explaining.NeedExplanation;
import dev.patientharbor.explaining.ReceiverFinder;
import dev.patientharbor.explaining.ReceivingNeed;
import dev.patientharbor.explaining.SaidWord;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.profiles.Supplies;
import dev.patientharbor.report.FindingPages;
import gullwing.crane.CraneShed;
import gullwing.port.TideGauge;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Why somebody receives that, and who receives this. */
class ExplainTest {

    private static final Path PORT = Path.of("../examples/port.harbor.yaml");
    private static final Path CLASSES = Path.of("../examples/target/classes");

    @TempDir private Path folder;

    private static Ran explain(String... more) {
        return Ran.tool(
                Stream.concat(Stream.of("explain", PORT.toString()), Stream.of(more))
                        .toArray(String[]::new));
    }

    private static Verdict check(Path file) {
        return ProfileFiles.read(file).withCode(CLASSES).check(LocalDate.EPOCH);
    }

    @Test
    void every_level_and_profile_that_was_looked_at_is_named_with_why_it_won_or_lost() {
        String out = explain("CraneShed.gauge", "--profile", "winter").out();
        assertEquals(
                """
                :33:7 is a place in ../examples/port.harbor.yaml

                CraneShed (gauge) · TideGauge · constructor parameter 1
                  in winter
                    call meets    stub with canned answers
                    instance      shared by default, with ArrivalDesk, BridgeWatch, LockKeeper
                    looked at     the area crane, winter: removed · :72:28 · takes away what is said below it
                                  the area crane, dock-test: ReplayTideGauge · :54:28 · loses: winter says it anew
                                  whole profile, winter: canned answers · :65:7 · wins
                                  whole profile, dock-test: FixedTideGauge · :44:7 · loses: winter says it anew
                                  whole profile, base: SonarTideGauge · :21:7 · loses: dock-test says it anew

                """,
                out);
    }

    @Test
    void decorators_members_sharers_and_profiles_that_explain_alike_are_shown() {
        String fees = explain("FeeBooth.fees").out();
        assertTrue(
                fees.contains(
                        "  in rehearsal, live\n"
                                + "    call meets    HarbourLevy → real TonnageFee\n"
                                + "    around it     HarbourLevy · :37:21\n"),
                fees);
        String feeds = explain("ForecastDesk", "--profile", "live").out();
        assertTrue(feeds.contains("    member        @coast CachedFeed → real CoastFeed\n"), feeds);
        String outer = explain("LockKeeper.outer", "--profile", "dock-test").out();
        assertTrue(
                outer.contains(
                        "    looked at     LockKeeper alone: out of reach · :55:30 · outer looks"),
                outer);
        String rota = explain("NightDesk.rota", "--profile", "dock-test,live").out();
        assertTrue(rota.contains("  in dock-test, live\n"), rota);
        assertTrue(rota.contains("shared by default, with ArrivalDesk, CraneShed"), rota);
    }

    @Test
    void the_reverse_question_goes_as_deep_as_the_objects_do() {
        String out = explain("SonarStation").out();
        assertTrue(
                out.contains("  in dock-test, winter, rehearsal\n    directly      nobody\n"), out);
        assertTrue(
                out.contains(
                        "    directly      SonarTideGauge (sonar)\n"
                                + "    by 1 more     CraneShed (gauge), ArrivalDesk (gauge)"),
                out);
        assertTrue(explain("WeatherFeed@coast").out().contains("ForecastDesk (feeds)"));
        assertTrue(explain("HarbourLevy").out().contains("FeeBooth (fees)"));
        Roster live = check(PORT).roster("live");
        List<ReceivingNeed> deep =
                ReceiverFinder.ofImplementation(live, "gullwing.works.SonarStation");
        assertEquals(List.of(1, 2, 2, 2, 2, 2), deep.stream().map(ReceivingNeed::depth).toList());
    }

    @Test
    void what_nobody_is_called_is_said_with_names_that_are_near() {
        assertAll(
                Stream.of(
                                List.of("Nobody", "nothing in the profiles shown is called Nobody"),
                                List.of("Tide", "near: CraneShed.gauge|ReplayTideGauge|TideGauge"),
                                List.of("", "explain takes one subject"))
                        .map(
                                each ->
                                        () -> {
                                            Ran ran =
                                                    each.get(0).isEmpty()
                                                            ? explain()
                                                            : explain(each.get(0));
                                            assertEquals(2, ran.code());
                                            assertTrue(
                                                    Stream.of(
                                                                    each.get(1)
                                                                            .replace(
                                                                                    "near:"
                                                                                        + " CraneShed.gauge|",
                                                                                    "")
                                                                            .split("\\|"))
                                                            .allMatch(ran.err()::contains),
                                                    ran.err());
                                        }));
    }

    private static String key(RosterRow row) {
        return row.consumer() + ' ' + row.place().code() + ' ' + row.as() + ' ' + row.within();
    }

    private static Optional<NeedExplanation> find(Verdict verdict, NeedExplanation wanted) {
        return verdict.explain(wanted.profile()).stream()
                .filter(each -> key(each.row()).equals(key(wanted.row())))
                .findFirst();
    }

    /** The place of a word in the port's own file; none if it stands elsewhere, or with others. */
    private static Optional<Integer> ownLine(Optional<SourcePosition> word, List<String> lines) {
        return word.flatMap(
                        at ->
                                at.<Optional<int[]>>match(
                                        in ->
                                                in.path().endsWith("port.harbor.yaml")
                                                        ? Optional.of(
                                                                new int[] {
                                                                    in.line() - 1, in.column() - 1
                                                                })
                                                        : Optional.empty(),
                                        in -> Optional.empty(),
                                        in -> Optional.empty()))
                .filter(place -> lines.get(place[0]).substring(0, place[1]).isBlank())
                .filter(place -> !lines.get(place[0]).replaceAll("#.*", "").strip().endsWith(":"))
                .map(place -> place[0]);
    }

    @Test
    void without_the_winning_line_the_first_loser_wins() throws IOException {
        for (String name : List.of("quay.harbor.yaml", "port.properties")) {
            Files.copy(Path.of("../examples").resolve(name), folder.resolve(name));
        }
        List<String> lines = Files.readAllLines(PORT);
        Verdict before = check(PORT);
        int tried = 0;
        for (String profile : List.of("dock-test", "winter", "rehearsal", "live")) {
            for (NeedExplanation explained : before.explain(profile)) {
                Optional<Integer> line =
                        ownLine(explained.winner().flatMap(ConsideredWord::at), lines);
                if (line.isEmpty()) {
                    continue;
                }
                List<String> without = new ArrayList<>(lines);
                without.remove(line.get().intValue());
                Path file = Files.write(folder.resolve("port.harbor.yaml"), without);
                Optional<NeedExplanation> after = find(check(file), explained);
                if (after.isEmpty()) {
                    continue; // whoever asks is not there any more
                }
                tried++;
                Optional<String> expected =
                        explained
                                .firstLoser()
                                .map(word -> word.profile() + word.level() + word.word());
                Optional<String> found =
                        after.get()
                                .winner()
                                .filter(word -> !word.profile().isEmpty())
                                .map(word -> word.profile() + word.level() + word.word());
                assertEquals(expected, found, explained + "\n" + after.get());
            }
        }
        assertTrue(tried > 60, tried + " needs");
    }

    private static Map<String, String> decisions(Verdict verdict, String profile) {
        Map<String, String> all = new TreeMap<>();
        verdict.roster(profile)
                .rows()
                .forEach(row -> all.put(row.identity(), row.answer().decision()));
        return all;
    }

    @Test
    void a_word_of_a_profile_decides_where_the_roster_changes_without_it() throws IOException {
        for (String name : List.of("quay.harbor.yaml", "port.properties")) {
            Files.copy(Path.of("../examples").resolve(name), folder.resolve(name));
        }
        List<String> lines = Files.readAllLines(PORT);
        Verdict before = check(PORT);
        List<String> profiles = List.of("dock-test", "winter", "rehearsal", "live");
        Set<Boolean> seen = new TreeSet<>();
        int tried = 0;
        for (String profile : List.of("base", "dock-test", "winter", "rehearsal", "live")) {
            for (SaidWord said : before.explainProfile(profile).says()) {
                Optional<Integer> line = ownLine(Optional.of(said.at()), lines);
                if (line.isEmpty()) {
                    continue;
                }
                List<String> without = new ArrayList<>(lines);
                without.remove(line.get().intValue());
                Verdict after = check(Files.write(folder.resolve("port.harbor.yaml"), without));
                List<String> changed =
                        profiles.stream()
                                .filter(
                                        each ->
                                                !decisions(before, each)
                                                        .equals(decisions(after, each)))
                                .toList();
                assertEquals(List.copyOf(said.decides().keySet()), changed, said.toString());
                seen.add(changed.isEmpty());
                tried++;
            }
        }
        assertEquals(Set.of(true, false), seen);
        assertTrue(tried > 30, tried + " words");
    }

    @Test
    void a_profile_is_explained_with_what_it_extends_says_and_forbids() {
        assertEquals(
                """
                :33:7 is a place in ../examples/port.harbor.yaml

                live · a profile · :88:3
                  extends         base
                  extended by     nobody
                  says            RadioNotice: VhfRadioNotice · :91:7 · decides 2 needs here · without it
                                  VhfRadioNotice of base
                                  PilotPager: BellPilotPager · :92:7 · decides 1 need here · without it to-fill of
                                  base
                                  CardTerminal: BankCardTerminal · :93:7 · decides 1 need here · without it to-fill
                                  of base
                  rules           stand-ins: forbidden · :95:18
                                  keys: WeatherFeed [coast, estuary, offshore] · :96:15

                """,
                explain("live").out());
        assertTrue(
                explain("base")
                        .out()
                        .contains("  extended by     dock-test, winter, rehearsal, live\n"));
    }

    @Test
    void in_java_a_plan_explains_one_need_as_a_failed_assertion_shows_it() {
        NeedExplanation told =
                ProfileFiles.read(PORT)
                        .withCode(CLASSES)
                        .plan("rehearsal")
                        .swap(TideGauge.class, Supplies.mock())
                        .explain(CraneShed.class, "gauge");
        assertEquals(
                List.of("mock", "ReplayTideGauge", "SonarTideGauge"),
                told.considered().stream()
                        .filter(word -> !word.isNothing())
                        .map(ConsideredWord::word)
                        .toList());
        assertTrue(told.toString().contains("SonarTideGauge ../examples/port"), told.toString());
    }

    @Test
    void a_finding_is_explained_by_its_page_with_and_without_a_file() {
        for (Ran ran : List.of(Ran.tool("explain", "unmet-need"), explain("unmet-need"))) {
            assertTrue(
                    ran.out().startsWith("unmet-need · error · incomplete · A need that nothing"),
                    ran.out() + ran.err());
            assertTrue(ran.out().contains("\n    entry: [ArrivalDesk]\n"), ran.out());
        }
        for (FindingKind kind : FindingKinds.all()) {
            assertTrue(FindingPages.markdown(kind).length() > 40, kind.id());
        }
    }

    @Test
    void each_row_of_a_roster_is_explained_and_its_winner_is_its_origin() {
        Verdict verdict = check(PORT);
        for (String profile : List.of("dock-test", "winter", "rehearsal", "live")) {
            List<NeedExplanation> all = verdict.explain(profile);
            assertEquals(
                    verdict.roster(profile).rows(),
                    all.stream().map(NeedExplanation::row).toList());
            for (NeedExplanation each : all) {
                if (each.row().answer().origin().isPresent() && each.winner().isPresent()) {
                    assertEquals(
                            each.row().answer().origin(),
                            each.winner().get().at(),
                            each.toString());
                }
            }
        }
    }
}
