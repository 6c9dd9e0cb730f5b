package dev.patientharbor.report;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;

/** One JSON value as text, laid out so that people can read it too. */
final class JsonText {

    /** Writes the value. */
    interface Content {
        void write(JsonGenerator json) throws IOException;
    }

    private JsonText() {}

    /** The whole text; it ends with {@code \n}. */
    static String of(Content content) {
        StringWriter text = new StringWriter();
        DefaultIndenter lines = new DefaultIndenter("  ", "\n");
        JsonFactory factory = new JsonFactory().setCharacterEscapes(new UnseenEscaped());
        try (JsonGenerator json = factory.createGenerator(text)) {
            json.setPrettyPrinter(
                    new DefaultPrettyPrinter().withObjectIndenter(lines).withArrayIndenter(lines));
            content.write(json);
        } catch (IOException impossible) {
            throw new UncheckedIOException("text in memory cannot fail", impossible);
        }
        return text.append('\n').toString();
    }

    /** Writes a field that is an array of texts. */
    static void strings(JsonGenerator json, String field, List<String> values) throws IOException {
        json.writeFieldName(field);
        json.writeArray(values.toArray(String[]::new), 0, values.size());
    }
}
