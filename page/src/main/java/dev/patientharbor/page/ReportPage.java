package dev.patientharbor.page;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Writes one HTML file to look around in: who receives what, what differs, the graph, what is
 * wrong, how real each environment is. It holds all that it needs, and asks nobody for anything.
 */
public final class ReportPage {

    /** The parts of the script, in their order: each may use what stands before it. */
    private static final List<String> SCRIPTS =
            List.of(
                    "data",
                    "elements",
                    "address",
                    "kinds",
                    "matrix",
                    "consumer",
                    "graph",
                    "findings",
                    "realism",
                    "start");

    private ReportPage() {}

    /** The whole page, in UTF-8; it ends with {@code \n}. Equal verdicts give equal bytes. */
    public static String render(Verdict verdict) {
        return render(verdict, Optional.empty());
    }

    /**
     * The whole page, in UTF-8; it ends with {@code \n}.
     *
     * @param observed what runs met; empty if nobody asked
     */
    public static String render(Verdict verdict, Optional<ObservedRosters> observed) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(observed, "observed");
        Template template = Mustache.compiler().compile(resource("page.mustache"));
        return template.execute(
                Map.of(
                        "title",
                        verdict.title(),
                        "style",
                        resource("page.css"),
                        "script",
                        script(),
                        "data",
                        PageData.json(verdict, observed)));
    }

    /** One function, so that nothing of it is seen outside. */
    private static String script() {
        return SCRIPTS.stream()
                .map(name -> resource(name + ".js"))
                .collect(Collectors.joining("\n", "\"use strict\";\n(() => {\n", "})();\n"));
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
