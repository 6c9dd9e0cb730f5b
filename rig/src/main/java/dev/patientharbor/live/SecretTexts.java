package dev.patientharbor.live;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The texts that came of settings, each with how it was written: a setting may be a password, so
 * nothing shows it that was seen while objects were used. May be used by several threads.
 */
final class SecretTexts {

    /** In characters; a shorter one is found in much that is no secret. */
    private static final int SHORTEST_PART = 4;

    private final Map<String, String> writtenByText = new ConcurrentHashMap<>();

    /** Remembers a text. */
    void add(String text, String written) {
        if (!text.isEmpty()) {
            writtenByText.put(text, written);
        }
    }

    /** A text with settings as they were written, where they are in it or are it. */
    String hidden(String shown) {
        String whole = writtenByText.get(shown);
        if (whole != null) {
            return whole;
        }
        String hidden = shown;
        for (Map.Entry<String, String> entry : writtenByText.entrySet()) {
            if (entry.getKey().length() >= SHORTEST_PART) {
                hidden = hidden.replace(entry.getKey(), entry.getValue());
            }
        }
        return hidden;
    }
}
