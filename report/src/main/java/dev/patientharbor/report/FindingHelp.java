package dev.patientharbor.report;

import dev.patientharbor.finding.FindingKind;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What the reference page says of each kind of finding, for formats that carry an explanation. */
public final class FindingHelp {

    private static final String PAGE = page();

    private FindingHelp() {}

    /** Plain text of one or more sentences: what the finding means. */
    public static String of(FindingKind kind) {
        Matcher section =
                Pattern.compile("(?sm)^### " + kind.id() + " · .*?\\n(.*?)(?=\\n\\n|\\z)")
                        .matcher(PAGE);
        if (!section.find()) {
            throw new IllegalArgumentException("the page has no section on " + kind.id());
        }
        return section.group(1).replaceAll("\\s+", " ").replace("`", "").replace("**", "").strip();
    }

    private static String page() {
        try (InputStream page = FindingHelp.class.getResourceAsStream("findings.md")) {
            return new String(page.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException fault) {
            throw new UncheckedIOException("the page of findings is not packaged", fault);
        }
    }
}
