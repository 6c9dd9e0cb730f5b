package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Profiles that see different code. */
class SidesTest {

    private static Path common;
    private static Path ship;
    private static Path shore;
    @TempDir private static Path bare;

    @BeforeAll
    static void compile() {
        String contracts =
                """
                package p;
                interface Ledger {} interface Radio {}
                class Clerk { Clerk(Ledger ledger) {} }
                """;
        common = JavaCode.compile(contracts);
        ship =
                JavaCode.compile(
                        contracts
                                + """
                                class Relayed implements Ledger { Relayed(Radio radio) {} }
                                class Both implements Radio {}
                                class Mate { Mate(Radio radio) {} }
                                """);
        shore =
                JavaCode.compile(
                        contracts
                                + """
                                class Disk implements Ledger {}
                                class Both implements Ledger {}
                                """);
    }

    private static Verdict check(String yaml) {
        String text =
                "patient-harbor: 1\npackages: [p]\n"
                        + yaml.replace("COMMON", common.toString())
                                .replace("SHIP", ship.toString())
                                .replace("SHORE", shore.toString());
        ProfileSet file =
                ProfileFiles.parse(text.getBytes(StandardCharsets.UTF_8), "f", Path.of(""));
        return file.check(Situation.TODAY);
    }

    private static List<String> told(Verdict verdict, String profile) {
        return verdict.profiles().stream()
                .filter(each -> each.name().equals(profile))
                .flatMap(each -> each.findings().stream())
                .map(finding -> finding.kind().id() + ": " + finding.message())
                .toList();
    }

    private static String detail(Verdict verdict, String label) {
        return verdict.allFindings().stream()
                .map(Finding::details)
                .flatMap(List::stream)
                .filter(detail -> detail.label().equals(label))
                .map(detail -> detail.text())
                .findFirst()
                .orElse("none");
    }

    @Test
    void n51_each_side_is_whole_by_itself_with_the_same_consumer() {
        Verdict verdict =
                check(
                        """
                        code: [COMMON]
                        entry: [Clerk]
                        profiles:
                          ship: { code: [SHIP], bindings: { Ledger: Relayed, Radio: mock } }
                          shore: { code: [SHORE], bindings: { Ledger: Disk } }
                        """);
        assertEquals(List.of(), verdict.allFindings());
        assertEquals(2, verdict.roster("ship").rows().size());
        assertEquals(
                "p.Disk",
                verdict.roster("shore").rows().get(0).answer().implementation().orElseThrow());
    }

    @Test
    void n51_what_one_side_lacks_is_found_although_the_other_has_it() {
        Verdict verdict =
                check(
                        """
                        code: [COMMON]
                        entry: [Clerk]
                        profiles:
                          ship: { code: [SHIP], bindings: { Ledger: Relayed, Radio: mock } }
                          shore: { code: [SHORE] }
                        """);
        assertEquals(
                List.of(
                        "unmet-need: Clerk asks for Ledger (constructor parameter 1, ledger), and"
                                + " nothing supplies it."),
                told(verdict, "shore"));
        assertEquals("bound in another profile: ship", detail(verdict, "reason"));
        assertEquals(List.of(), told(verdict, "ship"));
    }

    @Test
    void n52_a_class_of_another_side_is_named_as_not_present_here() {
        Verdict verdict =
                check(
                        """
                        code: [COMMON]
                        entry: [Clerk]
                        profiles:
                          ship: { code: [SHIP], bindings: { Ledger: Relayed, Radio: mock } }
                          shore: { code: [SHORE], bindings: { Ledger: Relayed } }
                        """);
        assertEquals(
                List.of("unknown-class: The class Relayed is not present on this side."),
                told(verdict, "shore"));
        assertEquals("ship", detail(verdict, "it is there for"));
    }

    @Test
    void what_a_parent_says_is_told_where_it_holds_and_is_not_there() {
        Verdict verdict =
                check(
                        """
                        code: [COMMON]
                        entry: [Clerk, Mate]
                        profiles:
                          base: { partial: true, bindings: { Ledger: Relayed, Radio: Radiant } }
                          ship: { extends: base, code: [SHIP] }
                          shore: { extends: base, code: [SHORE] }
                          settled: { extends: shore, bindings: { Ledger: Disk } }
                        """);
        assertEquals(
                List.of("unknown-class: No class Radiant is on the code path."),
                told(verdict, "base"),
                "no side has it");
        assertEquals(
                List.of("unknown-class: The class Relayed is not present on this side."),
                told(verdict, "shore"));
        assertEquals(List.of(), told(verdict, "settled"));
        assertEquals(List.of(), told(verdict, "ship"));
    }

    @Test
    void a_profile_without_code_sees_what_its_parents_see_and_one_with_code_what_it_says() {
        Verdict verdict =
                check(
                        """
                        code: [COMMON]
                        entry: [Clerk]
                        profiles:
                          ship: { partial: true, code: [SHIP] }
                          shore: { partial: true, code: [SHORE] }
                          mate: { extends: ship, bindings: { Ledger: Relayed, Radio: mock } }
                          both: { extends: [ship, shore], bindings: { Ledger: Disk, Radio: Relayed } }
                          ashore: { extends: mate, code: [SHORE], bindings: { Ledger: Disk, Radio: removed } }
                          lost: { extends: mate, code: [SHORE] }
                        """);
        assertEquals(List.of(), told(verdict, "mate"));
        assertEquals(
                List.of("does-not-fit: The class Relayed is no Radio, so it cannot fill Radio."),
                told(verdict, "both"));
        assertEquals(List.of(), told(verdict, "ashore"));
        assertEquals(
                List.of("unknown-class: The class Relayed is not present on this side."),
                told(verdict, "lost"));
    }

    @Test
    void a_class_of_one_name_may_be_another_one_on_each_side() {
        Verdict verdict =
                check(
                        """
                        entry: [Clerk]
                        profiles:
                          ship: { code: [COMMON, SHIP], bindings: { Ledger: Both } }
                          shore: { code: [COMMON, SHORE], bindings: { Ledger: Both } }
                        """);
        assertEquals(
                List.of("does-not-fit: The class Both is no Ledger, so it cannot fill Ledger."),
                told(verdict, "ship"));
        assertEquals(List.of(), told(verdict, "shore"));
    }

    @Test
    void n27_a_contract_that_this_side_does_not_have_is_named_with_its_side() {
        Verdict verdict =
                check(
                        """
                        entry: [Clerk]
                        profiles:
                          ship: { code: [SHIP], bindings: { Ledger: Relayed, Radio: Both } }
                          shore: { code: [SHORE], bindings: { Ledger: Disk, Mate: mock } }
                        """);
        assertEquals(
                List.of("unknown-class: The class Mate is not present on this side."),
                told(verdict, "shore"));
        assertThrows(IllegalArgumentException.class, () -> verdict.roster("quay"));
    }

    @Test
    void a_profile_of_which_nothing_is_checked_is_not_complete() {
        String profiles =
                """
                profiles:
                  ship: { code: [SHIP], bindings: { Radio: mock } }
                  shore: { code: [SHORE], bindings: { Ledger: Disk } }
                  bare: { code: [BARE], bindings: { Ledger: mock } }
                """
                        .replace("BARE", bare.toString());
        Verdict verdict = check("entry: [Mate]\n" + profiles);
        assertEquals(List.of(), told(verdict, "ship"));
        assertEquals(
                "nothing-to-check: None of the entry consumers is on this side.",
                told(verdict, "shore").get(0));
        assertEquals(
                List.of("nothing-to-check: There is no compiled code on this side."),
                told(verdict, "bare"));
        assertFalse(verdict.complete("bare"));
        assertEquals(
                List.of("unknown-entry"),
                check("entry: [Skipper]\n" + profiles).allFindings().stream()
                        .map(finding -> finding.kind().id())
                        .filter(finding -> !finding.equals("unused-binding"))
                        .toList(),
                "what no side has is told once");
    }

    @Test
    void what_a_checked_profile_lacks_is_told_although_a_child_on_another_side_has_it() {
        Verdict verdict =
                check(
                        """
                        entry: [Clerk]
                        profiles:
                          shore: { code: [SHORE], bindings: { Ledger: Relayed, Radio: mock } }
                          ship: { code: [SHIP], extends: shore }
                        """);
        assertEquals(
                List.of("unknown-class: The class Relayed is not present on this side."),
                told(verdict, "shore"));
        assertEquals(List.of(), told(verdict, "ship"), "and uses what shore does not");
    }

    @Test
    void a_place_that_one_side_lacks_is_told_although_another_side_has_it() {
        Verdict verdict =
                check(
                        """
                        code: [COMMON]
                        entry: [Clerk]
                        profiles:
                          ship: { code: [SHIP], bindings: { Ledger: Relayed, Radio: mock } }
                          shore: { code: [SHORE], within: { Mate: { bindings: { Ledger: Disk } } },
                              bindings: { Ledger: Disk } }
                        """);
        assertEquals(
                List.of("Mate is no area, and no class on the code path."),
                verdict.findings().stream().map(Finding::message).toList());
    }

    @Test
    void what_a_profile_of_another_side_binds_is_known() {
        Verdict verdict =
                check(
                        """
                        code: [COMMON]
                        entry: ["p.*"]
                        profiles:
                          ship: { code: [SHIP], bindings: { Ledger: Relayed, Radio: { stub: Both } } }
                          other: { code: [SHIP, SHORE], bindings: { Ledger: Disk, Radio: Both } }
                          shore: { code: [SHORE], bindings: { Ledger: Disk } }
                        """);
        assertEquals(
                List.of("two-kinds: Both is called real here, and stub at f:6."),
                told(verdict, "other").stream()
                        .map(line -> line.replaceAll("f:6:\\d+", "f:6"))
                        .toList());
        assertEquals(
                List.of("Clerk", "Mate"),
                verdict.roster("other").rows().stream()
                        .map(row -> verdict.shortName(row.consumer()))
                        .distinct()
                        .toList(),
                "Relayed is supplied on another side, and so no consumer");
    }

    /** What the profiles say of code, and what is then told of live, which binds a class of it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    COMMON, SHORE, TESTS       |            |            | 7 test-code, 8 test-code
                    COMMON, SHORE, TESTS       |            | test-code  | 7 test-code
                    COMMON, SHORE, TESTS       |            | TESTS      | 7 test-code
                    COMMON, SHORE              |            | TESTS      | 7 test-code
                    COMMON, SHORE, TESTS       | test-code  |            | ''
                    COMMON, SHORE, TESTS       | test-code  | test-code  | ''
                    COMMON, SHORE, TESTS, test-code |       |            | ''
                    COMMON, SHORE              |            | test-code  | 7 unknown-class, 8 unknown-class
                    """)
    void only_a_tests_profile_sees_code_of_the_tests(
            String all, String ofBase, String ofTest, String expected) throws IOException {
        Path tests = Files.createDirectories(JavaCode.newFolder().resolve("test-classes"));
        JavaCode.compileInto(
                tests,
                "package p; class Drill implements Ledger {} class Driver { Driver(Ledger ledger)"
                        + " {} }",
                "-cp",
                common.toString());
        String yaml =
                """
                code: [ALL]
                entry: ["p.*"]
                profiles:
                  base: { partial: true, BASE bindings: { Ledger: Disk } }
                  live: { extends: base, bindings: { Ledger: Drill } }
                  test: { extends: base, TEST bindings: { Ledger: { stub: Drill } } }
                """
                        .replace("ALL", all)
                        .replace("BASE", ofBase == null ? "" : "code: [" + ofBase + "],")
                        .replace("TEST ", ofTest == null ? "" : "code: [" + ofTest + "], ")
                        .replace("TESTS", tests.toString());
        TreeSet<String> told = new TreeSet<>();
        for (ProfileVerdict profile : check(yaml).profiles()) {
            for (Finding finding : profile.findings()) {
                if (finding.kind().breaksCompleteness()) {
                    told.add(
                            finding.at().match(in -> "" + in.line(), in -> "", in -> "")
                                    + " "
                                    + finding.kind().id());
                }
            }
        }
        assertEquals(expected, String.join(", ", told));
    }

    @Test
    void each_profile_is_answered_as_if_its_side_were_alone() {
        List<String> supplies =
                List.of("Disk", "Relayed", "Both", "mock", "{ stub: Both }", "none");
        List<String> code = List.of("[SHIP]", "[SHORE]", "[SHIP, SHORE]");
        Random random = new Random(1);
        for (int round = 0; round < 60; round++) {
            Map<String, String> profiles = new LinkedHashMap<>();
            Map<String, String> lineages = new HashMap<>();
            for (int i = 0; i < 4; i++) {
                String parent = i > 0 && random.nextBoolean() ? "p" + random.nextInt(i) : "";
                profiles.put(
                        "p" + i,
                        "  p%d: { extends: [%s], code: %s, bindings: { %s: %s } }\n"
                                .formatted(
                                        i,
                                        parent,
                                        code.get(random.nextInt(3)),
                                        random.nextBoolean() ? "Ledger" : "Radio",
                                        supplies.get(random.nextInt(6))));
                lineages.put(
                        "p" + i,
                        lineages.getOrDefault(parent, "")
                                + profiles.getOrDefault(parent, "")
                                        .replace(": { ext", ": { partial: true, ext"));
            }
            String head = "code: [COMMON]\nentry: [Clerk]\nprofiles:\n";
            Verdict together = check(head + String.join("", profiles.values()));
            profiles.forEach(
                    (name, alone) -> {
                        Verdict one = check(head + lineages.get(name) + alone);
                        assertEquals(
                                one.roster(name).fingerprint(),
                                together.roster(name).fingerprint(),
                                alone);
                        assertEquals(one.complete(name), together.complete(name), alone);
                    });
        }
    }
}
