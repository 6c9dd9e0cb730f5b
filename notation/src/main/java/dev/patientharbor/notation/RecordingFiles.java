package dev.patientharbor.notation;

import dev.patientharbor.files.FileReplacement;
import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.model.CannedMethod.Case;
import dev.patientharbor.model.CannedMethod.Response;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.plan.SlotRecording;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.snakeyaml.engine.v2.api.Dump;
import org.snakeyaml.engine.v2.api.DumpSettings;
import org.snakeyaml.engine.v2.common.FlowStyle;

/** Writes recordings as a profile file: a partial profile, to be included and extended. */
public final class RecordingFiles {

    private RecordingFiles() {}

    /**
     * Writes a file in place of what stands there.
     *
     * @param file where
     * @param profile the name of the partial profile
     * @param parents the profiles that it extends
     * @param recordings what was seen, one for each slot
     * @throws UncheckedIOException if it cannot be written
     */
    public static void write(
            Path file, String profile, List<String> parents, SlotRecording... recordings) {
        RequiredArgument.of(file, "file");
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(parents, "parents");
        RequiredArgument.each(recordings, "recordings");
        try {
            FileReplacement.write(file, text(profile, parents, recordings));
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot write " + file, fault);
        }
    }

    /** Returns the text of a recording file. */
    public static String text(String profile, List<String> parents, SlotRecording... recordings) {
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(parents, "parents");
        RequiredArgument.each(recordings, "recordings");
        Map<String, Object> bindings = new LinkedHashMap<>();
        for (SlotRecording recording : recordings) {
            Map<String, Object> stub = new LinkedHashMap<>();
            recording.answers().forEach(canned -> stub.put(canned.method().text(), cases(canned)));
            bindings.put(recording.slot().text(), Map.of("stub", stub));
        }
        Map<String, Object> said = new LinkedHashMap<>();
        said.put("partial", true);
        if (!parents.isEmpty()) {
            said.put("extends", parents);
        }
        said.put("bindings", bindings);
        Map<String, Object> file = new LinkedHashMap<>();
        file.put("patient-harbor", 1);
        file.put("profiles", Map.of(profile, said));
        DumpSettings settings =
                DumpSettings.builder()
                        .setDefaultFlowStyle(FlowStyle.BLOCK)
                        .setIndicatorIndent(2)
                        .setIndentWithIndicator(true)
                        .setWidth(110)
                        .build();
        return "# What spies saw, as canned answers: include this file, and extend its profile.\n"
                + new Dump(settings).dumpToString(file);
    }

    private static Object cases(CannedMethod canned) {
        List<Object> all = canned.cases().stream().map(RecordingFiles::one).toList();
        return all.size() == 1 ? all.get(0) : all;
    }

    private static Object one(Case row) {
        Map<String, Object> said = new LinkedHashMap<>();
        row.given()
                .ifPresent(
                        given ->
                                said.put(
                                        "given",
                                        given.stream().map(RecordingFiles::plain).toList()));
        said.putAll(row.answer().match(RecordingFiles::answers, RecordingFiles::failure));
        return said;
    }

    private static Map<String, Object> answers(Response.Answers answers) {
        List<Object> all = answers.inOrder().stream().map(RecordingFiles::plain).toList();
        return all.size() == 1 ? Map.of("answer", all.get(0)) : Map.of("answers", all);
    }

    private static Map<String, Object> failure(Response.Fails fails) {
        Map<String, Object> said = new LinkedHashMap<>();
        said.put("fails", fails.type().text());
        fails.saying().ifPresent(saying -> said.put("saying", saying.text()));
        return said;
    }

    private static Object plain(GivenValue given) {
        return given.match(
                text -> scalar(text.text()),
                list -> list.items().stream().map(RecordingFiles::plain).toList(),
                RecordingFiles::fields);
    }

    private static Object fields(GivenValue.Fields map) {
        Map<String, Object> fields = new LinkedHashMap<>();
        map.fields().forEach((name, value) -> fields.put(name, plain(value)));
        return fields;
    }

    /** A number or a flag that reads back to the very text, or the text. */
    private static Object scalar(String text) {
        if (text.equals("true") || text.equals("false")) {
            return Boolean.valueOf(text);
        }
        try {
            BigDecimal number = new BigDecimal(text);
            if (!number.toPlainString().equals(text)) {
                return text;
            }
            return number.scale() == 0 ? number.toBigIntegerExact() : number;
        } catch (NumberFormatException noNumber) {
            return text;
        }
    }
}
