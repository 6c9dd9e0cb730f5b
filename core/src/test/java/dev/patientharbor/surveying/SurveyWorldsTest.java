package dev.patientharbor.surveying;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.profiles.Surveys;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Random code of which it is known what it makes and touches: a survey finds exactly that. */
class SurveyWorldsTest {

    private static final int CONTRACTS = 4;
    private static final int HELPERS = 6;
    private static final int CONSUMERS = 25;

    /** A way in which a consumer gets hold of a contract, by itself or not. */
    private enum Wiring {
        ASKS(false, "final C c; J(C c) { this.c = c; } void go() { c.run(1); }"),
        HANDS_ON(false, "Object go() { return new Taker(new I()); }"),
        RETURNS(false, "C go() { C c = new I(); return c; }"),
        FIELD(true, "final C c = new I(); void go() { c.run(1); }"),
        VARIABLE(true, "void go() { I i = new I(); i.run(1); }"),
        LAMBDA(true, "Runnable go() { C c = new I(); return () -> c.run(1); }"),
        HELPER(true, "void go() { help(new I()); } void help(C c) { c.run(1); }"),
        ACCESSOR(true, "void go() { House.c().run(1); }"),
        LIST(
                true,
                "java.util.List<C> go = java.util.List.of(new I()); { go.forEach(c -> c.run(1));"
                        + " }"),
        BRANCH(true, "void go(boolean b) { C c = null; if (b) { c = new I(); } c.run(1); }");

        private final boolean isHardWired;
        private final String body;

        Wiring(boolean isHardWired, String body) {
            this.isHardWired = isHardWired;
            this.body = body;
        }

        String source(int consumer, int contract) {
            return "package town;\npublic class Job"
                    + consumer
                    + " {\n"
                    + body.replaceAll("\\bC\\b", "Contract" + contract)
                            .replaceAll("\\bI\\b", "Work" + contract)
                            .replaceAll("\\bJ\\b", "Job" + consumer)
                            .replaceAll("\\bTaker\\b", "Taker" + contract)
                            .replace("House.c", "House.c" + contract);
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void a_survey_finds_exactly_what_random_code_makes_and_touches(long seed) {
        Random random = new Random(seed);
        TreeSet<String> hardWired = new TreeSet<>();
        TreeSet<String> touches = new TreeSet<>();
        Path code = JavaCode.compile(sources(random, hardWired, touches));
        Survey survey = Surveys.of(code);
        SurveyAgrees.withCheck(code, survey);
        assertEquals(
                List.copyOf(hardWired),
                survey.hardWired().stream()
                        .map(SurveyWorldsTest::text)
                        .distinct()
                        .sorted()
                        .toList());
        List<String> found = new ArrayList<>();
        survey.touches()
                .forEach(
                        (name, all) ->
                                all.forEach(
                                        touch ->
                                                found.add(
                                                        name
                                                                + ' '
                                                                + touch.kind().word()
                                                                + ' '
                                                                + touch.way().size())));
        found.removeIf(line -> !line.startsWith("town.Work"));
        assertEquals(List.copyOf(touches), found.stream().sorted().toList());
    }

    private static String text(HardWiring wiring) {
        return wiring.consumer() + ' ' + wiring.contract() + ' ' + wiring.implementation().get();
    }

    /** The code; what is to be found is added to the two sets. */
    private static String sources(
            Random random, TreeSet<String> hardWired, TreeSet<String> touches) {
        StringBuilder text = new StringBuilder();
        String[] ends = {"System.nanoTime()", "System.getenv().size()", "Math.random()", "x + 1"};
        String[] kinds = {"clock", "environment", "randomness", ""};
        int[] endOf = new int[HELPERS];
        int[] lengthOf = new int[HELPERS];
        for (int i = 0; i < HELPERS; i++) {
            int next = random.nextInt(i + 1);
            boolean isEnd = next == i;
            endOf[i] = isEnd ? random.nextInt(ends.length) : endOf[next];
            lengthOf[i] = isEnd ? 2 : lengthOf[next] + 1;
            String calls = isEnd ? ends[endOf[i]] : "Helper" + next + ".go(x)";
            text.append("package town;\npublic class Helper").append(i);
            text.append(" { static double go(int x) { return ").append(calls).append("; } }\n");
        }
        StringBuilder house = new StringBuilder("package town;\npublic class House {\n");
        for (int i = 0; i < CONTRACTS; i++) {
            int helper = random.nextInt(HELPERS);
            text.append(
                    "package town;\npublic interface Contract" + i + " { double run(int x); }\n");
            text.append("package town;\npublic class Work" + i + " implements Contract" + i);
            text.append(" { public double run(int x) { return Helper" + helper + ".go(x); } }\n");
            text.append("package town;\npublic class Taker" + i);
            text.append(" { public Taker" + i + "(Contract" + i + " c) {} }\n");
            house.append("static Contract" + i + " c" + i + "() { return new Work" + i + "(); }\n");
            if (!kinds[endOf[helper]].isEmpty()) {
                touches.add(
                        "town.Work"
                                + i
                                + ' '
                                + kinds[endOf[helper]]
                                + ' '
                                + (lengthOf[helper] + 1));
            }
        }
        text.append(house).append("}\n");
        for (int i = 0; i < CONSUMERS; i++) {
            Wiring wiring = Wiring.values()[random.nextInt(Wiring.values().length)];
            int contract = random.nextInt(CONTRACTS);
            text.append(wiring.source(i, contract)).append("\n}\n");
            if (wiring.isHardWired) {
                hardWired.add(
                        "town.Job" + i + " town.Contract" + contract + " town.Work" + contract);
            }
        }
        return text.toString();
    }

    @Test
    void damaged_class_files_are_told_and_are_never_a_fault() throws IOException {
        Path code = JavaCode.compileAnew(sources(new Random(5), new TreeSet<>(), new TreeSet<>()));
        List<Path> files;
        try (Stream<Path> all = Files.walk(code)) {
            files = all.filter(Files::isRegularFile).sorted().toList();
        }
        Random random = new Random(11);
        int read = 0;
        for (int round = 0; round < 150; round++) {
            Path file = files.get(random.nextInt(files.size()));
            byte[] sound = Files.readAllBytes(file);
            byte[] damaged = sound.clone();
            for (int i = 0; i <= random.nextInt(4); i++) {
                damaged[10 + random.nextInt(damaged.length - 10)] = (byte) random.nextInt(256);
            }
            Files.write(file, damaged);
            Survey survey = Surveys.of(code);
            survey.findings()
                    .forEach(finding -> assertEquals("unreadable-class", finding.kind().id()));
            read += survey.findings().isEmpty() ? 1 : 0;
            Files.write(file, sound);
        }
        assertTrue(read > 0 && read < 150, "some are told, some can be read: " + read);
    }
}
