package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.report.CheckJson;
import dev.patientharbor.report.CheckMarkdown;
import dev.patientharbor.report.CheckSarif;
import dev.patientharbor.report.CheckTestResults;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.transform.stream.StreamSource;
import javax.xml.validation.SchemaFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;

/**
 * What a check finds, in the forms of other programs: each held against its grammar, and read back.
 */
class CheckFormatsTest {

    private static final Path CLASSES = Path.of("../examples/target/classes");

    @TempDir private Path folder;

    private static Verdict check(Path file) {
        return ProfileFiles.read(file).withCode(CLASSES).check(LocalDate.EPOCH);
    }

    private static Verdict check(String name) {
        return check(Path.of("../examples", name + ".harbor.yaml"));
    }

    private static JsonSchema sarifSchema() throws IOException {
        try (InputStream schema =
                CheckFormatsTest.class.getResourceAsStream("/schema/sarif-schema-2.1.0.json")) {
            return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V7).getSchema(schema);
        }
    }

    private static Document valid(String xml) throws Exception {
        SchemaFactory.newInstance(XMLConstants.W3C_XML_SCHEMA_NS_URI)
                .newSchema(CheckFormatsTest.class.getResource("/test-results.xsd"))
                .newValidator()
                .validate(new StreamSource(new StringReader(xml)));
        return DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(new StringReader(xml)));
    }

    /** Every finding that the verdict reports, by its identity. */
    private static Map<String, Finding> reported(Verdict verdict) {
        Map<String, Finding> all = new TreeMap<>();
        verdict.allFindings().forEach(finding -> all.put(finding.identity(), finding));
        return all;
    }

    @ParameterizedTest
    @ValueSource(strings = {"port", "broken", "sides", "storm", "wreck"})
    void each_form_is_valid_and_has_every_finding_once(String name) throws Exception {
        Verdict verdict = check(name);
        Map<String, Finding> findings = reported(verdict);

        JsonNode json = new ObjectMapper().readTree(CheckJson.render(verdict));
        Set<String> told = new TreeSet<>();
        for (JsonNode each : json.get("findings")) {
            told.add(
                    each.get("id").asText() + each.get("at").asText() + each.get("cause").asText());
        }
        Set<String> expected = new TreeSet<>();
        findings.values()
                .forEach(each -> expected.add(each.kind().id() + each.at().text() + each.cause()));
        assertEquals(expected, told);
        assertEquals(findings.size(), json.get("findings").size());
        assertEquals(verdict.profiles().size(), json.get("profiles").size());

        JsonNode log = new ObjectMapper().readTree(CheckSarif.render(verdict));
        assertEquals(Set.of(), sarifSchema().validate(log));
        JsonNode run = log.get("runs").get(0);
        Set<String> prints = new TreeSet<>();
        List<String> rules = new ArrayList<>();
        run.get("tool")
                .get("driver")
                .get("rules")
                .forEach(rule -> rules.add(rule.get("id").asText()));
        int suppressed = 0;
        for (JsonNode result : run.get("results")) {
            assertEquals(result.get("ruleId").asText(), rules.get(result.get("ruleIndex").asInt()));
            prints.add(result.get("partialFingerprints").toString());
            suppressed += result.get("suppressions").size();
            assertTrue(result.get("locations").get(0).size() > 0);
        }
        assertEquals(findings.size(), run.get("results").size() - suppressed);
        assertEquals(run.get("results").size(), prints.size(), "fingerprints tell them apart");

        Document results = valid(CheckTestResults.render(verdict, Severity.ERROR));
        Element all = results.getDocumentElement();
        int cases = results.getElementsByTagName("testcase").getLength();
        int failures = results.getElementsByTagName("failure").getLength();
        assertEquals(String.valueOf(cases), all.getAttribute("tests"));
        assertEquals(String.valueOf(failures), all.getAttribute("failures"));
        boolean isClean =
                verdict.allFindings().stream()
                        .noneMatch(
                                each ->
                                        each.severity() == Severity.ERROR
                                                || each.kind().breaksCompleteness());
        assertEquals(isClean, failures == 0);
        int needs = verdict.rosters().values().stream().mapToInt(each -> each.rows().size()).sum();
        assertTrue(cases >= needs, cases + " cases of " + needs + " needs");

        String markdown = CheckMarkdown.render(verdict);
        long shown =
                findings.values().stream().filter(each -> each.severity() != Severity.NOTE).count();
        assertEquals(
                Math.min(20, shown),
                markdown.lines().filter(line -> line.startsWith("### ")).count());
    }

    @Test
    void a_finding_has_its_place_what_to_do_and_its_cause_whichever_line_it_moves_to()
            throws IOException {
        JsonNode unmet = null;
        for (JsonNode each :
                new ObjectMapper().readTree(CheckJson.render(check("broken"))).get("findings")) {
            unmet = each.get("id").asText().equals("unmet-need") ? each : unmet;
        }
        assertTrue(unmet.get("place").get("line").asInt() > 1);
        assertTrue(unmet.get("remedy").size() > 0, unmet.toString());
        String text = Files.readString(Path.of("../examples/broken.harbor.yaml"));
        Path moved = folder.resolve("broken.harbor.yaml");
        String before = CheckSarif.render(check(Files.writeString(moved, text)));
        String after = CheckSarif.render(check(Files.writeString(moved, "# one line\n" + text)));
        assertEquals(prints(before).size(), prints(after).size());
        Set<String> same = prints(before);
        same.retainAll(prints(after));
        assertTrue(same.size() > prints(before).size() - 3, same.size() + " are as they were");
        assertTrue(before.contains("\"relatedLocations\" : [\n            {"), before);
        assertTrue(before.contains("\"justification\""), before);
    }

    private static Set<String> prints(String log) throws IOException {
        Set<String> prints = new TreeSet<>();
        new ObjectMapper()
                .readTree(log)
                .get("runs")
                .get(0)
                .get("results")
                .forEach(result -> prints.add(result.get("partialFingerprints").toString()));
        return prints;
    }

    @Test
    void an_unmet_need_is_a_failing_case_with_the_whole_message() throws Exception {
        Ran ran = Ran.tool("check", "../examples/broken.harbor.yaml", "--format", "junit");
        assertEquals(1, ran.code());
        Document results = valid(ran.out());
        var cases = results.getElementsByTagName("testcase");
        List<String> unmet = new ArrayList<>();
        for (int i = 0; i < cases.getLength(); i++) {
            Element each = (Element) cases.item(i);
            boolean isOfNeed = each.getAttribute("classname").startsWith("gullwing.");
            if (isOfNeed && each.getElementsByTagName("failure").getLength() > 0) {
                unmet.add(each.getAttribute("name") + " " + each.getTextContent().strip());
            }
        }
        assertTrue(unmet.size() > 3, unmet.toString());
        assertTrue(unmet.toString().contains("write: "), unmet.toString());
    }

    @Test
    void names_that_would_be_markup_or_are_no_text_stand_as_text_in_every_form() throws Exception {
        String hostile = "]]>\"</a>|`*&\\u0007\\uFFFE";
        Path file = folder.resolve("f.harbor.yaml");
        Files.writeString(
                file,
                "patient-harbor: 1\ntitle: \""
                        + hostile.replace("\"", "\\\"")
                        + "\"\n"
                        + "entry: [\"No<b>]]>|`\"]\nprofiles: { \"p]]>\": {} }\n");
        Verdict verdict = check(file);
        assertTrue(verdict.hasAtLeast(Severity.ERROR));
        valid(CheckTestResults.render(verdict, Severity.ERROR));
        JsonNode log = new ObjectMapper().readTree(CheckSarif.render(verdict));
        assertEquals(Set.of(), sarifSchema().validate(log));
        new ObjectMapper().readTree(CheckJson.render(verdict));
        String markdown = CheckMarkdown.render(verdict);
        assertTrue(markdown.contains("\\<b\\>"), markdown);
        assertEquals(CheckSarif.render(verdict), CheckSarif.render(check(file)));
    }

    @Test
    void a_profile_that_was_drafted_from_hand_wiring_is_the_same_and_each_edit_of_it_is_told()
            throws IOException {
        Path drafted = folder.resolve("office.harbor.yaml");
        Ran.tool(
                "draft",
                "--code",
                CLASSES.toString(),
                "--from",
                "gullwing.office.FerryOffice#main",
                "--out",
                drafted.toString());
        String text = Files.readString(drafted);
        String[] held = {
            "check",
            drafted.toString(),
            "--code",
            CLASSES.toString(),
            "--profile",
            "main",
            "--wired-by",
            "gullwing.office.FerryOffice#main"
        };
        assertEquals(0, Ran.tool(held).code(), Ran.tool(held).out());
        for (String edit :
                List.of(
                        "WallCalendar",
                        "[PilotDiscount]",
                        "{class: FileBookingStore, with: {file: bookings.txt}}")) {
            assertTrue(text.contains(edit), edit);
            Files.writeString(drafted, text.replace(edit, edit.startsWith("[") ? "[]" : "mock"));
            Ran ran = Ran.tool(held);
            assertEquals(1, ran.code(), edit);
            assertTrue(ran.out().contains("error wired-otherwise · FerryOffice.java:"), ran.out());
        }
        Ran live =
                Ran.tool(
                        "check",
                        "../examples/port.harbor.yaml",
                        "--profile",
                        "live",
                        "--wired-by",
                        "gullwing.OpeningDay#main",
                        "--format",
                        "sarif");
        JsonNode log = new ObjectMapper().readTree(live.out());
        assertEquals(Set.of(), sarifSchema().validate(log));
        assertTrue(
                live.out()
                        .contains(
                                "1 of 20 hand-overs of gullwing.OpeningDay#main is not understood"),
                live.out());
        assertTrue(
                Ran.tool(
                                "check",
                                "../examples/port.harbor.yaml",
                                "--wired-by",
                                "gullwing.OpeningDay#main")
                        .err()
                        .contains("write --profile and one of dock-test"),
                "one profile");
    }
}
