package dev.patientharbor.code;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is read of class files only when it is asked for, and what several may see of it. */
class WantedTest {

    private static CodeRoot root(String name, Path path) {
        return new CodeRoot(new WrittenName(name, SourcePosition.startOf(name)), path);
    }

    @Test
    void a_constant_answer_is_one_that_a_method_returns_without_doing_anything_else() {
        Path classes =
                JavaCode.compile(
                        """
                        package p;
                        enum Zone { A, B; static final Zone FIRST = A; }
                        class Feed {
                            static final String TEXT = "constant";
                            String text() { return "coast"; }
                            String field() { return TEXT; }
                            int zero() { return 0; }
                            int minus() { return -1; }
                            int small() { return 100; }
                            int medium() { return 30000; }
                            int large() { return 70000; }
                            Integer boxed() { return 3; }
                            Zone constant() { return Zone.B; }
                            static String fixed() { return "static"; }
                            String joined() { return "a" + hashCode(); }
                            String chosen() { return hashCode() > 3 ? "a" : "b"; }
                            int computed() { return 3 + hashCode(); }
                            int argument(int more) { return 3; }
                            int variable() { int it = 3; return it; }
                            Object made() { return new Object(); }
                            int[] array() { return new int[3]; }
                            Zone other() { return Zone.FIRST; }
                            long wide() { return 3L; }
                            void nothing() {}
                        }
                        """);
        Set<String> methods =
                Set.of(
                        "text",
                        "field",
                        "zero",
                        "minus",
                        "small",
                        "medium",
                        "large",
                        "boxed",
                        "constant",
                        "fixed",
                        "joined",
                        "chosen",
                        "computed",
                        "argument",
                        "variable",
                        "made",
                        "array",
                        "other",
                        "wide",
                        "nothing");
        FactsRequest request =
                new FactsRequest(Set.of(), Set.of(), methods, false, Set.of(), Set.of());
        CodeIndex code = CodeReader.open(List.of(root("here", classes)), request).whole();
        Map<String, String> expected = new TreeMap<>();
        expected.put("text", "coast");
        expected.put("field", "constant");
        expected.put("zero", "0");
        expected.put("minus", "-1");
        expected.put("small", "100");
        expected.put("medium", "30000");
        expected.put("large", "70000");
        expected.put("boxed", "3");
        expected.put("constant", "B");
        expected.put("fixed", "static");
        expected.put("other", "no constant of the enum");
        Map<String, String> read = new TreeMap<>();
        code.find("p.Feed")
                .orElseThrow()
                .bodies()
                .constants()
                .forEach(
                        (method, constant) ->
                                read.put(
                                        method,
                                        constant.key(code).orElse("no constant of the enum")));
        assertEquals(expected, read);
        CodeIndex unasked =
                CodeReader.open(List.of(root("here", classes)), FactsRequest.NOTHING).whole();
        assertEquals(Map.of(), unasked.find("p.Feed").orElseThrow().bodies().constants());
    }

    @Test
    void every_method_is_read_of_contracts_and_of_named_classes_and_of_the_jdk_s_too() {
        Path classes =
                JavaCode.compile(
                        """
                        package p;
                        interface Gauge { double level(); void ring(String text) throws java.io.IOException; }
                        abstract class Half { int size() { return 1; } }
                        class Whole { int size() { return 1; } }
                        class Named { int size() { return 1; } }
                        """);
        CodeIndex code =
                CodeReader.open(
                                List.of(root("here", classes)),
                                new FactsRequest(
                                        Set.of("Named"),
                                        Set.of(),
                                        Set.of(),
                                        true,
                                        Set.of(),
                                        Set.of()))
                        .whole();
        assertEquals(
                List.of("level", "ring"),
                code.find("p.Gauge").orElseThrow().methods().stream()
                        .map(ExecutableFacts::name)
                        .toList());
        assertEquals(
                List.of("java.io.IOException"),
                code.find("p.Gauge").orElseThrow().methods().get(1).thrown());
        assertEquals(1, code.find("p.Half").orElseThrow().methods().size());
        assertEquals(0, code.find("p.Whole").orElseThrow().methods().size());
        assertEquals(1, code.find("p.Named").orElseThrow().methods().size());
        assertEquals(1, code.find("java.lang.Runnable").orElseThrow().methods().size());
    }

    @Test
    void a_place_that_is_named_twice_is_read_once_and_each_sees_what_it_names(@TempDir Path temp)
            throws IOException {
        Path path = JavaCode.compile("package p;\nclass One {}\n");
        Path two = JavaCode.compile("package p;\nclass Two {}\nclass Same { Same(int one) {} }\n");
        Path three = JavaCode.compile("package p;\nclass Same {}\n");
        Files.write(temp.resolve("Broken.class"), new byte[] {1, 2, 3});
        List<CodeRoot> roots =
                List.of(
                        root("a", path),
                        root("b", two),
                        root("c", two.resolve("../" + two.getFileName())),
                        root("d", three),
                        root("e", temp));
        CodePlaces places = CodeReader.open(roots, FactsRequest.NOTHING);
        CodeIndex left = places.only(List.of(roots.get(0).written(), roots.get(1).written()));
        CodeIndex right = places.only(List.of(roots.get(2).written()));
        CodeIndex other = places.only(List.of(roots.get(3).written()));
        assertEquals(3, left.size());
        assertEquals(2, right.size());
        assertSame(left.find("p.Two").orElseThrow(), right.find("p.Two").orElseThrow());
        assertNotSame(left.find("p.Same").orElseThrow(), other.find("p.Same").orElseThrow());
        assertSame(
                left.find("p.Same").orElseThrow(),
                places.whole().find("p.Same").orElseThrow(),
                "the first place wins");
        assertEquals(List.of(), places.findings(), "nobody looked at what is broken");
        assertEquals(3, places.lookedAt());
        places.readAll();
        assertEquals(
                List.of("unreadable-class"),
                places.findings().stream().map(finding -> finding.kind().id()).toList());
        assertEquals(List.of(), places.anew().findings(), "another check has not looked");
    }
}
