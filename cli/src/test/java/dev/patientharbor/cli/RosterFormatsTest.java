package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import dev.patientharbor.report.TextLayout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The roster as a matrix, as tables for programs and reviews, and what is shown of it. */
class RosterFormatsTest {

    private static final String PORT = "../examples/port.harbor.yaml";

    private static Ran roster(int width, String... more) {
        return Ran.tool(
                TextLayout.plain(width),
                Stream.concat(Stream.of("roster", PORT), Stream.of(more)).toArray(String[]::new));
    }

    private static List<NamedCsvRecord> csv(String... more) throws IOException {
        String[] line =
                Stream.concat(Stream.of("--format", "csv"), Stream.of(more)).toArray(String[]::new);
        try (CsvReader<NamedCsvRecord> reader =
                CsvReader.builder().ofNamedCsvRecord(roster(80, line).out())) {
            return reader.stream().toList();
        }
    }

    @Test
    void csv_has_what_json_has_line_by_line() throws IOException {
        List<NamedCsvRecord> rows = csv();
        JsonNode json = new ObjectMapper().readTree(roster(80, "--format", "json").out());
        int needs = 0;
        for (JsonNode profile : json.get("profiles")) {
            List<NamedCsvRecord> ofIt =
                    rows.stream()
                            .filter(
                                    row ->
                                            row.getField("profile")
                                                    .equals(profile.get("name").asText()))
                            .filter(row -> row.getField("member").isEmpty())
                            .toList();
            assertEquals(profile.get("needs").size(), ofIt.size());
            for (int i = 0; i < ofIt.size(); i++) {
                JsonNode need = profile.get("needs").get(i);
                for (String field :
                        List.of("consumer", "need", "place", "contract", "kind", "given")) {
                    assertEquals(need.get(field).asText(), ofIt.get(i).getField(field));
                }
                for (String field :
                        List.of(
                                "as",
                                "within",
                                "implementation",
                                "lifetime",
                                "instance",
                                "origin")) {
                    assertEquals(
                            need.get(field).asText("").replace("null", ""),
                            ofIt.get(i).getField(field));
                }
                needs++;
            }
        }
        assertTrue(needs > 120, needs + " needs");
        assertTrue(rows.stream().anyMatch(row -> row.getField("member").equals("2")));
    }

    @Test
    void what_is_equal_side_by_side_is_a_line_and_what_differs_starts_with_a_word() {
        String wide = roster(150, "--format", "matrix").out();
        assertTrue(
                wide.contains(
                        "    terminal  mock                      ──────────────────────── "
                                + " ────────────────────────  real BankCardTerminal\n"),
                wide);
        assertTrue(
                wide.contains(
                        "    fees      real TonnageFee           real TonnageFee +3        real"
                                + " TonnageFee +1        "),
                wide);
        assertTrue(wide.startsWith("Gullwing Ferry Port · 36 needs against 4 profiles\n"), wide);
    }

    @Test
    void profiles_that_have_no_room_stand_below_and_no_name_is_cut() {
        String narrow = roster(60, "--format", "matrix").out();
        assertTrue(narrow.lines().filter(line -> line.startsWith("    need")).count() > 1, narrow);
        for (String name :
                List.of(
                        "real CargoManifestReader",
                        "DigitalTicketMaker as TicketMaker@digital",
                        "rehearsal")) {
            assertTrue(narrow.contains(name), narrow);
        }
    }

    @Test
    void off_a_terminal_tables_stand_in_one_piece_and_wide_folds_no_line(@TempDir Path folder)
            throws IOException {
        for (String format : List.of("coverage", "matrix")) {
            String file = folder.resolve(format + ".txt").toString();
            roster(60, "--format", format, "--out", file);
            String out = Files.readString(Path.of(file));
            assertEquals(
                    1, Pattern.compile("(?m)^ +(slot|need) ").matcher(out).results().count(), out);
            assertTrue(
                    out.lines()
                            .anyMatch(line -> line.contains("dock-test") && line.contains("live")),
                    out);
        }
        String folded = roster(60).out();
        String wide = roster(60, "--wide").out();
        assertTrue(
                folded.lines()
                        .allMatch(line -> line.length() <= 60 || !line.strip().contains(" ")));
        assertTrue(wide.lines().anyMatch(line -> line.length() > 120), wide);
        assertTrue(wide.lines().noneMatch(line -> line.matches(" {18,}[^ @(].*")), wide);
    }

    @Test
    void markdown_is_one_table_of_all_profiles() {
        List<String> lines = roster(80, "--format", "markdown").out().lines().toList();
        assertEquals(
                "| consumer | need | asks for | dock-test | winter | rehearsal | live |",
                lines.get(2));
        assertEquals("| --- | --- | --- | --- | --- | --- | --- |", lines.get(3));
        assertTrue(
                lines.contains(
                        "| NightDesk | pager | PilotPager | mock | mock | mock | real"
                                + " BellPilotPager |"),
                lines.toString());
        assertEquals(4 + 36, lines.size());
    }

    @Test
    void rows_are_chosen_by_consumer_slot_kind_and_difference() throws IOException {
        assertEquals(
                List.of("ArrivalDesk", "NightDesk"),
                List.copyOf(
                        new TreeSet<>(
                                csv("--consumer", "*Desk", "--slot", "PilotRota").stream()
                                        .map(
                                                row ->
                                                        row.getField("consumer")
                                                                .replaceAll(".*\\.", ""))
                                        .toList())));
        assertEquals(
                List.of("coast", "estuary", "offshore"),
                List.copyOf(
                        new TreeSet<>(
                                csv("--slot", "WeatherFeed@*").stream()
                                        .map(row -> row.getField("key"))
                                        .toList())));
        assertTrue(
                csv("--kind", "mock").stream()
                        .allMatch(row -> row.getField("kind").equals("mock")));
        assertEquals(
                List.of("rehearsal"),
                List.copyOf(
                        new TreeSet<>(
                                csv("--consumer", "gullwing.works.NoticeRelay").stream()
                                        .map(row -> row.getField("profile"))
                                        .toList())));
        String matrix = roster(150, "--format", "matrix", "--differing").out();
        assertFalse(matrix.contains("    rota "), matrix);
        assertTrue(matrix.startsWith("Gullwing Ferry Port · 25 needs"), matrix);
        String text = roster(100, "--consumer", "FeeBooth").out();
        assertTrue(
                text.contains("34 needs, fingerprint")
                        && text.contains("FeeBooth · entry consumer"),
                text);
        assertFalse(text.contains("NightDesk"), text);
        assertTrue(csv("--profile", "winter", "--differing").isEmpty());
    }

    @Test
    void what_does_not_go_together_is_said() {
        assertAll(
                Stream.of(
                                List.of("--kind|toy", "--kind takes real, fake"),
                                List.of(
                                        "--format|json|--consumer|X",
                                        "do not go with --format json"),
                                List.of(
                                        "--format|csv|--touches",
                                        "--touches does not go with --format csv"),
                                List.of(
                                        "--format|tree|--differing",
                                        "do not go with --format tree"))
                        .map(
                                each ->
                                        () -> {
                                            Ran ran = roster(80, each.get(0).split("\\|"));
                                            assertEquals(2, ran.code(), ran.out());
                                            assertTrue(ran.err().contains(each.get(1)), ran.err());
                                        }));
    }

    @Test
    void a_tree_goes_as_deep_as_is_said_and_says_where_it_was_cut() {
        String[] tree = {
            "roster", "../examples/port.harbor.yaml", "--profile", "live", "--format", "tree"
        };
        String whole = Ran.tool(tree).out();
        List<String> args = new ArrayList<>(List.of(tree));
        args.addAll(List.of("--depth", "1"));
        String shallow = Ran.tool(args.toArray(String[]::new)).out();
        List<String> first =
                whole.lines()
                        .filter(line -> !line.matches("\\s+[2-9].*"))
                        .map(line -> line.replace(", unfolded above", "").strip())
                        .toList();
        assertEquals(
                first,
                shallow.lines().map(line -> line.replace(", more below", "").strip()).toList());
        assertTrue(
                shallow.contains("1 gauge TideGauge: real SonarTideGauge shared #3, more below"),
                shallow);
        args.set(args.size() - 1, "99");
        assertEquals(whole, Ran.tool(args.toArray(String[]::new)).out());
        args.set(args.size() - 1, "0");
        assertEquals(2, Ran.tool(args.toArray(String[]::new)).code());
        assertEquals(2, Ran.tool("roster", "../examples/port.harbor.yaml", "--depth", "2").code());
    }
}
