package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingText;
import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What findings say, to the letter: small files and everything that is told of them. */
class WordingTest {

    private static final Path JAVA = Path.of("src/test/resources/wordings.java.txt");
    private static final Path CASES = Path.of("src/test/resources/wordings.txt");

    @Test
    void each_finding_says_what_is_wrong_where_and_what_to_do() throws IOException {
        Path classes = JavaCode.compile("package p;\n" + Files.readString(JAVA));
        List<String> cases = List.of(Files.readString(CASES).split("(?m)^--\n"));
        StringBuilder found = new StringBuilder(cases.get(0));
        for (String one : cases.subList(1, cases.size())) {
            String yaml = one.substring(0, one.indexOf("=>\n"));
            found.append("--\n").append(yaml).append("=>\n").append(told(classes, yaml));
            found.append('\n');
        }
        if (Boolean.getBoolean("patientharbor.rewrite")) {
            Files.writeString(CASES, found);
        }
        assertEquals(String.join("--\n", cases), found.toString());
    }

    private static String told(Path classes, String yaml) {
        Map<String, Finding> once = new LinkedHashMap<>();
        Situation.of(classes, yaml)
                .verdict()
                .allFindings()
                .forEach(finding -> once.putIfAbsent(finding.identity(), finding));
        return FindingText.of(new ArrayList<>(once.values()));
    }
}
