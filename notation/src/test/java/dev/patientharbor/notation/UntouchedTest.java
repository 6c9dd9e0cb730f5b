package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a plan holds that reaches outside: what is bound by itself, and what consumers do. */
class UntouchedTest {

    private static final String AROUND =
            """
            import java.io.*; import java.net.http.*; import java.security.*; import java.time.*; import java.util.*;
            import java.util.function.*; import java.util.prefs.*; import javax.sql.*;
            interface Gauge { double level(); }
            class Sonar implements Gauge { public double level() { return System.nanoTime(); } }
            class Loud implements Gauge { public double level() { System.out.println("level"); return 2; } }
            class Still implements Gauge { public double level() { return 2; } }
            class Uploader { void send() throws Exception { new java.net.Socket("quay", 1); } }
            class Base { private final HttpClient kept; Base(HttpClient kept) { this.kept = kept; } void call() throws Exception { kept.send(null, null); } }
            class Made {
                static Clock fixed() { return Clock.fixed(Instant.EPOCH, ZoneOffset.UTC); }
                static Clock running() { return Clock.systemUTC(); }
                static DataSource pool() { return null; }
                static PrintStream quiet() { return new PrintStream(OutputStream.nullOutputStream()); }
            }
            """;

    /**
     * The body of the consumer Desk, what is bound, what may not be reached, and who reaches it.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            textBlock =
                    """
                    HttpClient c; Desk(HttpClient c) { this.c = c; } void go() throws Exception { c.send(null, null); } | java.net.http.HttpClient: { factory: "java.net.http.HttpClient#newHttpClient" } | network | HttpClient
                    HttpClient c; Desk(HttpClient c) { this.c = c; } void go() throws Exception { c.send(null, null); } | java.net.http.HttpClient: mock | network | ``
                    Desk(Optional<HttpClient> c) throws Exception { c.get().send(null, null); } | java.net.http.HttpClient: mock | network | ``
                    Desk(Supplier<HttpClient> c) throws Exception { c.get().send(null, null); } | java.net.http.HttpClient: mock | network | ``
                    @jakarta.inject.Inject HttpClient c; void go() throws Exception { c.send(null, null); } | java.net.http.HttpClient: mock | network | ``
                    Desk(HttpClient c) throws Exception { HttpClient.newHttpClient().send(null, null); } | java.net.http.HttpClient: mock | network | Desk
                    Desk(HttpClient c) throws Exception { c.send(null, null); } void go() throws Exception { HttpClient.newHttpClient().send(null, null); } | java.net.http.HttpClient: mock | network | Desk
                    void go() throws Exception { new java.net.Socket("quay", 1); } |  | network | Desk
                    Desk(Uploader u) throws Exception { u.send(); } | Uploader: Uploader | network | Uploader
                    Desk(Uploader u) throws Exception { u.send(); } | Uploader: mock | network | ``
                    File f; Desk(File f) { this.f = f; } void go() { f.delete(); } | java.io.File: { class: java.io.File, with: [log] } | files | File
                    void go() { new File("log").delete(); } |  | files | Desk
                    Desk(DataSource d) throws Exception { d.getConnection(); } | javax.sql.DataSource: { factory: "Made#pool" } | database | Made
                    Desk(DataSource d) throws Exception { d.getConnection(); } | javax.sql.DataSource: mock | database | ``
                    Desk(ProcessBuilder p) throws Exception { p.start(); } | ProcessBuilder: { class: ProcessBuilder, constructor: ["List<String>"], with: [[ls]] } | process | ProcessBuilder
                    Desk(Clock c) { c.millis(); } | java.time.Clock: { factory: "java.time.Clock#systemUTC" } | clock | Clock
                    Desk(Clock c) { c.millis(); } | java.time.Clock: { factory: "Made#running" } | clock | Made
                    Desk(Clock c) { c.millis(); } | java.time.Clock: { factory: "Made#fixed" } | clock | ``
                    Desk(Clock c) { c.millis(); } | java.time.Clock: mock | clock | ``
                    Desk(Random r) { r.nextInt(); } | java.util.Random: { class: java.util.Random, constructor: [] } | randomness | Random
                    Desk(Random r) { r.nextInt(); } | java.util.Random: { class: java.util.Random, with: [7] } | randomness | ``
                    Desk(SecureRandom r) { r.nextInt(); } | java.security.SecureRandom: { class: java.security.SecureRandom, constructor: [] } | randomness | SecureRandom
                    void go() { new Random().nextInt(); } |  | randomness | Desk
                    Desk(Preferences p) { p.get("a", ""); } | java.util.prefs.Preferences: { factory: "java.util.prefs.Preferences#userRoot" } | environment | Preferences
                    Desk(Locale l) { l.getCountry(); } | java.util.Locale: { factory: "java.util.Locale#getDefault" } | environment | ``
                    Desk(Console c) { c.readLine(); } | java.io.Console: { factory: "System#console" } | console | System
                    Desk(PrintStream p) { p.println(); } | java.io.PrintStream: { factory: "Made#quiet" } | console | ``
                    Desk(Runtime r) { r.load("wire"); } | Runtime: { factory: "Runtime#getRuntime" } | native-code | Runtime
                    Desk(Gauge g) { g.level(); } | Gauge: Sonar | clock | Sonar
                    Desk(Gauge g) { g.level(); } | Gauge: { fake: Loud } | console | Loud
                    Desk(Gauge g) { g.level(); } | Gauge: { stub: Still } | console | ``
                    Desk(Gauge g) { g.level(); } | Gauge: mock | clock | ``
                    Desk(Gauge g) { new Sonar().level(); } | Gauge: mock | clock | Desk
                    """)
    void is_told_of_what_does_it(String body, String binding, String kind, String expected) {
        Situation it =
                Situation.of(
                        AROUND + "class Desk {\n" + body + "\n}\n",
                        """
                        entry: [Desk]
                        profiles:
                          test:
                            rules: { untouched: [KIND] }
                            bindings: { BINDING }
                        """
                                .replace("KIND", kind)
                                .replace("BINDING", binding == null ? "" : binding));
        assertEquals(expected, String.join(" ", touching(it)));
        // What the rule says, the roster says too.
        TreeSet<String> listed = new TreeSet<>();
        it.verdict()
                .touches()
                .forEach(
                        (maker, touches) ->
                                touches.stream()
                                        .filter(touch -> touch.kind().word().equals(kind))
                                        .forEach(
                                                touch ->
                                                        listed.add(
                                                                maker.replaceAll(
                                                                        "#.*|.*\\.", ""))));
        assertEquals(expected, String.join(" ", listed));
    }

    @Test
    void what_a_class_makes_and_hands_to_its_superclass_is_its_own() {
        Situation it =
                Situation.of(
                        AROUND
                                + "class Desk extends Base { Desk(Gauge g) {"
                                + " super(HttpClient.newHttpClient()); } }class Asking extends Base"
                                + " { Asking(HttpClient c) { super(c); } }",
                        """
                        entry: [Desk, Asking]
                        profiles:
                          test:
                            rules: { untouched: [network] }
                            bindings: { Gauge: mock, java.net.http.HttpClient: mock }
                        """);
        assertEquals(Set.of("p.Desk"), it.verdict().touches().keySet());
        assertEquals("[Desk]", touching(it).toString());
    }

    private static TreeSet<String> touching(Situation it) {
        TreeSet<String> found = new TreeSet<>();
        it.verdict().allFindings().stream()
                .filter(finding -> finding.kind().id().equals("rule-broken"))
                .forEach(
                        finding ->
                                found.add(finding.message().replaceAll("(#\\w+)? touches .*", "")));
        return found;
    }
}
