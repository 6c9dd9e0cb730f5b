package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.ProfileVerdict;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What a check calls complete a rig converts: every type of value with every odd text. */
class ConversionAgreesTest {

    private static final List<String> TYPES =
            List.of(
                    "byte",
                    "short",
                    "int",
                    "long",
                    "float",
                    "double",
                    "boolean",
                    "char",
                    "Byte",
                    "Short",
                    "Integer",
                    "Long",
                    "Float",
                    "Double",
                    "Boolean",
                    "Character",
                    "String",
                    "CharSequence",
                    "java.math.BigDecimal",
                    "java.nio.file.Path",
                    "java.net.URI",
                    "java.time.Duration",
                    "java.time.Instant",
                    "java.time.LocalDate",
                    "Tide",
                    "Span",
                    "java.util.Optional<Integer>",
                    "java.util.List<Float>",
                    "java.util.Set<java.time.Duration>",
                    "int[]",
                    "float[]",
                    "char[]",
                    "boolean[]",
                    "java.util.Map<java.time.Duration, Integer>",
                    "java.util.Map<Tide, Float>",
                    "java.util.Map<Character, java.nio.file.Path>",
                    "long[][]",
                    "java.util.Collection<Tide>",
                    "Iterable<Integer>");

    private static final List<String> TEXTS =
            List.of(
                    "0",
                    "1",
                    "-1",
                    "+1",
                    "007",
                    "1f",
                    "1d",
                    "1L",
                    "0x1F",
                    "1e3",
                    "1_000",
                    " 1",
                    "1 ",
                    "\\u0661\\u0662",
                    "\\uFF11",
                    "NaN",
                    "Infinity",
                    "INF",
                    "127",
                    "128",
                    "65536",
                    "9999999999",
                    "1e999",
                    "",
                    " ",
                    "true",
                    "TRUE",
                    "yes",
                    "a",
                    "ab",
                    "a:b",
                    "C:/x",
                    "file:x",
                    "//x",
                    "a\\0b",
                    "5s",
                    "PT5S",
                    "PT",
                    "5 s",
                    "2026-11-28",
                    "2026-02-30",
                    "2026-11-28T10:00:00Z",
                    "EBB",
                    "ebb",
                    "2",
                    "[1]",
                    "null",
                    "%zz");

    private static String shaped(String type, String text) {
        String one = '"' + text + '"';
        if (type.equals("Span")) {
            return "{ from: " + one + ", to: \"1\" }";
        }
        if (type.startsWith("java.util.Map")) {
            return "{ " + (text.isBlank() ? "EBB" : one) + ": " + one + " }";
        }
        boolean many = type.endsWith("]") || type.matches(".*(List|Set|Collection|Iterable)<.*");
        return type.endsWith("[][]") ? "[[" + one + "]]" : many ? "[" + one + "]" : one;
    }

    @Test
    void what_is_complete_is_converted() {
        StringBuilder java =
                new StringBuilder("interface Holder {} record Desk(Holder holder) {}\n");
        java.append("enum Tide { EBB, FLOOD } record Span(int from, Long to) {}\n");
        StringBuilder yaml = new StringBuilder("entry: [Desk]\nprofiles:\n");
        Map<String, String> pairs = new LinkedHashMap<>();
        for (int i = 0; i < TYPES.size(); i++) {
            java.append("record V" + i + "(" + TYPES.get(i) + " value) implements Holder {}\n");
            for (String text : TEXTS) {
                String name = "p" + pairs.size();
                String value = shaped(TYPES.get(i), text);
                pairs.put(name, TYPES.get(i) + " " + value);
                yaml.append("  " + name + ": { bindings: { Holder: { class: V" + i)
                        .append(", with: { value: " + value + " } } } }\n");
            }
        }
        Yard yard = Yard.of(java.toString(), yaml.toString());
        assertEquals(List.of(), yard.set().findings());
        List<String> failed = new ArrayList<>();
        int converted = 0;
        for (ProfileVerdict verdict : yard.set().check().profiles()) {
            if (verdict.complete().orElse(false)) {
                try (Rig rig = yard.rig(verdict.name())) {
                    rig.get(yard.type("Desk"));
                    converted++;
                } catch (RigException fault) {
                    failed.add(pairs.get(verdict.name()) + ": " + fault.getMessage());
                }
            }
        }
        assertEquals(List.of(), failed);
        assertTrue(converted > 400, converted + " of " + pairs.size());
    }
}
