package dev.patientharbor.report;

import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What docs/findings.md says of each kind of finding. */
public final class FindingPages {

    private static final String PAGE = "findings.md";
    private static final String SECTION = "### ";
    private static final String CODE = "```";

    private FindingPages() {}

    private static final class OnDemand {
        static final Map<String, String> SECTIONS = read();
    }

    /**
     * Returns the section of a kind without its heading, as Markdown; lines end with {@code \n}.
     */
    public static String markdown(FindingKind kind) {
        return OnDemand.SECTIONS.getOrDefault(RequiredArgument.of(kind, "kind").id(), "");
    }

    /** The page of a kind for people; every line ends with {@code \n}. */
    public static String text(FindingKind kind, TextLayout layout) {
        RequiredArgument.of(kind, "kind");
        TextPage page = new TextPage(RequiredArgument.of(layout, "layout"));
        page.line(0)
                .put(TextTone.TITLE, kind.id())
                .put("· " + kind.severity().word())
                .put(kind.breaksCompleteness() ? "· incomplete" : "")
                .put("· " + kind.title())
                .end()
                .blank();
        List<String> paragraph = new ArrayList<>();
        boolean isCode = false;
        for (String line : markdown(kind).split("\n")) {
            boolean isFence = line.startsWith(CODE);
            if (isFence || isCode || line.isBlank() || line.matches("([-|*]|\\d+\\.).*")) {
                flush(page, paragraph);
            }
            if (isFence) {
                isCode = !isCode;
            } else if (isCode || line.startsWith("|")) {
                page.verbatim(isCode ? 4 : 2, line);
            } else if (line.isBlank()) {
                page.blank();
            } else {
                paragraph.add(line.strip());
            }
        }
        flush(page, paragraph);
        return page.blank().toString();
    }

    private static void flush(TextPage page, List<String> paragraph) {
        if (!paragraph.isEmpty()) {
            page.line(0).tab(2).put(String.join(" ", paragraph)).end();
            paragraph.clear();
        }
    }

    private static Map<String, String> read() {
        try (InputStream page = FindingPages.class.getResourceAsStream(PAGE)) {
            if (page == null) {
                throw new IllegalStateException(PAGE + " is not in the jar");
            }
            Map<String, String> sections = new HashMap<>();
            String id = "";
            StringBuilder section = new StringBuilder();
            for (String line :
                    new String(page.readAllBytes(), StandardCharsets.UTF_8).split("\\R")) {
                if (line.startsWith("#") && line.matches("#{1,3} .*")) {
                    sections.put(id, section.toString().strip() + "\n");
                    id =
                            line.startsWith(SECTION)
                                    ? line.substring(SECTION.length()).split(" ")[0]
                                    : "";
                    section.setLength(0);
                } else {
                    section.append(line).append("\n");
                }
            }
            sections.put(id, section.toString().strip() + "\n");
            return sections;
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
