package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.spi.ToolProvider;
import org.junit.jupiter.api.Test;

/** The street is straight: who may use whom, among our packages and beyond them. */
class DependenciesTest {

    private static final String OURS = "dev.patientharbor.";

    /** What each of our packages may use; a word that is not needed any more fails too. */
    private static final String MAY_USE =
            """
            texts:
            files:
            finding: texts
            terms: finding texts
            code: files finding jars org.objectweb.asm terms
            jars: files
            bodies: org.objectweb.asm
            survey: finding texts
            surveying: bodies code finding survey terms types
            types: code terms
            model: finding survey terms
            names: code finding model terms texts types
            values: code finding model names terms types
            plan: finding model terms texts
            assembly: finding model plan terms
            needs: assembly code finding model names plan terms texts types
            declared: code finding model names needs plan terms texts types values
            inherited: code declared finding model names needs terms texts types
            wiring: code declared finding inherited model needs plan terms types
            resolve: code declared finding inherited model names needs terms types values \
            wiring
            rosters: assembly code declared explaining finding inherited model names needs plan resolve \
            terms types wiring
            ruling: code declared finding inherited model names needs plan resolve terms texts \
            types wiring
            rules: code declared finding inherited model names needs plan resolve ruling survey \
            surveying terms texts types values wiring
            accepting: finding plan survey terms texts
            check: accepting assembly code explaining finding inherited model names needs plan resolve rosters \
            rules ruling survey terms texts wiring
            comparing: plan terms texts
            observing: files plan terms texts
            watching: check comparing finding plan texts
            graph: plan terms texts
            explaining: finding plan terms texts
            tracing: bodies code org.objectweb.asm survey terms types
            drafting: bodies code model names needs plan survey terms tracing types
            profiles: assembly check code drafting explaining files finding inherited model plan survey \
            surveying terms texts
            live: com.fasterxml.jackson finding model terms values
            standins: live texts
            behaviours: finding live model standins terms texts
            rig: assembly behaviours finding live model observing plan profiles standins terms texts \
            types
            mockito: org.mockito standins
            junit: accepting check finding notation observing org.junit plan profiles rig terms texts
            notation: check code drafting files finding model org.snakeyaml plan profiles \
            survey terms texts
            start: org.objectweb.asm
            report: check com.fasterxml.jackson comparing de.siegmar.fastcsv explaining finding \
            graph javax.xml.stream observing plan survey terms texts watching
            page: check com.fasterxml.jackson com.samskivert graph javax.xml.stream \
            observing org.eclipse.elk org.eclipse.emf.common.util plan report terms texts
            cli: accepting check comparing explaining files finding graph me.tongfei.progressbar notation \
            observing page picocli plan \
            profiles report rig survey terms texts watching
            """;

    @Test
    void every_package_uses_what_it_may_and_there_is_no_circle() {
        Map<String, Set<String>> uses = uses();
        Map<String, String> found = new TreeMap<>();
        uses.forEach((from, to) -> found.put(from, String.join(" ", to)));
        Map<String, String> allowed = new TreeMap<>();
        MAY_USE.lines()
                .map(line -> line.split(":", 2))
                .forEach(line -> allowed.put(line[0], line[1].strip()));
        assertEquals(allowed.keySet(), found.keySet());
        assertAll(
                found.keySet().stream()
                        .map(name -> () -> assertEquals(allowed.get(name), found.get(name), name)));
        for (String start : uses.keySet()) {
            Deque<String> open = new ArrayDeque<>(uses.get(start));
            Set<String> seen = new HashSet<>();
            while (!open.isEmpty()) {
                String next = open.pop();
                assertFalse(next.equals(start), "a circle through " + start);
                if (seen.add(next)) {
                    open.addAll(uses.getOrDefault(next, Set.of()));
                }
            }
        }
    }

    private static Map<String, Set<String>> uses() {
        StringBuilder out = new StringBuilder();
        for (String module :
                List.of("core", "notation", "rig", "mockito", "junit", "report", "page", "cli")) {
            out.append(jdeps(Path.of("..", module, "target", "classes")));
        }
        Map<String, Set<String>> uses = new TreeMap<>();
        String from = "";
        for (String line : out.toString().lines().toList()) {
            String[] words = line.strip().split("\\s+");
            int arrow = Arrays.asList(words).indexOf("->");
            if (arrow < 0) {
                from = words[0];
            } else {
                String user = arrow == 0 ? from : words[0];
                String used = words[arrow + 1];
                if (user.startsWith(OURS) && !used.startsWith("java.")) {
                    String name = shortened(used);
                    if (!name.equals(shortened(user))) {
                        uses.computeIfAbsent(shortened(user), key -> new TreeSet<>()).add(name);
                    }
                }
                if (user.startsWith(OURS)) {
                    uses.computeIfAbsent(shortened(user), key -> new TreeSet<>());
                }
            }
        }
        return uses;
    }

    private static String jdeps(Path classes) {
        StringWriter out = new StringWriter();
        ToolProvider.findFirst("jdeps")
                .orElseThrow()
                .run(
                        new PrintWriter(out),
                        new PrintWriter(out),
                        "-verbose:package",
                        "-filter:none",
                        "--ignore-missing-deps",
                        "--multi-release",
                        "base",
                        "-cp",
                        System.getProperty("java.class.path"),
                        classes.toString());
        return out.toString();
    }

    /** Ours by their last name, others by the library's. */
    private static String shortened(String packageName) {
        if (packageName.startsWith(OURS)) {
            return packageName.substring(OURS.length());
        }
        for (String library :
                List.of(
                        "org.objectweb.asm",
                        "org.snakeyaml",
                        "de.siegmar.fastcsv",
                        "com.samskivert",
                        "org.eclipse.elk",
                        "com.fasterxml.jackson",
                        "org.mockito",
                        "org.junit",
                        "picocli")) {
            if (packageName.startsWith(library)) {
                return library;
            }
        }
        return packageName;
    }
}
