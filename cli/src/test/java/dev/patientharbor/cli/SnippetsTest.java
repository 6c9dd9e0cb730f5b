package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The snippets in the Javadoc of the door for Java compile, and run without a complaint. */
class SnippetsTest {

    private static final List<Path> SOURCES =
            Stream.of("core", "notation", "rig")
                    .map(it -> Path.of("..", it, "src/main/java"))
                    .toList();
    private static final Pattern SNIPPET =
            Pattern.compile("(?s)<pre>\\{@code\\n(.*?)\\n \\* }</pre>");
    private static final Pattern PAGE = Pattern.compile("(?s)```java\n(.*?)```");
    private static final String HEAD =
            """
            package snippets;
            import dev.patientharbor.check.*;
            import dev.patientharbor.comparing.*;
            import dev.patientharbor.explaining.*;
            import dev.patientharbor.finding.*;
            import dev.patientharbor.terms.*;
            import dev.patientharbor.notation.*;
            import dev.patientharbor.plan.*;
            import dev.patientharbor.profiles.*;
            import dev.patientharbor.rig.*;
            import dev.patientharbor.standins.*;
            import static dev.patientharbor.profiles.Supplies.*;
            import static dev.patientharbor.profiles.DecoratorDefinition.*;
            import static org.junit.jupiter.api.Assertions.*;
            import gullwing.crane.*;
            import gullwing.port.*;
            import gullwing.quay.*;
            import gullwing.trial.*;
            import gullwing.works.*;
            import java.nio.file.Path;
            import java.time.*;
            import java.util.*;
            public class Snippet implements Runnable { public void run() {
            """;

    /** A snippet, and the class at which it stands. */
    record Snippet(String name, String text) {
        @Override
        public String toString() {
            return name;
        }
    }

    static List<Snippet> snippets() throws IOException {
        List<Snippet> snippets = new ArrayList<>();
        for (Path source : SOURCES) {
            try (Stream<Path> files = Files.walk(source)) {
                for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                    Matcher snippet = SNIPPET.matcher(Files.readString(file));
                    while (snippet.find()) {
                        String text = snippet.group(1).replaceAll("(?m)^ \\* ?", "");
                        snippets.add(new Snippet(file.getFileName().toString(), text));
                    }
                }
            }
        }
        for (String page : List.of("docs/rigs.md")) {
            Matcher onPage = PAGE.matcher(Files.readString(Path.of("..", page)));
            while (onPage.find()) {
                snippets.add(new Snippet(page, onPage.group(1)));
            }
        }
        return snippets;
    }

    @Test
    void every_entry_point_has_one() throws IOException {
        List<String> with = snippets().stream().map(Snippet::name).toList();
        assertTrue(
                with.containsAll(
                        List.of(
                                "ProfileFiles.java",
                                "ProfileSet.java",
                                "Roster.java",
                                "SetDefinition.java",
                                "Verdict.java",
                                "ProfileDefinition.java",
                                "RulesDefinition.java",
                                "AnswersDefinition.java",
                                "SupplyDefinition.java",
                                "Supplies.java",
                                "DecoratorDefinition.java",
                                "Plan.java",
                                "Rig.java",
                                "docs/rigs.md")),
                with.toString());
    }

    @ParameterizedTest
    @MethodSource("snippets")
    void compiles_and_runs(Snippet snippet) throws Exception {
        Path folder = JavaCode.compile(HEAD + snippet.text() + "}}");
        URL[] places = {folder.toUri().toURL()};
        try (URLClassLoader loader = new URLClassLoader(places, getClass().getClassLoader())) {
            Class<?> type = loader.loadClass("snippets.Snippet");
            ((Runnable) type.getConstructor().newInstance()).run();
        }
    }
}
