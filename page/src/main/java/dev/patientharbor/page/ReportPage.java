package dev.patientharbor.page;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;

/**
 * Writes one HTML file to look around in: who receives what, what differs, the graph, what is
 * wrong, how real each environment is. It holds all that it needs, and asks nobody for anything.
 */
public final class ReportPage {

    private ReportPage() {}

    /** The whole page, in UTF-8; it ends with {@code \n}. Equal verdicts give equal bytes. */
    public static String render(Verdict verdict) {
        RequiredArgument.of(verdict, "verdict");
        Template template = Mustache.compiler().compile(resource("page.mustache"));
        return template.execute(
                Map.of(
                        "title",
                        verdict.title(),
                        "style",
                        resource("page.css"),
                        "script",
                        resource("page.js"),
                        "data",
                        PageData.json(verdict)));
    }

    private static String resource(String name) {
        try (InputStream resource = ReportPage.class.getResourceAsStream(name)) {
            if (resource == null) {
                throw new IllegalStateException(name + " is not in the jar");
            }
            return new String(resource.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
