package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.notation.HandWiringDraft;
import dev.patientharbor.notation.ProfileDrafts;
import dev.patientharbor.survey.HandOver;
import dev.patientharbor.testing.JavaCode;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Profiles that are read from methods which wire by hand. */
class HandWiringTest {

    private static final Path PORT = Path.of("../examples/target/classes");

    private static final String PARTS =
            """
            package quay;
            public interface Horn { void blow(); }
            package quay;
            public class BrassHorn implements Horn { public void blow() {} }
            package quay;
            public class SteamHorn implements Horn {
                public SteamHorn(int bar) {} public void blow() {} }
            package quay;
            public class Echo implements Horn { public Echo(Horn of) {} public void blow() {} }
            package quay;
            public class Desk { public Desk(Horn horn) {} public void setBell(Horn bell) {} }
            package quay;
            public class Tower { public Tower(Horn horn) {} }
            package quay;
            public class Fleet { public Fleet(java.util.List<Horn> horns) {} }
            package quay;
            public class Signals { public Signals(java.util.Map<String, Horn> horns) {} }
            package quay;
            public enum Tide { EBB, FLOOD }
            package quay;
            public class Table {
                public Table(Tide tide, java.time.Duration every, boolean open, java.util.List<Integer> feet,
                        java.nio.file.Path file) {} }
            package quay;
            public class Hall { public Hall(Table table) {} }
            package quay;
            public class Horns {
                public static Horn loud() { return new BrassHorn(); } }
            package quay;
            public class DeskMaker {
                private Horn horn = new BrassHorn();
                public DeskMaker with(Horn other) { horn = other; return this; }
                public Desk make() { return new Desk(horn); } }
            package quay;
            public class Late { public Late(java.util.function.Supplier<Horn> horn) {} }
            package quay;
            public class Maybe { public Maybe(java.util.Optional<Horn> horn) {} }
            package quay;
            """;

    /** A wiring, what the draft says, and how much of it is understood and the same. */
    private static Arguments wiring(
            String body, String parts, int handOvers, int understood, String... says) {
        return Arguments.of(body, parts, handOvers, understood, List.of(says));
    }

    static Stream<Arguments> wirings() {
        return Stream.of(
                wiring("new Desk(new BrassHorn());", "", 1, 1, "Horn: BrassHorn"),
                wiring(
                        "Horn one = new BrassHorn(); new Desk(one); new Tower(one);",
                        "",
                        2,
                        2,
                        "Horn: BrassHorn"),
                wiring(
                        "new Desk(new BrassHorn()); new Tower(new BrassHorn());",
                        "",
                        2,
                        2,
                        "Horn: {class: BrassHorn, lifetime: fresh}"),
                wiring(
                        "new Desk(new BrassHorn()); new Tower(new SteamHorn(6));",
                        "",
                        3,
                        3,
                        "Horn: BrassHorn",
                        "Tower:\n"
                                + "        bindings:\n"
                                + "          Horn: {class: SteamHorn, with: {bar: 6}}"),
                wiring(
                        "new Desk(new Echo(new Echo(new BrassHorn())));",
                        "",
                        3,
                        3,
                        "Horn: [Echo, Echo]"),
                wiring(
                        "Horn raw = new BrassHorn(); new Desk(new Echo(raw)); new Tower(raw);",
                        "",
                        3,
                        3,
                        "Horn: BrassHorn",
                        "Desk:\n        bindings:\n          Horn: Echo"),
                wiring(
                        "List<Horn> all = new ArrayList<>(); all.add(new SteamHorn(2)); all.add(new"
                                + " BrassHorn()); all.add(new SteamHorn(3)); new Fleet(all);",
                        "",
                        3,
                        3,
                        "List<Horn>: {members: [Horn@SteamHorn, BrassHorn, Horn@SteamHorn-2]}"),
                wiring(
                        "Map<String, Horn> all = new HashMap<>(); all.put(\"east\", new"
                            + " BrassHorn()); all.put(\"west\", new Echo(new SteamHorn(4))); new"
                            + " Signals(all);",
                        "",
                        3,
                        3,
                        "Horn@east: BrassHorn",
                        "Horn@west: [Echo]"),
                wiring(
                        "new Hall(new Table(Tide.FLOOD, Duration.ofMinutes(2), true, List.of(3, 4),"
                                + " Path.of(\"a\", \"b.txt\")));",
                        "",
                        6,
                        6,
                        "tide: FLOOD",
                        "every: PT2M",
                        "open: true",
                        "feet: [3, 4]",
                        "file: a/b.txt"),
                wiring(
                        "new Tower(new SteamHorn(Integer.parseInt(System.getProperty(\"horn.bar\","
                                + " \"7\"))));",
                        "",
                        2,
                        2,
                        "bar: \"${horn.bar:-7}\""),
                wiring("new Desk(Horns.loud());", "", 1, 1, "Horn: {factory: \"Horns#loud\"}"),
                wiring(
                        "new DeskMaker().with(new SteamHorn(9)).make();",
                        "",
                        2,
                        2,
                        "with: {bar: 9}",
                        "entry: [Desk]"),
                wiring("tower(horn());", "", 1, 1, "Horn: BrassHorn", "entry: [Tower]"),
                wiring(
                        "new Late(BrassHorn::new);",
                        "",
                        1,
                        1,
                        "Horn: {class: BrassHorn, lifetime: fresh}"),
                wiring("new Maybe(Optional.empty());", "", 1, 1, "Horn: none"),
                wiring(
                        "for (int i = 0; i < 3; i++) { all.add(new SteamHorn(i)); } new"
                                + " Fleet(all);",
                        "static List<Horn> all = new ArrayList<>();",
                        4,
                        4,
                        "Horn@SteamHorn-3: {class: SteamHorn, with: {bar: 2}}"),
                wiring(
                        "new Tower(new SteamHorn(Integer.parseInt(\"101\", 2)));",
                        "",
                        2,
                        1,
                        "int: to-fill"),
                wiring(
                        "char sign = 'x'; boolean on = true; new Hall(new Table(Tide.EBB,"
                            + " Duration.ofDays(1), on, List.of(), Path.of(\"a\" + sign + on)));",
                        "",
                        6,
                        6,
                        "file: axtrue"),
                wiring(
                        "List<Horn> all = new ArrayList<>(); all.add(new BrassHorn());"
                                + " List<Horn> before = List.copyOf(all); all.add(new BrassHorn());"
                                + " new Fleet(before);",
                        "",
                        1,
                        1,
                        "List<Horn>: {members: [BrassHorn]}"),
                wiring(
                        "List<Horn> all = new ArrayList<>(); all.add(new BrassHorn());"
                                + " all.forEach(Tower::new); new Fleet(all);",
                        "",
                        2,
                        2,
                        "entry: [Tower, Fleet]"),
                // What changes a collection in a way that is not followed is told.
                wiring(
                        "List<Horn> all = new ArrayList<>(); all.add(new BrassHorn());"
                                + " all.add(0, new SteamHorn(1)); new Fleet(all);",
                        "",
                        1,
                        0,
                        "to-fill"),
                wiring(
                        "List<Horn> all = new ArrayList<>(); Collections.addAll(all, new"
                                + " BrassHorn()); new Fleet(all);",
                        "",
                        1,
                        0,
                        "to-fill"),
                // What cannot be said, or not followed, is told with its line.
                wiring(
                        "new Desk(() -> {});",
                        "",
                        1,
                        0,
                        "a lambda, which no profile can name",
                        "Horn: to-fill"),
                wiring("new Desk(null);", "", 1, 0, "null", "Horn: to-fill"),
                wiring(
                        "new Desk((Horn) System.getProperties().get(1));",
                        "",
                        1,
                        0,
                        "what Properties.get returns",
                        "Horn: to-fill"),
                wiring(
                        "Desk desk = new Desk(new BrassHorn()); desk.setBell(new BrassHorn());",
                        "",
                        2,
                        1,
                        "Horn: BrassHorn"),
                wiring(
                        "new Desk(new Horn() { public void blow() {} });",
                        "",
                        1,
                        0,
                        "no name",
                        "Horn: to-fill"));
    }

    private static HandWiringDraft draft(String body, String parts) {
        Path code =
                JavaCode.compile(
                        PARTS
                                + "import java.util.*; import java.time.*; import"
                                + " java.nio.file.Path;\n"
                                + "public class Wiring { "
                                + parts
                                + " static Horn horn() { return new BrassHorn(); }"
                                + " static void tower(Horn horn) { new Tower(horn); }"
                                + " public static void main(String[] args) { "
                                + body
                                + " } }");
        return ProfileDrafts.from(List.of("."), code, "quay.Wiring#main");
    }

    @ParameterizedTest
    @MethodSource("wirings")
    void the_draft_wires_what_the_method_does_and_tells_what_it_cannot(
            String body, String parts, int handOvers, int understood, List<String> says) {
        HandWiringDraft draft = draft(body, parts);
        String text = draft.draft().text();
        List<HandOver> all = draft.handOvers().get("main");
        assertAll(
                Stream.concat(
                        says.stream().map(line -> () -> assertTrue(text.contains(line), text)),
                        Stream.of(
                                () -> assertEquals(handOvers, all.size(), all.toString()),
                                () ->
                                        assertEquals(
                                                understood,
                                                all.stream().filter(HandOver::isUnderstood).count(),
                                                all.toString()),
                                () -> assertTrue(draft.isSame(), all.toString()),
                                () -> assertEquals(List.of(), draft.draft().remarks()))));
    }

    @Test
    void each_way_through_branches_is_a_profile_named_after_what_is_compared() {
        String choose =
                """
                String mode = args.length > 0 ? args[0] : "";
                Horn horn;
                switch (mode) {
                    case "live": horn = new SteamHorn(8); break;
                    case "drill": horn = new Echo(new BrassHorn()); break;
                    default: horn = new BrassHorn();
                }
                new Desk(horn);
                new Tower(new BrassHorn());
                """;
        HandWiringDraft draft = draft(choose, "");
        assertEquals(
                List.of("drill", "live", "otherwise"),
                draft.handOvers().keySet().stream().sorted().toList(),
                draft.draft().text());
        assertTrue(draft.isSame(), draft.draft().text());
        assertTrue(draft.draft().text().contains("args[0] is live"), draft.draft().text());
    }

    @Test
    void the_main_of_the_port_and_of_the_office_are_understood_and_the_same() {
        Ran port =
                Ran.tool(
                        "draft",
                        "--code",
                        PORT.toString(),
                        "--from",
                        "gullwing.OpeningDay#main",
                        "--verify");
        assertEquals(0, port.code(), port.err());
        assertTrue(
                port.err()
                        .contains(
                                "main: 19 of 20 hand-overs are understood, and 19 of these are the"
                                        + " same"),
                port.err());
        assertTrue(port.err().contains("(terminal): not understood: a lambda"), port.err());
        assertTrue(port.out().contains("FeeSchedule: [NightSurcharge, HarbourLevy]"), port.out());
        assertTrue(port.out().contains("WeatherFeed: {same-as: WeatherFeed@coast}"), port.out());
        Ran office =
                Ran.tool(
                        "draft",
                        "--code",
                        PORT.toString(),
                        "--from",
                        "gullwing.office.FerryOffice#main");
        assertTrue(office.err().startsWith("the draft is complete\nmain: 12 of 12"), office.err());
    }

    @Test
    void what_cannot_be_read_is_said() {
        assertAll(
                Stream.of(
                                List.of(
                                        "gullwing.Nobody#main",
                                        "there is no class gullwing.Nobody"),
                                List.of("gullwing.OpeningDay#open", "has no method open"),
                                List.of("gullwing.quay.FeeBoard#show", "makes no object that asks"),
                                List.of(
                                        "gullwing.quay.ArrivalDesk",
                                        "has 2 of constructor, not one"))
                        .map(
                                each ->
                                        () -> {
                                            Ran ran =
                                                    Ran.tool(
                                                            "draft",
                                                            "--code",
                                                            PORT.toString(),
                                                            "--from",
                                                            each.get(0));
                                            assertEquals(2, ran.code(), ran.out());
                                            assertTrue(ran.err().contains(each.get(1)), ran.err());
                                        }));
        assertEquals(2, Ran.tool("draft", "--code", PORT.toString(), "--verify").code());
    }
}
