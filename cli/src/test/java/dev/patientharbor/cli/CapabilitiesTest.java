package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What a tester must be able to do, on the ferry port: the file is edited as the tester would, the
 * command is run, and the answer is read. Each case carries its number.
 */
class CapabilitiesTest {

    @TempDir private Path temp;

    /**
     * One case.
     *
     * @param number the capability
     * @param edits replacements in the port's file, {@code before => after}
     * @param file which of the port's files
     * @param command the command with its options
     * @param answers what stands in the output, spaces folded
     */
    record Case(
            String number, String file, List<String> edits, String command, List<String> answers) {
        @Override
        public String toString() {
            return number;
        }
    }

    static Stream<Case> cases() throws IOException {
        String page = Files.readString(Path.of("src/test/resources/capabilities.txt"));
        return Pattern.compile("(?m)^(?=N\\d\\d )")
                .splitAsStream(page)
                .filter(text -> text.startsWith("N"))
                .map(CapabilitiesTest::read);
    }

    private static Case read(String text) {
        List<String> edits = new ArrayList<>();
        List<String> answers = new ArrayList<>();
        String command = "";
        String file = "port";
        for (String line : text.lines().skip(1).toList()) {
            String rest = line.length() > 6 ? line.substring(6).strip() : "";
            switch (line.isBlank() ? "" : line.substring(0, 6).strip()) {
                case "file" -> file = rest;
                case "edit" -> edits.add(rest);
                case "run" -> command = rest;
                case "says" -> answers.add(rest);
                case "" -> {}
                default -> throw new IllegalArgumentException(line);
            }
        }
        return new Case(text.lines().findFirst().orElseThrow(), file, edits, command, answers);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void holds_on_the_port(Case one) throws IOException {
        String name = one.file() + ".harbor.yaml";
        for (String other : List.of("quay.harbor.yaml", "port.properties")) {
            Files.copy(Path.of("../examples", other), temp.resolve(other));
        }
        String text = Files.readString(Path.of("../examples", name));
        for (String edit : one.edits()) {
            String[] sides = edit.split(" => ", -1);
            String before = sides[0].replace("\\n", "\n");
            assertTrue(text.contains(before), "nothing to edit: " + before);
            text = text.replace(before, sides[1].replace("\\n", "\n"));
        }
        Path file = temp.resolve(name);
        String classes = Path.of("../examples/target/classes").toRealPath().toString();
        Files.writeString(file, text.replace("target/classes", classes));
        String[] words = one.command().split(" ");
        List<String> args = new ArrayList<>(List.of(words));
        args.add(1, file.toString());
        Ran ran = Ran.tool(args.toArray(String[]::new));
        String out = (ran.out() + ran.err()).replaceAll("\\s+", " ");
        for (String answer : one.answers()) {
            boolean absent = answer.startsWith("not: ");
            String wanted = absent ? answer.substring(5) : answer;
            assertEquals(!absent, out.contains(wanted), answer + "\n" + ran.out() + ran.err());
        }
    }
}
