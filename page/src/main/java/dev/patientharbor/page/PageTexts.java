package dev.patientharbor.page;

import com.fasterxml.jackson.core.JsonGenerator;
import java.io.IOException;
import java.util.List;

/** Fields of the data that are lists of texts. */
final class PageTexts {

    private PageTexts() {}

    static void write(JsonGenerator json, String field, List<String> texts) throws IOException {
        json.writeArrayFieldStart(field);
        for (String text : texts) {
            json.writeString(text);
        }
        json.writeEndArray();
    }
}
