package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.testing.JavaCode;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What a profile makes of what it inherits: bindings, layers, parts, and parents that disagree. */
class ProfilesTest {

    private static final String FEES =
            """
            import jakarta.inject.*;
            interface Fee {}
            class Tonnage implements Fee {}
            class Flat implements Fee {}
            class Levy implements Fee { Levy(Fee inner) {} }
            class Night implements Fee { Night(Fee inner) {} }
            class Tally implements Fee { Tally(Book book, Fee inner, @Named("old") Fee former) {} }
            class Book {}
            interface Clock {}
            class Wall implements Clock {}
            class Booth { Booth(Fee fee) {} }
            class Hall { Hall(Fee fee) {} }
            class Shed { Shed(Clock clock) {} }
            """;

    @Test
    void n41_a_child_replaces_one_binding_and_keeps_the_rest_with_the_layers_on_it() {
        Situation it =
                Situation.of(
                                FEES,
                                """
                                entry: [Booth]
                                profiles:
                                  base: { bindings: { Fee: Tonnage }, decorators: { Fee: [Night, Levy] } }
                                  child: { extends: base, bindings: { Fee: { stub: Flat } } }
                                  grandchild: { extends: child, bindings: { Fee: mock } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("Night > Levy > real Tonnage", it.received("base", "Booth.fee"));
        assertEquals("Night > Levy > stub Flat", it.received("child", "Booth.fee"));
        assertEquals("Night > Levy > mock", it.received("grandchild", "Booth.fee"));
        assertEquals(
                List.of("Flat f:6", "Tonnage f:5"),
                it.row("grandchild", "Booth.fee").answer().hides().stream()
                        .map(
                                hidden ->
                                        hidden.supply()
                                                + " "
                                                + hidden.at().text().replaceAll(":\\d+$", ""))
                        .toList());
    }

    @Test
    void decision_20_drops_come_first_then_innermost_then_outermost_and_twice_is_legal() {
        Situation it =
                Situation.of(
                                FEES,
                                """
                                entry: [Booth]
                                profiles:
                                  base: { bindings: { Fee: Tonnage }, decorators: { Fee: [Night, Levy, Night] } }
                                  child:
                                    extends: base
                                    decorators: { Fee: { drop: [Night], innermost: [Night, Levy], outermost: [Levy] } }
                                  whole: { extends: base, decorators: { Fee: [Levy] } }
                                  none: { extends: base, decorators: { Fee: [] } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("Night > Levy > Night > real Tonnage", it.received("base", "Booth.fee"));
        assertEquals(
                "Levy > Levy > Night > Levy > real Tonnage", it.received("child", "Booth.fee"));
        assertEquals("Levy > real Tonnage", it.received("whole", "Booth.fee"));
        assertEquals("real Tonnage", it.received("none", "Booth.fee"));
    }

    @Test
    void decision_8_the_most_specific_of_several_parents_wins_and_real_disagreement_is_told_once() {
        Situation.of(
                        FEES,
                        """
                        entry: [Booth]
                        profiles:
                          base: { bindings: { Fee: Tonnage } }
                          a: { extends: base, bindings: { Fee: Flat } }
                          b: { extends: base }
                          fine: { extends: [b, a] }
                          c: { partial: true, bindings: { Fee: Flat } }
                          same: { extends: [a, c] }
                          d: { partial: true, bindings: { Fee: mock } }
                          unfinished: { partial: true, extends: [a, d] }
                          bad: { extends: [a, d] }            # <- parents-disagree
                          settled: { extends: bad, bindings: { Fee: Tonnage } }
                        """)
                .tellsWhatIsMarked();
        Situation layers =
                Situation.of(
                        FEES,
                        """
                        entry: [Booth]
                        profiles:
                          base: { bindings: { Fee: Tonnage } }
                          a: { extends: base, decorators: { Fee: [Levy] } }
                          b: { extends: base, decorators: { Fee: [Night] } }
                          both: { extends: [a, b] }            # <- parents-disagree
                          heir: { extends: both }
                          settled: { extends: [a, b], decorators: { Fee: [Night, Levy] } }
                        """);
        assertEquals(List.of("8 parents-disagree"), List.copyOf(layers.told()));
        assertFalse(layers.verdict().complete("heir"), "an heir inherits the disagreement");
        assertTrue(layers.verdict().complete("settled"));
        assertEquals("Levy > real Tonnage", layers.received("heir", "Booth.fee"));
    }

    @Test
    void decision_5_every_binding_must_be_buildable_but_only_reached_needs_are_followed() {
        Situation.of(
                        FEES
                                + "abstract class Half implements Fee {}"
                                + "class Deep implements Clock { Deep(Unbound u) {} }"
                                + "interface Unbound {}",
                        """
                        entry: [Booth]
                        profiles:
                          test:
                            bindings:
                              Fee: Tonnage
                              Clock: Deep            # <- unused-binding
                              Fee@x: Half            # <- cannot-be-built, unused-binding
                        """)
                .tellsWhatIsMarked();
    }

    @Test
    void decision_39_a_binding_is_unused_only_if_no_checked_heir_uses_it() {
        Situation.of(
                        FEES,
                        """
                        entry: [Booth]
                        profiles:
                          base:
                            partial: true
                            bindings:
                              Fee: Tonnage
                              Clock: Wall            # <- unused-binding
                              Fee@old: Flat
                          a: { extends: base }
                          b: { extends: base, decorators: { Fee: [Tally] } }
                        """)
                .tellsWhatIsMarked();
    }

    @Test
    void fingerprints_are_equal_for_equal_decisions_and_for_nothing_else() {
        Situation it =
                Situation.of(
                        FEES,
                        """
                        entry: [Booth]
                        profiles:
                          one: { bindings: { Fee: Tonnage } }
                          same: { bindings: { gullwing.Fee: Tonnage, Fee: Tonnage } }
                          heir: { extends: one }
                          fresh: { bindings: { Fee: { class: Tonnage, lifetime: fresh } } }
                          fake: { bindings: { Fee: { fake: Tonnage } } }
                          layer: { extends: one, decorators: { Fee: [Levy] } }
                        """);
        String print = it.verdict().roster("one").fingerprint();
        assertEquals(print, it.verdict().roster("same").fingerprint());
        assertEquals(print, it.verdict().roster("heir").fingerprint());
        for (String other : List.of("fresh", "fake", "layer")) {
            assertNotEquals(print, it.verdict().roster(other).fingerprint(), other);
        }
    }

    @Test
    void decision_9_a_binding_without_a_supply_changes_a_part_and_one_with_a_supply_replaces_all() {
        Situation it =
                Situation.of(
                        """
                        interface Radio {}
                        class Vhf implements Radio { Vhf(int channel, String sign) {} }
                        class Loud implements Radio { Loud(int channel, String sign) {} }
                        class Desk { Desk(Radio radio) {} }
                        """,
                        """
                        entry: [Desk]
                        areas: { crane: { members: [] } }
                        profiles:
                          base: { bindings: { Radio: { class: Vhf, with: { channel: 12, sign: GULL } } } }
                          value: { extends: base, bindings: { Radio: { with: { channel: 16 } } } }
                          lifetime: { extends: value, bindings: { Radio: { lifetime: fresh } } }
                          keep: { extends: base, bindings: { Radio: { class: Loud, keep: [with] } } }
                          replaced:
                            extends: base
                            bindings:
                              Radio: Loud                    # <- value-missing
                          wrong: { extends: base, bindings: { Radio: { with: { channel: x } } } }  # <- value-unfit
                          nothing:
                            bindings:
                              Radio: { lifetime: fresh }     # <- nothing-to-change
                          level:
                            extends: base
                            within:
                              crane: { bindings: { Radio: { lifetime: fresh } } }  # <- nothing-to-change
                        """);
        it.tellsWhatIsMarked();
        assertEquals("fresh by the binding", it.lifetime("lifetime", "Desk.radio"));
        assertEquals("real Vhf", it.received("lifetime", "Desk.radio"));
        assertEquals("real Loud", it.received("keep", "Desk.radio"));
    }

    @Test
    void n84_a_word_that_says_what_is_inherited_is_told_and_one_that_settles_or_narrows_is_not() {
        Situation it =
                Situation.of(
                        FEES,
                        """
                        entry: [Booth]
                        areas: { hall: { members: [Hall] } }
                        profiles:
                          base: { partial: true, bindings: { Fee: Tonnage }, decorators: { Fee: [Night, Levy] } }
                          flat: { partial: true, bindings: { Fee: Flat } }   # <- unused-binding
                          again: { extends: base, bindings: { Fee: Tonnage } }      # <- says-nothing-new
                          part: { extends: base, bindings: { Fee: { with: {} , lifetime: shared } } }
                          more: { extends: part, bindings: { Fee: { lifetime: shared } } }     # <- says-nothing-new
                          layers: { extends: base, decorators: { Fee: [Night, Levy] } }  # <- says-nothing-new
                          order: { extends: base, decorators: { Fee: [Levy, Night] } }
                          end: { extends: base, bindings: { Fee: { until: 2999-01-01 } } }
                          settled: { extends: [base, flat], bindings: { Fee: Tonnage } }
                          agreed: { extends: [again, base], bindings: { Fee: Tonnage } }      # <- says-nothing-new
                          kind: { extends: base, bindings: { Fee: { fake: Tonnage } } }   # <- two-kinds
                          narrow: { extends: base, within: { hall: { bindings: { Fee: { class: Tonnage } } } } }   # <- unused-binding
                        """);
        it.tellsWhatIsMarked();
        assertEquals(
                "again binds Fee to Tonnage, as it does without this line.",
                it.verdict().profiles().get(2).findings().get(0).message());
    }

    @Test
    void n49_a_small_profile_that_lacks_what_the_real_one_binds_is_named_with_where_it_is_bound() {
        Situation it =
                Situation.of(
                        FEES,
                        """
                        entry: [Booth, Hall, Shed]
                        profiles:
                          real: { bindings: { Fee: Tonnage, Clock: Wall } }
                          small: { bindings: { Fee: { stub: Flat } } }     # <- unmet-need
                          mocked: { bindings: { Fee: mock, Clock: mock } }
                        """);
        it.tellsWhatIsMarked();
        assertEquals("bound in another profile: real, mocked", it.detail("unmet-need", "reason"));
        assertEquals("small", it.verdict().profiles().get(1).name());
    }

    @Test
    void a_part_of_a_binding_settles_only_what_it_says_and_texts_are_not_two_values() {
        Situation it =
                Situation.of(
                        """
                        interface Gauge {} class Sonar implements Gauge { Sonar(String a, String b) {} Sonar(String a) {} Sonar() {} }
                        class Fixed implements Gauge {} class Layer implements Gauge { Layer(Gauge inner) {} }
                        class Desk { Desk(Gauge gauge) {} }
                        """,
                        """
                        entry: [Desk]
                        profiles:
                          a: { partial: true, bindings: { Gauge: Fixed } }
                          b: { partial: true, bindings: { Gauge: { class: Sonar, constructor: [] } } }
                          fresh: { partial: true, bindings: { Gauge: { class: Fixed, lifetime: fresh } } }
                          open: { extends: [a, b], bindings: { Gauge: { lifetime: fresh } } }   # <- parents-disagree
                          settled: { extends: [a, fresh], bindings: { Gauge: { lifetime: fresh } } }
                          whole: { extends: [a, b], bindings: { Gauge: { class: Fixed, lifetime: fresh } } }
                          one: { partial: true, bindings: { Gauge: { class: Sonar, with: { a: "1, b: 2" } } } }
                          two: { partial: true, bindings: { Gauge: { class: Sonar, with: { a: 1, b: 2 } } } }
                          texts: { extends: [one, two] }   # <- parents-disagree
                          spied: { partial: true, decorators: { Gauge: [spy] } }
                          layered: { partial: true, decorators: { Gauge: [Layer] } }
                          added:                           # <- parents-disagree
                            extends: [a, spied, layered]
                            decorators: { Gauge: { outermost: [Layer] } }
                          listed: { extends: [a, spied, layered], decorators: { Gauge: [Layer] } }
                        """);
        it.tellsWhatIsMarked();
    }

    @Test
    void whoever_is_in_a_circle_of_parents_or_extends_one_is_not_complete_however_tangled() {
        Path code = JavaCode.compile("package p;\n" + FEES);
        Random random = new Random(1);
        for (int graph = 0; graph < 700; graph++) {
            // All graphs of three profiles, and some of six.
            int n = graph < 512 ? 3 : 6;
            boolean[][] reach = new boolean[n][n];
            StringBuilder yaml = new StringBuilder("entry: [Book]\nprofiles:\n");
            for (int i = 0; i < n; i++) {
                List<String> parents = new ArrayList<>();
                for (int j = 0; j < n; j++) {
                    reach[i][j] = n == 3 ? (graph >> 3 * i + j & 1) == 1 : random.nextInt(5) == 0;
                    if (reach[i][j]) {
                        parents.add("p" + j);
                    }
                }
                yaml.append("  p" + i + ": { extends: [" + String.join(", ", parents) + "] }\n");
            }
            for (int by = 0; by < n; by++) {
                for (int i = 0; i < n; i++) {
                    for (int j = 0; j < n; j++) {
                        reach[i][j] |= reach[i][by] && reach[by][j];
                    }
                }
            }
            Situation it = Situation.of(code, yaml.toString());
            for (int i = 0; i < n; i++) {
                boolean meetsCircle = reach[i][i];
                for (int j = 0; j < n; j++) {
                    meetsCircle |= reach[i][j] && reach[j][j];
                }
                assertEquals(!meetsCircle, it.verdict().complete("p" + i), "p" + i + "\n" + yaml);
            }
        }
    }

    @Test
    void a_slot_that_fills_itself_in_one_profile_is_filled_by_what_another_one_binds() {
        Situation it =
                Situation.of(
                        """
                        class Crate<T> {}
                        class Oak<T> extends Crate<T> {}
                        class Hold { Hold(Crate<String> crate) {} }
                        """,
                        """
                        entry: [Hold]
                        profiles:
                          bare: {}
                          bound: { bindings: { Crate: Oak } }
                        """);
        assertEquals("real Crate", it.received("bare", "Hold.crate"));
        assertEquals("real Oak", it.received("bound", "Hold.crate"));
    }
}
