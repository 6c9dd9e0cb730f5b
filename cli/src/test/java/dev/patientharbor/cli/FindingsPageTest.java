package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.accepting.AcceptedRoster;
import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.TrialBuild;
import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** docs/findings.md says the truth: every id, and an example of each that tells it and no more. */
class FindingsPageTest {

    private static final Path ROOT = Path.of("..");
    private static final LocalDate DAY = LocalDate.of(2026, 11, 25);

    /** A profile, and the method that wires by hand. */
    private static final Pattern WIRED =
            Pattern.compile("profile `(\\w+)`\\s+of the example is wired by `([^`]+)`");

    /** The lines that were accepted. */
    private static final Pattern ACCEPTED = Pattern.compile("(?s)```text\n(.*?)```");

    private static final Pattern SECTION =
            Pattern.compile("(?m)^### ([a-z-]+) · (error|warning|note)(, incomplete)?$");
    private static final Pattern EXAMPLE = Pattern.compile("(?s)```yaml\n(.*?)```");
    private static final Pattern JAVA = Pattern.compile("(?s)```java\n(.*?)```");
    private static final Pattern MARK = Pattern.compile("# <- ([a-z-]+)");

    /** A section of the page. */
    record Section(String id, String severity, boolean incomplete, String text) {
        @Override
        public String toString() {
            return id;
        }
    }

    private static String page() throws IOException {
        return Files.readString(ROOT.resolve("docs/findings.md"));
    }

    static List<Section> sections() throws IOException {
        String page = page();
        List<Section> sections = new ArrayList<>();
        Matcher section = SECTION.matcher(page);
        while (section.find()) {
            int end = page.indexOf("\n### ", section.end());
            sections.add(
                    new Section(
                            section.group(1),
                            section.group(2),
                            section.group(3) != null,
                            page.substring(section.end(), end < 0 ? page.length() : end)));
        }
        return sections;
    }

    static Stream<Section> examples() throws IOException {
        return sections().stream().filter(section -> EXAMPLE.matcher(section.text()).find());
    }

    @Test
    void every_kind_of_finding_has_its_section_with_its_severity() throws IOException {
        assertEquals(
                FindingKinds.all().stream()
                        .map(
                                kind ->
                                        kind.id()
                                                + ' '
                                                + kind.severity().word()
                                                + ' '
                                                + kind.breaksCompleteness())
                        .toList(),
                sections().stream()
                        .map(
                                section ->
                                        section.id()
                                                + ' '
                                                + section.severity()
                                                + ' '
                                                + section.incomplete())
                        .toList());
    }

    @Test
    void every_kind_has_an_id_of_its_own_a_title_and_all_but_two_an_example() throws IOException {
        List<FindingKind> kinds = FindingKinds.all();
        assertEquals(
                kinds.size(), new TreeSet<>(kinds.stream().map(FindingKind::id).toList()).size());
        kinds.forEach(kind -> assertTrue(kind.title().matches("[A-Z].*[^.]"), kind.title()));
        kinds.forEach(kind -> assertTrue(kind.id().matches("[a-z]+(-[a-z]+)*"), kind.id()));
        List<String> without = new ArrayList<>(kinds.stream().map(FindingKind::id).toList());
        without.removeAll(examples().map(Section::id).toList());
        assertEquals(List.of("unreadable-class", "answer-in-doubt"), without);
    }

    @ParameterizedTest
    @MethodSource("examples")
    void the_example_tells_the_finding_where_the_mark_stands_and_nothing_else(Section section)
            throws IOException {
        String page = page();
        Matcher header = EXAMPLE.matcher(page);
        assertTrue(header.find());
        Matcher example = EXAMPLE.matcher(section.text());
        assertTrue(example.find());
        String body = example.group(1);
        // An example that lists code of its own replaces the common line.
        String head =
                body.startsWith("code:")
                        ? header.group(1).replaceAll("(?m)^code:.*\n", "")
                        : header.group(1);
        String text = head + body.replace("COMPILED", compiled(section).toString());
        Matcher accepted = ACCEPTED.matcher(section.text());
        Matcher wired = WIRED.matcher(section.text());
        Verdict verdict =
                accepted.find()
                        ? check(text).against(AcceptedRoster.parse(accepted.group(1), "a.txt"), DAY)
                        : wired.find()
                                ? set(text).checkWiring(wired.group(1), wired.group(2), DAY)
                                : check(text);
        List<Finding> findings =
                verdict.allFindings().stream()
                        .filter(
                                finding ->
                                        finding.severity() != Severity.NOTE
                                                || finding.kind().id().equals(section.id()))
                        .toList();
        assertEquals(marks(text), places(findings, (int) head.lines().count()));
        assertAll(
                findings.stream()
                        .map(
                                finding ->
                                        () ->
                                                assertFalse(
                                                        finding.details().isEmpty(),
                                                        "no remedy: " + finding.message())));
        boolean incomplete =
                verdict.profiles().stream()
                        .anyMatch(each -> each.complete().filter(whole -> !whole).isPresent());
        assertEquals(section.incomplete(), incomplete);
        assertTrue(hasCleanCase(verdict, section.id()), "no profile in which it is not told");
    }

    /** Whether the example shows a profile that has no such finding, where profiles have them. */
    private static boolean hasCleanCase(Verdict verdict, String id) {
        return verdict.findings().stream().anyMatch(finding -> finding.kind().id().equals(id))
                || verdict.profiles().stream()
                        .anyMatch(
                                profile ->
                                        profile.findings().stream()
                                                .noneMatch(
                                                        finding -> finding.kind().id().equals(id)));
    }

    /** The Java of the section, compiled piece by piece into one folder. */
    private static Path compiled(Section section) throws IOException {
        Path folder = JavaCode.newFolder();
        boolean isOfTests = section.text().contains("COMPILED/test-classes");
        Path classes = isOfTests ? folder.resolve("test-classes") : folder;
        Files.createDirectories(classes);
        Matcher java = JAVA.matcher(section.text());
        while (java.find()) {
            JavaCode.compileInto(classes, java.group(1));
        }
        return folder;
    }

    private static ProfileSet set(String text) {
        return ProfileFiles.parse(text.getBytes(StandardCharsets.UTF_8), "it.harbor.yaml", ROOT);
    }

    private static Verdict check(String text) {
        ProfileSet set = set(text);
        return text.contains("# <- " + FindingKinds.BUILD_FAILED.id())
                ? built(set, DAY)
                : set.check(DAY);
    }

    private static Verdict built(ProfileSet set, LocalDate day) {
        Verdict verdict = set.check(day);
        Map<String, List<Finding>> found = new TreeMap<>();
        for (ProfileVerdict profile : verdict.profiles()) {
            URL[] places =
                    set.classPath(profile.name()).stream().map(JavaCode::url).toArray(URL[]::new);
            ClassLoader loader =
                    new URLClassLoader(places, FindingsPageTest.class.getClassLoader());
            found.put(profile.name(), TrialBuild.of(set.plan(profile.name()), loader));
        }
        return verdict.afterBuilding(found, day);
    }

    private static TreeSet<String> marks(String text) {
        TreeSet<String> marks = new TreeSet<>();
        List<String> lines = text.lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            Matcher mark = MARK.matcher(lines.get(i));
            if (mark.find()) {
                marks.add(String.format("%3d %s", i + 1, mark.group(1)));
            }
        }
        return marks;
    }

    /** Places as the marks write them; a finding about the whole file stands at the first line. */
    private static TreeSet<String> places(List<Finding> findings, int headLines) {
        TreeSet<String> places = new TreeSet<>();
        for (Finding finding : findings) {
            int line = finding.at().match(SourcePosition.InFile::line, in -> 0, in -> 0);
            places.add(String.format("%3d %s", Math.max(line, headLines + 1), finding.kind().id()));
        }
        return places;
    }
}
