package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.notation.ProfileFiles;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.snakeyaml.engine.v2.api.Load;
import org.snakeyaml.engine.v2.api.LoadSettings;

/** The JSON Schema of the profile file says what the reader of the file says. */
class SchemaTest {

    private static final Pattern EXAMPLE = Pattern.compile("(?s)```yaml\n(.*?)```");
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final JsonNode TEXT = text();
    private static final JsonSchema SCHEMA =
            JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(TEXT);

    private static JsonNode text() {
        try (InputStream schema = ProfileFiles.class.getResourceAsStream("harbor.schema.json")) {
            return JSON.readTree(schema);
        } catch (IOException fault) {
            throw new IllegalStateException(fault);
        }
    }

    private static Set<String> faults(String yaml) {
        Object read = new Load(LoadSettings.builder().build()).loadFromString(yaml);
        Set<String> faults = new TreeSet<>();
        SCHEMA.validate(JSON.valueToTree(read))
                .forEach(message -> faults.add(message.getMessage()));
        return faults;
    }

    @Test
    void every_sound_example_is_valid() throws IOException {
        List<String> sound = new ArrayList<>();
        for (String file : List.of("port", "quay", "sides")) {
            sound.add(Files.readString(Path.of("../examples", file + ".harbor.yaml")));
        }
        for (String page : List.of("../docs/profile-file.md", "../docs/findings.md")) {
            Matcher example = EXAMPLE.matcher(Files.readString(Path.of(page)));
            while (example.find()) {
                String text = example.group(1);
                boolean ofText =
                        text.matches("(?s).*# <- (malformed-file|repeated-key|unknown-word).*");
                if (!ofText) {
                    sound.add(text.startsWith("patient") ? text : "patient-harbor: 1\n" + text);
                }
            }
        }
        assertTrue(sound.size() > 50, sound.size() + " examples");
        for (String text : sound) {
            assertEquals(Set.of(), faults(text), text);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    ''                                     | profiles: { p: { extends: { a: b } } }
                    ''                                     | title: [a]
                    patient-harbor: 2                      | title: a
                    patient-harbor: 1                      | default-lifetime: forever
                    patient-harbor: 1                      | fill-in: [solo]
                    patient-harbor: 1                      | severity: { unused-binding: fatal }
                    patient-harbor: 1                      | suppress: [{ id: unmet-need, at: A }]
                    patient-harbor: 1                      | suppress: { id: unmet-need }
                    patient-harbor: 1                      | marks: { lookup: [find] }
                    patient-harbor: 1                      | areas: [quay]
                    patient-harbor: 1                      | profiles: { p: { partial: maybe } }
                    patient-harbor: 1                      | profiles: { p: { bindings: { A: { factory: a } } } }
                    patient-harbor: 1                      | profiles: { p: { bindings: { A: { class: [B] } } } }
                    patient-harbor: 1                      | profiles: { p: { bindings: { A: { class: B, until: soon } } } }
                    patient-harbor: 1                      | profiles: { p: { bindings: { A: { class: B, as: real } } } }
                    patient-harbor: 1                      | profiles: { p: { bindings: { A: [B] } } }
                    patient-harbor: 1                      | profiles: { p: { bindings: { A: { stub: { m: { given: [1] } } } } } }
                    patient-harbor: 1                      | profiles: { p: { bindings: { A: { class: B, keep: [lifetime] } } } }
                    patient-harbor: 1                      | profiles: { p: { rules: { stand-ins: allowed } } }
                    patient-harbor: 1                      | profiles: { p: { rules: { loosen: { keys: why } } } }
                    patient-harbor: 1                      | profiles: { p: { reach: { a: far } } }
                    patient-harbor: 1                      | profiles: { p: { within: { a: b } } }
                    patient-harbor: 1                      | profiles: { p: { decorators: { A: { drop: { B: C } } } } }
                    """)
    void what_the_reader_does_not_understand_is_not_valid(String first, String line) {
        String text = first + "\n" + line + "\n";
        List<String> read = new ArrayList<>();
        for (Finding finding : findings(text)) {
            read.add(finding.kind().id());
        }
        assertTrue(read.contains("malformed-file"), text + read);
        assertFalse(faults(text).isEmpty(), text);
    }

    private static List<Finding> findings(String text) {
        return ProfileFiles.parse(text.getBytes(StandardCharsets.UTF_8), "f", Path.of("nowhere"))
                .findings();
    }

    @Test
    void it_has_the_very_keys_that_the_reader_knows_in_each_place() {
        Map<String, String> places =
                Map.ofEntries(
                        Map.entry("/properties", "x: 1"),
                        Map.entry("/properties/marks/properties", "marks: { x: 1 }"),
                        Map.entry(
                                "/properties/areas/additionalProperties/properties",
                                "areas: { a: { x: 1 } }"),
                        Map.entry(
                                "/properties/suppress/items/properties",
                                "suppress: [{ id: cycle, at: A, because: b, x: 1 }]"),
                        Map.entry("/$defs/profile/properties", "profiles: { p: { x: 1 } }"),
                        Map.entry(
                                "/$defs/profile/properties/within/additionalProperties/properties",
                                "profiles: { p: { within: { a: { x: 1 } } } }"),
                        Map.entry(
                                "/$defs/rules/properties", "profiles: { p: { rules: { x: 1 } } }"),
                        Map.entry(
                                "/$defs/rules/properties/loosen/properties",
                                "profiles: { p: { rules: { loosen: { x: 1 } } } }"),
                        Map.entry(
                                "/$defs/bindingMap/properties",
                                "profiles: { p: { bindings: { A: { keyed-by: m, classes: [B], x: 1"
                                        + " } } } }"),
                        Map.entry(
                                "/$defs/decoration/oneOf/1/properties",
                                "profiles: { p: { decorators: { A: { x: 1 } } } }"),
                        Map.entry(
                                "/$defs/case/properties",
                                "profiles: { p: { bindings: { A: { stub: { m: { answer: 1, x: 1 }"
                                        + " } } } } }"));
        places.forEach(
                (pointer, text) -> {
                    Set<String> inSchema = new TreeSet<>();
                    TEXT.at(pointer).fieldNames().forEachRemaining(inSchema::add);
                    Set<String> known =
                            findings("patient-harbor: 1\n" + text + "\n").stream()
                                    .filter(finding -> finding.kind().id().equals("unknown-word"))
                                    .flatMap(finding -> finding.details().stream())
                                    .filter(detail -> detail.label().equals("known"))
                                    .flatMap(detail -> List.of(detail.text().split(", ")).stream())
                                    .collect(
                                            java.util.stream.Collectors.toCollection(TreeSet::new));
                    assertEquals(known, inSchema, pointer);
                });
    }

    @Test
    void it_explains_every_key() {
        List<String> silent = new ArrayList<>();
        explain(TEXT, "", silent);
        assertEquals(List.of(), silent);
    }

    private static void explain(JsonNode node, String at, List<String> silent) {
        JsonNode keys = node.path("properties");
        keys.properties()
                .forEach(
                        key -> {
                            JsonNode text = key.getValue().path("description");
                            JsonNode meant = TEXT.at(pointer(key.getValue().path("$ref").asText()));
                            if (text.asText(meant.path("description").asText()).isBlank()) {
                                silent.add(at + "/" + key.getKey());
                            }
                        });
        node.properties()
                .forEach(entry -> explain(entry.getValue(), at + "/" + entry.getKey(), silent));
    }

    private static String pointer(String ref) {
        return ref.isEmpty() ? "/nothing" : ref.substring(1);
    }
}
