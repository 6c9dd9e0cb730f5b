package dev.patientharbor.report;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A JSON text as values: objects as maps, arrays as lists, null as null. */
final class JsonTree {

    private JsonTree() {}

    /**
     * Reads one value.
     *
     * @throws IOException if it is no JSON, with the place
     */
    static Object read(String text) throws IOException {
        try (JsonParser json = new JsonFactory().createParser(text)) {
            json.nextToken();
            Object value = value(json);
            if (json.nextToken() != null) {
                throw new IOException("there is more behind the end of the JSON");
            }
            return value;
        }
    }

    private static Object value(JsonParser json) throws IOException {
        JsonToken token = json.currentToken();
        if (token == null) {
            throw new IOException("it ends too early");
        }
        return switch (token) {
            case START_OBJECT -> {
                Map<String, Object> object = new LinkedHashMap<>();
                while (json.nextToken() != JsonToken.END_OBJECT) {
                    String name = json.currentName();
                    json.nextToken();
                    object.put(name, value(json));
                }
                yield object;
            }
            case START_ARRAY -> {
                List<Object> array = new ArrayList<>();
                while (json.nextToken() != JsonToken.END_ARRAY) {
                    array.add(value(json));
                }
                yield array;
            }
            case VALUE_STRING -> json.getText();
            case VALUE_NUMBER_INT, VALUE_NUMBER_FLOAT -> json.getNumberValue();
            case VALUE_TRUE -> Boolean.TRUE;
            case VALUE_FALSE -> Boolean.FALSE;
            case VALUE_NULL -> null;
            case NOT_AVAILABLE, END_OBJECT, END_ARRAY, FIELD_NAME, VALUE_EMBEDDED_OBJECT ->
                    throw new IOException("it is no JSON at " + json.currentLocation());
        };
    }
}
