package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.finding.Finding;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a profile demands of itself and its heirs, and what it expects. */
class DemandsTest {

    private static final String PORT =
            """
            import jakarta.inject.*;
            import java.util.*;
            interface Pager {} class Bell implements Pager {} class Quiet implements Pager {}
            interface Fee {} class Tonnage implements Fee {} class Levy implements Fee { Levy(Fee inner) {} }
            class Night implements Fee { Night(Fee inner) {} }
            class Desk { Desk(Pager pager, Fee fee) {} }
            class Shed { Shed(Pager pager) {} }
            """;

    private static List<String> told(Situation it, String profile) {
        return it.verdict().profiles().stream()
                .filter(verdict -> verdict.name().equals(profile))
                .flatMap(verdict -> verdict.findings().stream())
                .map(finding -> finding.at().text() + ' ' + finding.message())
                .toList();
    }

    @Test
    void n77_and_decision_42_never_real_holds_for_every_key_and_level_used_or_not() {
        Situation it =
                Situation.of(
                        PORT,
                        """
                        entry: [Desk]
                        areas: { shed: { members: [Shed] } }
                        profiles:
                          base: { partial: true, bindings: { Fee: Tonnage, Pager: mock } }
                          test:
                            extends: base
                            rules: { never-real: [Pager] }
                          key: { extends: test, bindings: { Pager@night: Bell } }
                          area: { extends: test, within: { shed: { bindings: { Pager: Bell } } } }
                          fake: { extends: test, bindings: { Pager: { fake: Quiet } } }
                          plain: { extends: test, bindings: { Pager: Bell } }
                        """);
        assertEquals(List.of(), told(it, "test"));
        assertEquals(List.of(), told(it, "fake"));
        assertEquals(
                List.of(
                        "f:10:37 Pager@night must never be real in key, and it is Bell.",
                        "f:10:37 The binding of Pager@night to Bell is not reached by any entry"
                                + " consumer."),
                told(it, "key"));
        assertEquals(
                "f:11:56 Pager must never be real in area, and it is Bell.",
                told(it, "area").get(0));
        assertEquals(
                List.of("f:13:39 Pager must never be real in plain, and it is Bell."),
                told(it, "plain"));
    }

    @Test
    void rules_on_stand_ins_keys_layers_and_lifetimes_are_inherited_and_told_where_they_break() {
        Situation it =
                Situation.of(
                        PORT,
                        """
                        entry: [Desk]
                        profiles:
                          live:
                            rules:
                              stand-ins: forbidden
                              must-be-real: [Fee]
                              outermost: { Fee: Levy }
                              lifetimes: { Fee: shared }
                              keys: { Pager: [day, night] }
                            bindings: { Fee: Tonnage, Pager: Bell, Pager@day: Bell, Pager@night: { same-as: Pager@day } }
                            decorators: { Fee: [Levy] }
                          heir:
                            extends: live
                            bindings: { Fee: { class: Tonnage, lifetime: fresh }, Pager: mock, Pager@night: none }
                            decorators: { Fee: { outermost: [Night] } }
                          fake: { extends: live, bindings: { Fee: { fake: Tonnage } } }
                        """);
        assertEquals(
                List.of(),
                told(it, "live").stream().filter(line -> !line.contains("not reached")).toList());
        assertEquals(
                List.of(
                        "f:9:20 The outermost decorator of Fee must be Levy in heir, and it is"
                                + " Night.",
                        "f:11:28 heir must have Pager@night, and nothing fills it.",
                        "f:16:17 Fee must be shared in heir, and it is fresh.",
                        "f:16:59 Pager is a stand-in in heir, and it is mock."),
                told(it, "heir").stream().filter(line -> line.contains("heir")).toList());
        assertEquals(
                List.of(
                        "f:18:38 Fee must be real in fake, and it is Tonnage.",
                        "f:18:38 Fee is a stand-in in fake, and it is Tonnage."),
                told(it, "fake").stream().filter(line -> line.contains("in fake")).toList());
    }

    @Test
    void n77_rules_hold_for_what_stands_in_and_for_what_classes_fill_by_themselves() {
        Situation it =
                Situation.of(
                        """
                        import jakarta.inject.*;
                        interface Pager {}
                        @Singleton class Bell implements Pager {}
                        @Named("night") class Gong implements Pager {}
                        class Desk { Desk(Pager pager) {} }
                        """,
                        """
                        fill-in: [marked]
                        entry: [Desk]
                        profiles:
                          bare: { rules: { never-real: [Pager] } }
                          alias:
                            rules: { never-real: [Pager] }
                            bindings: { Pager: { same-as: Bell } }
                          twice:
                            rules: { never-real: [Pager] }
                            bindings: { Pager: { same-as: Pager@day }, Pager@day: Bell }
                          keys: { rules: { keys: { Pager: [night] } } }
                          lacks: { rules: { keys: { Pager: [day] } } }
                        """);
        assertEquals(
                List.of("p.Bell Pager must never be real in bare, and it is Bell."),
                told(it, "bare"));
        assertEquals(
                List.of("f:9:17 Pager must never be real in alias, and it is Bell."),
                told(it, "alias"));
        assertEquals(
                List.of("f:12:48 Pager@day must never be real in twice, and it is Bell."),
                told(it, "twice"));
        assertEquals(List.of(), told(it, "keys"));
        assertEquals(
                List.of("f:14:37 lacks must have Pager@day, and nothing fills it."),
                told(it, "lacks"));
    }

    @Test
    void decision_43_an_expectation_names_the_core_or_the_layers_too_and_is_not_inherited() {
        Situation it =
                Situation.of(
                                PORT
                                        + "class Hall { Hall(Optional<Fee> one, Fee two,"
                                        + " @Named(\"x\") Pager pager) {} }",
                                """
                                entry: [Desk, Hall]
                                profiles:
                                  test:
                                    bindings: { Fee: Tonnage, Pager: mock, Pager@x: Quiet }
                                    decorators: { Fee: [Night, Levy] }
                                    expect:
                                      Desk: { Fee: Tonnage, Pager: mock }
                                      Hall: { Fee: [Night, Levy, Tonnage], Pager@x: Quiet }
                                  heir: { extends: test, bindings: { Fee: mock } }
                                  wrong:
                                    extends: test
                                    bindings: { Pager: Bell }
                                    expect:
                                      Desk:
                                        Pager: Quiet             # <- broken-expectation
                                        Fee: [Levy, Tonnage]     # <- broken-expectation
                                      Hall:
                                        Pager: Quiet             # <- broken-expectation
                                      Dusk: { Fee: Tonnage }     # <- unknown-class
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of("expected: Quiet", "received: Bell (f:14:17)"),
                it.verdict().profiles().get(2).findings().get(0).details().stream()
                        .limit(2)
                        .map(detail -> detail.label() + ": " + detail.text())
                        .toList());
    }

    @Test
    void n64_what_is_wrong_with_the_words_of_rules_and_expectations_is_told() {
        Situation.of(
                        PORT,
                        """
                        entry: [Desk]
                        profiles:
                          test:
                            bindings: { Fee: Tonnage, Pager: mock }
                            rules:
                              stand-ins: welcome                     # <- malformed-file
                              never-rael: [Pager]                    # <- unknown-word
                              must-be-real: [Fee, Fea]               # <- unknown-class
                              outermost: { Fee: Levee }              # <- unknown-class
                              lifetimes: { Fee: forever }            # <- malformed-file
                            expect:
                              Desk:
                                Fee: []                              # <- malformed-file
                        """)
                .tellsWhatIsMarked();
    }

    @Test
    void section_8_a_child_tightens_a_rule_and_loosens_it_only_with_a_reason() {
        Situation it =
                Situation.of(
                        PORT,
                        """
                        entry: [Desk]
                        profiles:
                          base:
                            bindings: { Pager: mock, Fee: Tonnage }   # <- rule-broken
                            rules: { never-real: [Pager], lifetimes: { Fee: shared }, must-be-real: [Fee] }
                          drill:
                            extends: base
                            bindings: { Pager: Bell, Fee: { fake: Tonnage } }   # <- two-kinds
                            rules:
                              loosen: { never-real: { Pager: the crew knows }, must-be-real: { Fee: nobody pays } }
                          night: { extends: drill }
                          both: { extends: [base, drill], bindings: { Pager: Bell, Fee: Tonnage } }   # <- rule-broken, says-nothing-new
                          wrong:
                            extends: base
                            rules:
                              stand-ins: forbidden
                              loosen:
                                keys: { Pager: no night }      # <- nothing-to-change
                                stand-ins: my own              # <- nothing-to-change
                                never-real: { Pagr: typo }     # <- unknown-class
                                lifetimes: { Fee: }            # <- malformed-file
                                never-reel: { Pager: typo }    # <- unknown-word
                        """);
        assertEquals(
                List.of(
                        "drill loosens the rule must-be-real of Fee: nobody pays.",
                        "drill loosens the rule never-real of Pager: the crew knows."),
                it.verdict().profiles().get(1).findings().stream()
                        .filter(finding -> finding.kind().id().equals("rule-loosened"))
                        .map(finding -> finding.message())
                        .sorted()
                        .toList());
        it.tellsWhatIsMarked();
        assertEquals(
                List.of("must-be-real of Fee, never-real of Pager, lifetimes of Fee"),
                it.verdict().profiles().get(4).findings().stream()
                        .filter(finding -> finding.kind().id().equals("nothing-to-change"))
                        .map(finding -> finding.details().get(0).text())
                        .distinct()
                        .toList());
    }

    private static final String OUTSIDE =
            """
            interface Mail { void send(String to) throws Exception; }
            class Post implements Mail {
                public void send(String to) throws Exception { new Wire().go(to); }
            }
            class Wire { void go(String to) throws Exception { new java.net.Socket(to, 25); } }
            class Clocks { static Mail stamped() { System.nanoTime(); return new Paper(); } }
            class Paper implements Mail { public void send(String to) {} }
            class House implements Mail {
                public void send(String to) { Tower.call(to); }
            }
            class Tower { static void call(String to) {} }
            class Loud implements Mail {
                final Mail inner;
                Loud(Mail inner) { this.inner = inner; }
                public void send(String to) throws Exception { System.out.println(to); inner.send(to); }
            }
            class Desk {
                final Mail mail;
                Desk(Mail mail) { this.mail = mail; }
                void go() throws Exception { mail.send("x"); }
            }
            class Shed { Shed(Mail mail) {} void go() throws Exception { Mail own = new Post(); own.send("y"); } }
            """;

    @Test
    void untouched_is_broken_with_the_way_by_whatever_is_in_the_plan() {
        Situation it =
                Situation.of(
                        OUTSIDE,
                        """
                        entry: [Desk]
                        marks: { touches: { database: ["Tower#call"] } }
                        profiles:
                          base: { partial: true, rules: { untouched: [network, database, clock, console] } }
                          post: { extends: base, bindings: { Mail: Post } }
                          paper: { extends: base, bindings: { Mail: Paper } }
                          mock: { extends: base, bindings: { Mail: mock } }
                          made: { extends: base, bindings: { Mail: { factory: "Clocks#stamped" } } }
                          house: { extends: base, bindings: { Mail: House } }
                          loud: { extends: base, bindings: { Mail: Paper }, decorators: { Mail: [Loud] } }
                          free: { extends: post, rules: { loosen: { untouched: a rehearsal } } }
                        """);
        String where = " and nothing in ";
        assertEquals(List.of(), messages(it, "paper"));
        assertEquals(List.of(), messages(it, "mock"));
        assertEquals(
                List.of("Post touches the network," + where + "post may."), messages(it, "post"));
        assertEquals(
                List.of("Clocks#stamped touches the clock," + where + "made may."),
                messages(it, "made"));
        assertEquals(
                List.of("House touches a database," + where + "house may."), messages(it, "house"));
        assertEquals(
                List.of("Loud touches the console," + where + "loud may."), messages(it, "loud"));
        assertEquals(
                List.of("free loosens the rule untouched: a rehearsal."), messages(it, "free"));
        assertEquals(
                List.of("Post.send → Wire.go → Socket.new"),
                it.verdict().profiles().stream()
                        .filter(profile -> profile.name().equals("post"))
                        .flatMap(profile -> profile.findings().stream())
                        .flatMap(finding -> finding.details().stream())
                        .filter(detail -> detail.label().equals("way"))
                        .flatMap(detail -> detail.lines().stream())
                        .toList());
    }

    @Test
    void untouched_is_broken_by_what_a_consumer_makes_itself_whatever_the_profile_says() {
        Situation it =
                Situation.of(
                        OUTSIDE,
                        """
                        entry: [Shed]
                        profiles:
                          test: { bindings: { Mail: mock }, rules: { untouched: network } }
                          typo: { bindings: { Mail: mock }, rules: { untouched: [netwrk] } }
                        """);
        assertEquals(
                List.of("Shed touches the network, and nothing in test may."),
                messages(it, "test"));
        assertEquals(
                List.of("Nothing outside is called netwrk."),
                it.verdict().findings().stream()
                        .filter(finding -> finding.kind().id().equals("malformed-file"))
                        .map(Finding::message)
                        .toList());
    }

    private static List<String> messages(Situation it, String profile) {
        return told(it, profile).stream().map(text -> text.replaceAll("^\\S+ ", "")).toList();
    }
}
