package dev.patientharbor.surveying;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.profiles.Surveys;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.testing.JavaCode;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What is told as hard-wired, and the nearest cases that are not. */
class HardWiredTest {

    private static final String AROUND =
            """
            package quay;
            public interface Horn { void blow(String why); }
            package quay;
            public class Brass implements Horn, AutoCloseable {
                public Brass() {}
                public Brass(Horn inner) {}
                public void blow(String why) {}
                public void polish() {}
                public void close() {}
            }
            package quay;
            public class Tin implements Horn { public void blow(String why) {} }
            package quay;
            public class Horns {
                public static final Horn HOUSE = new Brass();
                public static Horn house() { return HOUSE; }
                public static Horn any(boolean loud) { return loud ? new Brass() : new Tin(); }
                public Horn own() { return new Brass(); }
            }
            package quay;
            public enum Tone implements Horn {
                LOW, HIGH { public void blow(String why) {} };
                public void blow(String why) {}
            }
            package quay;
            public record Crate(Horn horn) implements Horn { public void blow(String why) {} }
            package quay;
            public interface Label { String getText(); int getSize(); }
            package quay;
            public class PlainLabel implements Label {
                public String getText() { return ""; }
                public int getSize() { return 0; }
            }
            package quay;
            public class Fog extends RuntimeException implements Horn { public void blow(String why) {} }
            package quay;
            public class Desk { protected final Horn horn; public Desk(Horn horn) { this.horn = horn; } }
            """;

    static List<Arguments> cases() {
        return List.of(
                told(
                        "a field",
                        "Horn horn = new Brass(); void go() { horn.blow(\"\"); }",
                        "constructor new Brass Horn Brass"),
                told(
                        "a constructor",
                        "final Horn horn; Job() { horn = new Brass(); } void go() {"
                                + " horn.blow(\"\"); }",
                        "constructor new Brass Horn Brass"),
                told(
                        "this(...)",
                        "Horn horn; Job() { this(new Brass()); } Job(Horn h) { horn = h; } void"
                                + " go() { horn.blow(\"\"); }",
                        "constructor new Brass Horn Brass"),
                extending(
                        "super(...)",
                        "Desk",
                        "Job() { super(new Brass()); }",
                        "constructor new Brass Horn Brass"),
                told(
                        "a method",
                        "void go() { new Brass().blow(\"\"); }",
                        "go new Brass Horn Brass"),
                told(
                        "a variable of the class's own type",
                        "void go() { Brass b = new Brass(); b.blow(\"\"); }",
                        "go new Brass Horn Brass"),
                told(
                        "a lambda",
                        "Runnable go() { return () -> new Brass().blow(\"\"); }",
                        "go new Brass Horn Brass"),
                told(
                        "what a lambda holds",
                        "Runnable go() { Horn h = new Brass(); return () -> h.blow(\"\"); }",
                        "go new Brass Horn Brass"),
                told(
                        "a method reference",
                        "java.util.function.Consumer<String> go() { return new Brass()::blow; }",
                        "go new Brass Horn Brass"),
                told(
                        "a constructor reference",
                        "void go() { java.util.function.Supplier<Horn> s = Brass::new;"
                                + " s.get().blow(\"\"); }",
                        "go new Brass Horn Brass"),
                told(
                        "a class without a name",
                        "Runnable go() { return new Runnable() { public void run() { new"
                                + " Brass().blow(\"\"); } }; }",
                        "run new Brass Horn Brass"),
                told(
                        "a helper of its own",
                        "void go() { help(new Brass()); } private void help(Horn h) { h.blow(\"\");"
                                + " }",
                        "go new Brass Horn Brass"),
                told(
                        "a maker of its own",
                        "private Horn make() { Horn h = new Brass(); return h; } void go() {"
                                + " make().blow(\"\"); }",
                        "make new Brass Horn Brass"),
                told(
                        "a list",
                        "final java.util.List<Horn> all = java.util.List.of(new Brass(), new"
                                + " Tin()); void go() { for (Horn h : all) h.blow(\"\"); }",
                        "constructor new Brass Horn Brass",
                        "constructor new Tin Horn Tin"),
                told(
                        "a list that is filled",
                        "final java.util.List<Horn> all = new java.util.ArrayList<>(); Job() {"
                            + " all.add(new Brass()); } void go() { all.forEach(h -> h.blow(\"\"));"
                            + " }",
                        "constructor new Brass Horn Brass"),
                told(
                        "a choice",
                        "void go(boolean b) { Horn h = b ? new Brass() : new Tin(); h.blow(\"\");"
                                + " }",
                        "go new Brass Horn Brass",
                        "go new Tin Horn Tin"),
                told(
                        "a static method",
                        "void go() { Horns.house().blow(\"\"); }",
                        "go Horns.house() Horn Brass"),
                told(
                        "a static method of several",
                        "void go() { Horns.any(true).blow(\"\"); }",
                        "go Horns.any() Horn ?"),
                told(
                        "a static field",
                        "void go() { Horns.HOUSE.blow(\"\"); }",
                        "go Horns.HOUSE Horn Brass"),
                told(
                        "services",
                        "void go() { for (Horn h : java.util.ServiceLoader.load(Horn.class))"
                                + " h.blow(\"\"); }",
                        "go ServiceLoader.load(Horn.class) Horn ?"),
                told(
                        "a class by its name",
                        "void go() throws Exception { ((Horn)"
                            + " Class.forName(\"quay.Brass\").getDeclaredConstructor().newInstance()).blow(\"\");"
                            + " }",
                        "go Class.forName(\"quay.Brass\") Horn Brass"),
                told(
                        "static state",
                        "static Horn horn = new Brass(); void go() { horn.blow(\"\"); }",
                        "static initializer new Brass Horn Brass"),
                told(
                        "a decorator of its own",
                        "void go() { new Brass(new Tin()).blow(\"\"); }",
                        "go new Brass Horn Brass"),
                fine(
                        "it is asked for",
                        "final Horn horn; Job(Horn horn) { this.horn = horn; } void go() {"
                                + " horn.blow(\"\"); }"),
                fine("a main", "public static void main(String[] a) { new Brass().blow(\"\"); }"),
                fine("a factory", "static Horn make() { return new Brass(); }"),
                fine(
                        "a factory that sets up",
                        "static Horn make() { Brass b = new Brass(); b.polish(); b.blow(\"set"
                                + " up\"); return b; }"),
                fine(
                        "a root that hands over",
                        "final Horn horn = new Brass(); final Desk desk = new Desk(horn);"),
                fine(
                        "a root that closes",
                        "final Brass horn = new Brass(); final Desk desk = new Desk(horn); void"
                                + " end() { horn.close(); }"),
                fine(
                        "a root that shows",
                        "final Horn horn = new Brass(); Horn horn() { return horn; }"),
                told(
                        "a record",
                        "void go() { new Crate(null).blow(\"\"); }",
                        "go new Crate Horn Crate"),
                fine("data", "int go() { return new PlainLabel().getSize(); }"),
                fine("an exception", "void go() { throw new Fog(); }"),
                told(
                        "a class of its own",
                        "private static class Own implements Horn { public void blow(String w) {} }"
                                + " void go() { new Own().blow(\"\"); }",
                        "go new Job.Own Horn Job$Own"),
                told(
                        "a record of its own",
                        "record Own(int times) implements Horn { public void blow(String w) {} }"
                                + " final Horn horn = new Own(1); void go() { horn.blow(\"\"); }",
                        "constructor new Job.Own Horn Job$Own"),
                told(
                        "a lambda of its own",
                        "void go() { Horn h = why -> {}; h.blow(\"\"); }",
                        "go a lambda Horn ?"),
                told(
                        "a lambda that is kept",
                        "static final Horn SILENT = why -> {}; void go() { SILENT.blow(\"\"); }",
                        "static initializer a lambda Horn ?"),
                told(
                        "a method as a horn",
                        "void go() { Horn h = System.out::println; h.blow(\"\"); }",
                        "go PrintStream::println Horn ?"),
                told(
                        "a horn without a name",
                        "void go() { Horn h = new Horn() { public void blow(String w) {} };"
                                + " h.blow(\"\"); }",
                        "go new Horn() { … } Horn Job$1"),
                told("a constant", "void go() { Tone.LOW.blow(\"\"); }", "go Tone.LOW Horn Tone"),
                told(
                        "a constant with a body",
                        "void go(Tone tone) { Tone.HIGH.blow(\"\"); }",
                        "go Tone.HIGH Horn Tone$1"),
                told(
                        "a constant of its own",
                        "private enum Own implements Horn { ONE; public void blow(String w) {} }"
                                + " void go() { Own.ONE.blow(\"\"); }",
                        "go Job.Own.ONE Horn Job$Own"),
                fine("a lambda that is handed on", "Desk go() { return new Desk(why -> {}); }"),
                fine("a lambda that is returned", "Horn go() { return why -> {}; }"),
                fine(
                        "a lambda around what it asks for",
                        "final Horn horn; Job(Horn h) { horn = w -> h.blow(w + w); } void go() {"
                                + " horn.blow(\"\"); }"),
                fine(
                        "a class around what it asks for",
                        "final Horn horn; Job(Horn h) { horn = new Horn() { public void blow(String"
                                + " w) { h.blow(w + w); } }; } void go() { horn.blow(\"\"); }"),
                fine(
                        "what nobody asks for",
                        "interface Step { void run(int n); } void go() { Step s = n -> {};"
                                + " s.run(1); }"),
                fine("a constant that somebody passes", "void go(Tone tone) { tone.blow(\"\"); }"),
                fine(
                        "the JDK's collections",
                        "void go() { new java.util.ArrayList<String>().add(\"\"); }"),
                fine(
                        "an object's method",
                        "final Horns horns; Job(Horns h) { horns = h; } void go() {"
                                + " horns.own().blow(\"\"); }"));
    }

    private static Arguments told(String what, String body, String... places) {
        return extending(what, "Object", body, places);
    }

    private static Arguments extending(String what, String parent, String body, String... places) {
        return Arguments.of(what, parent, body, List.of(places));
    }

    private static Arguments fine(String what, String body) {
        return told(what, body);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void tells_what_no_profile_can_replace(
            String what, String parent, String body, List<String> places) {
        String job = "package quay;\npublic class Job extends " + parent + " {\n" + body + "\n}\n";
        Path code = JavaCode.compile(AROUND + job);
        Survey survey = Surveys.of(code);
        SurveyAgrees.withCheck(code, survey);
        List<HardWiring> found =
                survey.hardWired().stream()
                        .filter(wiring -> wiring.consumer().equals("quay.Job"))
                        .toList();
        assertEquals(places, found.stream().map(HardWiredTest::text).toList());
        found.forEach(wiring -> assertEquals(3, wiring.at().line()));
        assertEquals(List.of(), survey.findings());
    }

    private static String text(HardWiring wiring) {
        return String.join(
                " ",
                wiring.at().member(),
                wiring.source(),
                wiring.contract().replace("quay.", ""),
                wiring.implementation().orElse("?").replace("quay.", ""));
    }
}
