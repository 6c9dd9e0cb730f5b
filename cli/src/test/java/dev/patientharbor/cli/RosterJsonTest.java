package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The roster as other programs rely on it. */
class RosterJsonTest {

    private static final String PORT = "../examples/port.harbor.yaml";
    private static final List<String> ROW =
            List.of(
                    "consumer",
                    "need",
                    "place",
                    "as",
                    "within",
                    "contract",
                    "carrier",
                    "key",
                    "qualifier",
                    "kind",
                    "implementation",
                    "decorators",
                    "lifetime",
                    "lifetimeBy",
                    "instance",
                    "origin",
                    "given",
                    "around",
                    "filledBy",
                    "leftOut",
                    "fills",
                    "fillsWithin");

    private static JsonNode roster(String... more) throws IOException {
        List<String> args = new ArrayList<>(List.of("roster", PORT, "--format", "json"));
        args.addAll(List.of(more));
        return new ObjectMapper().readTree(Ran.tool(args.toArray(String[]::new)).out());
    }

    private static List<String> names(JsonNode object) {
        List<String> names = new ArrayList<>();
        object.fieldNames().forEachRemaining(names::add);
        return names;
    }

    @Test
    void decision_45_an_incomplete_file_ends_with_1_and_its_whole_json_is_printed()
            throws IOException {
        Ran ran = Ran.line("roster ../examples/broken.harbor.yaml --format json");
        assertEquals(1, ran.code());
        JsonNode whole = new ObjectMapper().readTree(ran.out());
        List<String> incomplete = new ArrayList<>();
        for (JsonNode profile : whole.get("profiles")) {
            if (profile.get("complete").isBoolean() && !profile.get("complete").asBoolean()) {
                incomplete.add(profile.get("name").asText());
                assertFalse(profile.get("needs").isEmpty(), profile.get("name").asText());
            }
        }
        assertTrue(
                incomplete.containsAll(List.of("gap", "circle", "rules")), incomplete.toString());
        Ran clean = Ran.line("roster ../examples/port.harbor.yaml --format json");
        assertEquals(0, clean.code(), clean.err());
        Ran noted = Ran.line("roster ../examples/port.harbor.yaml --fail-on note --format json");
        assertEquals(1, noted.code());
        assertEquals(clean.out(), noted.out(), "the threshold changes the exit code alone");
    }

    @Test
    void built_in_decorators_stand_by_their_words_with_what_they_were_told() throws IOException {
        Ran ran =
                Ran.line(
                        "roster ../examples/storm.harbor.yaml --profile storm-drill --format json");
        Map<String, String> around = new TreeMap<>();
        for (JsonNode need : new ObjectMapper().readTree(ran.out()).at("/profiles/0/needs")) {
            if (!need.get("decorators").isEmpty()) {
                List<String> each = new ArrayList<>();
                need.get("around").forEach(node -> each.add(node.get("decorator").asText()));
                around.put(need.get("contract").asText(), need.get("decorators") + " " + each);
            }
        }
        assertEquals(
                "[\"spy\",\"delay\"] [spy, delay 20ms]", around.get("gullwing.port.BerthLedger"));
        assertEquals(
                "[\"spy\",\"fail\"] [spy, fail every 3 with java.io.UncheckedIOException: no echo]",
                around.get("gullwing.port.TideGauge"));
    }

    @Test
    void decision_41_every_object_has_the_fields_that_the_page_promises_and_no_others()
            throws IOException {
        JsonNode roster = roster();
        assertEquals(
                List.of(
                        "patientHarborRoster",
                        "title",
                        "file",
                        "profiles",
                        "findings",
                        "suppressed"),
                names(roster));
        assertEquals(3, roster.get("patientHarborRoster").asInt());
        for (JsonNode profile : roster.get("profiles")) {
            assertEquals(
                    List.of(
                            "name",
                            "extends",
                            "partial",
                            "complete",
                            "fingerprint",
                            "needs",
                            "collections",
                            "passed",
                            "eager",
                            "findings",
                            "suppressed"),
                    names(profile));
            boolean partial = profile.get("partial").asBoolean();
            assertEquals(partial, profile.get("complete").isNull());
            assertEquals(partial, profile.get("needs").isEmpty());
            TreeSet<String> named = new TreeSet<>();
            for (JsonNode row : profile.get("needs")) {
                row(row, ROW, named);
            }
            List<String> told = new ArrayList<>();
            for (JsonNode node : profile.get("collections")) {
                assertEquals(List.of("collection", "members"), names(node));
                told.add(node.get("collection").asText());
                for (JsonNode member : node.get("members")) {
                    row(member, ROW.subList(ROW.indexOf("carrier"), ROW.size()), named);
                }
            }
            assertEquals(List.copyOf(named), told.stream().sorted().toList(), "each once");
        }
        String page = Files.readString(Path.of("../docs/roster.md"));
        ROW.forEach(field -> assertTrue(page.contains("`" + field + "`"), field));
    }

    private static void row(JsonNode row, List<String> ofAll, Set<String> collections) {
        List<String> fields = new ArrayList<>(ofAll);
        String kind = row.get("kind").asText();
        if (kind.equals("collection")) {
            fields.add("collection");
            collections.add(row.get("collection").asText());
        }
        assertEquals(fields, names(row));
        boolean nothing = Set.of("absent", "unmet", "collection").contains(kind);
        assertEquals(nothing, row.get("lifetime").isNull(), row.toString());
        assertEquals(nothing, row.get("instance").isNull(), row.toString());
        boolean canned = kind.equals("stub") && row.get("implementation").isNull();
        boolean named = canned || Set.of("real", "fake", "stub", "factory").contains(kind);
        assertEquals(named, canned || !row.get("implementation").isNull(), row.toString());
        assertEquals(kind.equals("factory"), row.get("implementation").asText().contains("#"));
        assertFalse(row.path("contract").asText().contains(" "));
    }

    @Test
    void rows_are_sorted_each_is_there_once_and_equal_labels_are_one_implementation()
            throws IOException {
        for (JsonNode profile : roster().get("profiles")) {
            List<String> order = new ArrayList<>();
            Map<String, Set<String>> byLabel = new HashMap<>();
            for (JsonNode row : profile.get("needs")) {
                String place = row.get("place").asText().replaceAll("\\b(\\d)\\b", "0$1");
                order.add(
                        String.join(
                                " ",
                                row.get("consumer").asText(),
                                place,
                                row.get("as").isNull() ? "" : row.get("as").asText(),
                                row.get("within").isNull() ? "" : row.get("within").asText()));
                byLabel.computeIfAbsent(row.get("instance").asText(), key -> new HashSet<>())
                        .add(row.get("implementation") + " " + row.get("decorators"));
            }
            List<String> sorted = new ArrayList<>(order);
            Collections.sort(sorted);
            assertEquals(sorted, order);
            assertEquals(order.size(), new HashSet<>(order).size());
            byLabel.remove("null");
            byLabel.forEach((label, what) -> assertEquals(1, what.size(), label + what));
        }
    }

    @Test
    void many_threads_and_other_orders_of_the_code_give_the_same_bytes(@TempDir Path temp)
            throws Exception {
        String expected = Ran.tool("roster", PORT, "--format", "json").out();
        ExecutorService pool = Executors.newFixedThreadPool(8);
        try {
            List<Callable<String>> runs =
                    Collections.nCopies(
                            24, () -> Ran.tool("roster", PORT, "--format", "json").out());
            for (Future<String> run : pool.invokeAll(runs)) {
                assertEquals(expected, run.get());
            }
        } finally {
            pool.shutdownNow();
        }
        Path classes = Path.of("../examples/target/classes");
        Path half = Files.createDirectories(temp.resolve("gullwing/quay"));
        try (var quay = Files.newDirectoryStream(classes.resolve("gullwing/quay"))) {
            for (Path file : quay) {
                Files.copy(file, half.resolve(file.getFileName()));
            }
        }
        for (String code : List.of(temp + "," + classes, classes + "," + temp)) {
            assertEquals(
                    expected,
                    Ran.tool("roster", PORT, "--format", "json", "--code", code).out(),
                    code);
        }
    }
}
