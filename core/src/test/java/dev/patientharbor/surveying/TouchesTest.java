package dev.patientharbor.surveying;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.profiles.Surveys;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.testing.JavaCode;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What reaches outside, by which way; and the nearest cases that do not. */
class TouchesTest {

    private static final String AROUND =
            """
            package quay;
            public interface Horn { void blow(String why) throws Exception; }
            package quay;
            public class Disk {
                static { System.getenv("HOME"); }
                public void write(String text) throws Exception { deep(text); }
                private void deep(String text) throws Exception {
                    java.nio.file.Files.writeString(java.nio.file.Path.of("a"), text);
                }
                public static String pure(String text) { return text.trim(); }
                public native void wire();
            }
            package quay;
            public class Siren implements Horn {
                public static Horn house() { return new Siren(); }
                public void blow(String why) throws Exception { new java.net.Socket(why, 1); }
            }
            package quay;
            public abstract class Base implements Horn {
                protected void log(String text) { System.out.println(text); }
                protected abstract String ask() throws Exception;
            }
            """;

    static List<Arguments> cases() {
        return List.of(
                reaches(
                        "the network, at once",
                        "public void blow(String w) throws Exception { new java.net.Socket(w, 1);"
                                + " }",
                        "network Loud.blow java.net.Socket.new"),
                reaches(
                        "files, through other classes",
                        "Disk d = new Disk(); public void blow(String w) throws Exception {"
                                + " d.write(w); }",
                        "files Loud.blow Disk.write Disk.deep java.nio.file.Files.writeString",
                        "environment Loud.new Disk.<clinit> java.lang.System.getenv"),
                extending(
                        "the console, by what it inherits",
                        "Base",
                        "public void blow(String w) { log(w); } protected String ask() { return"
                                + " null; }",
                        "console Base.log java.lang.System.out"),
                reaches(
                        "the clock, in a lambda",
                        "public void blow(String w) { Runnable r = () -> java.time.Instant.now();"
                                + " r.run(); }",
                        "clock Loud.blow java.time.Instant.now"),
                reaches(
                        "the clock, by a reference",
                        "public void blow(String w) { java.util.function.LongSupplier s ="
                                + " System::nanoTime; s.getAsLong(); }",
                        "clock Loud.blow java.lang.System.nanoTime"),
                reaches(
                        "another thread's body",
                        "public void blow(String w) { new Thread(() -> { try {"
                                + " java.nio.file.Files.list(null); } catch (Exception e) {}"
                                + " }).start(); }",
                        "files Loud.blow java.nio.file.Files.list"),
                reaches(
                        "randomness, in a constructor",
                        "final java.util.Random r; Loud() { r = new java.util.Random(); } public"
                                + " void blow(String w) {}",
                        "randomness Loud.new java.util.Random.new"),
                reaches(
                        "a process",
                        "public void blow(String w) throws Exception {"
                                + " Runtime.getRuntime().exec(w); }",
                        "process Loud.blow java.lang.Runtime.exec"),
                reaches(
                        "a database",
                        "public void blow(String w) throws Exception {"
                                + " java.sql.DriverManager.getConnection(w).close(); }",
                        "database Loud.blow java.sql.DriverManager.getConnection"),
                reaches(
                        "native code of its own",
                        "public void blow(String w) { new Disk().wire(); }",
                        "environment Loud.blow Disk.<clinit> java.lang.System.getenv",
                        "native-code Loud.blow Disk.wire"),
                reaches(
                        "the shortest of two ways",
                        "public void blow(String w) throws Exception { new Disk().write(w);"
                                + " java.nio.file.Files.list(null); }",
                        "files Loud.blow java.nio.file.Files.list",
                        "environment Loud.blow Disk.<clinit> java.lang.System.getenv"),
                reaches(
                        "the network, by what it makes and calls through a contract",
                        "public void blow(String w) throws Exception { Horn h = new Siren();"
                                + " h.blow(w); }",
                        "network Loud.blow Siren.blow java.net.Socket.new"),
                reaches(
                        "the network, by what it fetches",
                        "public void blow(String w) throws Exception { Siren.house().blow(w); }",
                        "network Loud.blow Siren.blow java.net.Socket.new"),
                reaches(
                        "the clock, in a class of its own",
                        "static class Own implements Horn { public void blow(String w) {"
                            + " System.nanoTime(); } } public void blow(String w) throws Exception"
                            + " { Horn h = new Own(); h.blow(w); }",
                        "clock Loud.blow Loud$Own.blow java.lang.System.nanoTime"),
                reaches("nothing", "public void blow(String w) { w.trim(); Math.abs(1); }"),
                reaches(
                        "nothing by what only names a file",
                        "public void blow(String w) { java.nio.file.Path.of(w).resolve(w); new"
                                + " java.io.File(w).getName(); }"),
                reaches(
                        "nothing by a clock that is given",
                        "public void blow(String w) {"
                                + " java.time.Instant.now(java.time.Clock.fixed(null, null)); }"),
                reaches(
                        "nothing by a seed that is given",
                        "public void blow(String w) { new java.util.Random(7); }"),
                reaches(
                        "nothing through a contract",
                        "Horn h; Loud(Horn h) { this.h = h; } public void blow(String w) throws"
                                + " Exception { h.blow(w); }"),
                reaches(
                        "nothing through a class that it asks for",
                        "Disk d; Loud(Disk d) { this.d = d; } public void blow(String w) throws"
                                + " Exception { d.write(w); }"),
                reaches(
                        "nothing by a method that nobody calls",
                        "public void blow(String w) { Disk d = null; }"));
    }

    private static Arguments reaches(String what, String body, String... ways) {
        return Arguments.of(what, "implements Horn", body, List.of(ways));
    }

    private static Arguments extending(String what, String parent, String body, String... ways) {
        return Arguments.of(what, "extends " + parent, body, List.of(ways));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void finds_the_shortest_way_outside(
            String what, String parent, String body, List<String> ways) {
        Path code =
                JavaCode.compile(
                        AROUND
                                + "package quay;\npublic class Loud "
                                + parent
                                + " {\n"
                                + body
                                + "\n}\n");
        Survey survey = Surveys.of(code);
        SurveyAgrees.withCheck(code, survey);
        assertEquals(
                ways,
                survey.touchesOf("quay.Loud").stream()
                        .map(
                                touch ->
                                        touch.kind().word()
                                                + touch.way().stream()
                                                        .map(step -> step.replace("quay.", ""))
                                                        .collect(Collectors.joining(" ", " ", "")))
                        .toList());
    }
}
