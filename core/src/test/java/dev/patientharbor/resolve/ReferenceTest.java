package dev.patientharbor.resolve;

import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.inherited.CodeSide;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.rosters.RosterMaker;
import dev.patientharbor.terms.Settings;
import dev.patientharbor.wiring.Wiring;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** The engine and a slow, plain reference agree on thousands of random worlds. */
class ReferenceTest {

    private static final int WORLDS = 4000;

    @Test
    void the_engine_hands_out_what_the_reference_says_on_thousands_of_random_worlds() {
        long first = Long.getLong("patientharbor.seed", 1);
        int rows = 0;
        for (long seed = first; seed < first + WORLDS; seed++) {
            World world = new World(seed);
            ResolvedSet set =
                    Resolver.resolve(
                                    world.set(),
                                    CodeSide.of(world.set(), world.places()),
                                    Settings.NONE)
                            .get(0);
            for (Wiring wiring : set.checked()) {
                String profile = wiring.profile().declared().name();
                TreeSet<String> expected = named(new Reference(world, profile).rows());
                TreeSet<String> engine = rows(RosterMaker.roster(set, wiring), world);
                TreeSet<String> actual = named(engine);
                TreeSet<String> lacks = new TreeSet<>(expected);
                lacks.removeAll(actual);
                TreeSet<String> more = new TreeSet<>(actual);
                more.removeAll(expected);
                assertTrue(
                        lacks.isEmpty() && more.isEmpty(),
                        "again with -Dpatientharbor.seed=%d, profile %s%nonly the reference: %s%nonly the engine: %s"
                                .formatted(seed, profile, lacks, more));
                rows += engine.size();
            }
        }
        assertTrue(rows > 40_000, "rows compared: " + rows);
    }

    private static TreeSet<String> rows(Roster roster, World world) {
        TreeSet<String> rows = new TreeSet<>();
        for (RosterRow row : roster.rows()) {
            rows.add(
                    row.consumer()
                            + " "
                            + row.place().index()
                            + " as "
                            + row.as()
                                    .map(
                                            slot ->
                                                    world.isSingle(row.consumer())
                                                            ? "one"
                                                            : slot.text())
                                    .orElse("entry")
                            + " within "
                            + row.within().orElse("")
                            + ": "
                            + text(row.answer()));
        }
        return rows;
    }

    private static String text(Answer answer) {
        return switch (answer.kind()) {
            case ABSENT -> "absent";
            case UNMET -> "unmet";
            case COLLECTION ->
                    "collection "
                            + answer.elements().stream()
                                    .map(
                                            element ->
                                                    element.key()
                                                                    .map(key -> "@" + key.text())
                                                                    .orElse("")
                                                            + " "
                                                            + text(element.answer()))
                                    .toList();
            default ->
                    answer.decorators().stream()
                                    .map(decorator -> decorator + " > ")
                                    .reduce("", String::concat)
                            + answer.kind().word()
                            + answer.implementation().map(decorator -> " " + decorator).orElse("")
                            + " is "
                            + answer.instance().orElseThrow();
        };
    }

    /** The rows with instances named in the order in which they come: who shares, not what with. */
    private static TreeSet<String> named(TreeSet<String> rows) {
        Map<String, String> names = new HashMap<>();
        TreeSet<String> sorted = new TreeSet<>();
        // Sorted without the instances first, so that both sides name them in one order.
        rows.stream()
                .sorted(java.util.Comparator.comparing(row -> row.replaceAll(" is [^ \\]]+", "")))
                .forEach(
                        row -> {
                            StringBuilder named = new StringBuilder();
                            java.util.regex.Matcher instance =
                                    java.util.regex.Pattern.compile(" is ([^ \\]]+)").matcher(row);
                            while (instance.find()) {
                                String label = instance.group(1).replaceAll(",$", "");
                                String name =
                                        names.computeIfAbsent(label, key -> "i" + names.size());
                                instance.appendReplacement(named, " is " + name);
                            }
                            sorted.add(instance.appendTail(named).toString());
                        });
        return sorted;
    }
}
