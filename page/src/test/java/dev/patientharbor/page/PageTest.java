package dev.patientharbor.page;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.observing.ObservedFiles;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.observing.ObservedUse;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;

/** The page, in a real browser: what it shows is what the rosters say. */
class PageTest {

    private static final Path CLASSES = Path.of("../examples/target/classes");

    @TempDir private static Path folder;

    private static Verdict port;
    private static Path page;
    private static Path broken;
    private static Browser browser;

    @BeforeAll
    static void write() throws IOException {
        port = check("port");
        page = Files.writeString(folder.resolve("port.html"), ReportPage.render(port));
        broken =
                Files.writeString(
                        folder.resolve("broken.html"), ReportPage.render(check("broken")));
        browser = Browser.open();
    }

    @AfterAll
    static void close() {
        if (browser != null) {
            browser.close();
        }
    }

    static Verdict check(String name) {
        return ProfileFiles.read(Path.of("../examples", name + ".harbor.yaml"))
                .withCode(CLASSES)
                .check(LocalDate.EPOCH);
    }

    /** The needs of all profiles, each once. */
    private static Map<String, RosterRow> needs() {
        Map<String, RosterRow> needs = new TreeMap<>();
        port.rosters()
                .values()
                .forEach(roster -> roster.rows().forEach(row -> needs.put(row.identity(), row)));
        return needs;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    ''                                | Matrix   | .sheet table
                    #matrix?differing=1&text=gauge    | Matrix   | .sheet table
                    #consumer/gullwing.quay.FeeBooth  | Consumer | .need .chain
                    #consumer/FeeBooth                | Consumer | .need .chain
                    #graph/winter                     | Graph    | svg .box
                    #graph/winter/3?with=live         | Graph    | svg .box.chosen
                    #findings                         | Findings | .finding
                    #realism                          | Realism  | .real-cell
                    #nothing/of/the%kind              | Matrix   | .sheet table
                    """)
    void every_view_has_an_address_of_its_own_and_asks_nobody_for_anything(
            String hash, String view, String holds) {
        browser.complaints();
        browser.open(page, hash == null ? "" : hash);
        assertEquals(view, browser.text("nav [aria-current]"));
        assertTrue(!browser.all(holds).isEmpty(), holds);
        assertEquals(view + " · Gullwing Ferry Port", browser.driver().getTitle());
        assertEquals(0L, browser.run("return performance.getEntriesByType('resource').length"));
        assertEquals(List.of(), browser.complaints());
    }

    @Test
    void each_cell_of_the_matrix_is_what_the_roster_says() {
        browser.open(page, "#matrix");
        List<String> profiles = List.copyOf(port.rosters().keySet());
        Map<String, List<String>> shown = new TreeMap<>();
        for (WebElement row : browser.all("tbody tr")) {
            List<String> cells = new ArrayList<>();
            for (WebElement cell : row.findElements(By.cssSelector("td.answer"))) {
                String span = cell.getDomAttribute("colspan");
                for (int i = 0; i < (span == null ? 1 : Integer.parseInt(span)); i++) {
                    cells.add(cell.getText().lines().findFirst().orElse(""));
                }
            }
            shown.put(row.findElement(By.tagName("th")).getText(), cells);
        }
        Map<String, List<String>> expected = new TreeMap<>();
        needs().forEach(
                        (identity, need) ->
                                expected.put(
                                        port.shortName(need.consumer())
                                                + " "
                                                + need.need()
                                                + need.as()
                                                        .map(
                                                                slot ->
                                                                        " (in the slot "
                                                                                + slot.text(
                                                                                        port
                                                                                                ::shortName)
                                                                                + ")")
                                                        .orElse(""),
                                        profiles.stream()
                                                .map(name -> cell(port.roster(name), identity))
                                                .toList()));
        assertEquals(expected.keySet(), shown.keySet());
        expected.forEach((who, cells) -> assertEquals(cells, shown.get(who), who));
        assertTrue(expected.size() > 30);
    }

    @Test
    void a_consumer_is_shown_with_what_each_profile_gives_it_and_where_that_was_said() {
        int places = 0;
        for (String consumer : port.roster("winter").consumers()) {
            browser.open(page, "#consumer/" + consumer);
            String shown = browser.text("section");
            for (String profile : port.rosters().keySet()) {
                for (RosterRow row : port.roster(profile).rows()) {
                    if (row.consumer().equals(consumer)) {
                        assertTrue(shown.contains(row.need() + " · "), shown);
                        assertTrue(shown.contains(profile), shown);
                        String at =
                                row.answer()
                                        .origin()
                                        .map(
                                                place ->
                                                        place.match(
                                                                in -> in.text(),
                                                                in -> "the class itself",
                                                                in -> in.text()))
                                        .orElse("");
                        assertTrue(
                                at.isEmpty() || shown.contains("said at\n" + at), at + " " + shown);
                        places += at.isEmpty() ? 0 : 1;
                    }
                }
            }
        }
        assertTrue(places > 100, places + " places");
    }

    @Test
    void findings_and_realism_are_those_of_the_check() {
        Verdict verdict = check("broken");
        browser.open(broken, "#findings");
        Set<String> expected = new TreeSet<>();
        verdict.allFindings()
                .forEach(each -> expected.add(each.kind().id() + " " + each.message()));
        List<String> shown =
                browser.all(".finding").stream()
                        .filter(each -> !each.getText().contains("not reported, because"))
                        .map(
                                each ->
                                        each.findElement(By.tagName("b")).getText()
                                                + " "
                                                + each.findElement(By.tagName("p")).getText())
                        .toList();
        assertEquals(expected, new TreeSet<>(shown));
        browser.open(page, "#realism");
        List<String> slots =
                port.coverage().slots().stream()
                        .map(
                                use ->
                                        use.slot().text(port::shortName)
                                                + " "
                                                + use.kinds().stream()
                                                        .map(
                                                                kinds ->
                                                                        kinds.isEmpty()
                                                                                ? "—"
                                                                                : kinds.stream()
                                                                                        .map(
                                                                                                AnswerKind
                                                                                                        ::word)
                                                                                        .collect(
                                                                                                Collectors
                                                                                                        .joining(
                                                                                                                " ")))
                                                        .collect(Collectors.joining(" "))
                                                + " "
                                                + use.firstReal().orElse("nowhere"))
                        .toList();
        assertEquals(
                slots,
                browser.all("tbody tr").stream()
                        .map(row -> row.getText().replace("\n", " "))
                        .toList());
    }

    @Test
    void realism_tells_what_runs_met_and_who_was_made_by_none() throws IOException {
        List<ObservedUse> use = ObservedFiles.read(Path.of("../examples/observed"));
        ObservedRosters observed =
                ObservedRosters.of(port.rosters().values(), ObservedUse.joined(port.title(), use));
        Path html =
                Files.writeString(
                        folder.resolve("observed.html"),
                        ReportPage.render(port, Optional.of(observed)));
        browser.open(html, "#realism");
        assertEquals(List.of(), browser.complaints());
        List<String> cells =
                port.coverage().slots().stream()
                        .flatMap(
                                slot ->
                                        port.coverage().profiles().stream()
                                                .map(each -> observed.leastRuns(each, slot.slot())))
                        .flatMap(Optional::stream)
                        .map(runs -> runs == 0 ? "no run" : runs == 1 ? "1 run" : runs + " runs")
                        .toList();
        assertEquals(
                cells,
                browser.all(".real-cell .detail").stream().map(WebElement::getText).toList());
        assertTrue(cells.contains("1 run") && cells.contains("no run"), cells.toString());
        List<String> never =
                observed.answers().stream()
                        .filter(each -> !each.isMet())
                        .map(
                                each ->
                                        each.slot().text(port::shortName)
                                                + " "
                                                + String.join(", ", each.runs().keySet()))
                        .toList();
        assertEquals(
                never,
                browser.all(".unmet-answers tbody tr").stream()
                        .map(
                                row ->
                                        row.findElement(By.tagName("th")).getText()
                                                + " "
                                                + row.findElements(By.tagName("td"))
                                                        .get(1)
                                                        .getText())
                        .toList());
    }

    private static String cell(Roster roster, String identity) {
        return roster.rows().stream()
                .filter(row -> row.identity().equals(identity))
                .findFirst()
                .map(row -> words(row.answer()))
                .orElse("—");
    }

    private static String words(Answer answer) {
        if (answer.kind() == AnswerKind.COLLECTION) {
            return "collection";
        }
        String core =
                answer.implementation()
                        .map(
                                name ->
                                        name.contains("#")
                                                ? port.shortName(
                                                                name.substring(
                                                                        0, name.indexOf('#')))
                                                        + name.substring(name.indexOf('#'))
                                                : port.shortName(name))
                        .orElse(answer.kind() == AnswerKind.STUB ? "canned answers" : "");
        String chain =
                answer.around().stream()
                        .map(each -> port.shortName(each.name()) + " → ")
                        .collect(Collectors.joining());
        String kind = answer.isMet() ? answer.kind().word() : "UNMET";
        return (kind + " " + chain + core).strip();
    }

    @Test
    void filters_sort_and_fold_show_what_they_say_and_stand_in_the_address() {
        browser.open(page, "#matrix");
        long all = needs().size();
        WebElement find = browser.one("input[type=search]");
        find.sendKeys("gauge");
        long gauges = browser.all("tbody tr").size();
        assertTrue(gauges > 3 && gauges < all, gauges + " of " + all);
        assertTrue(browser.text(".count").startsWith(gauges + " of " + all + " needs"));
        browser.all(".tools input[type=checkbox]").get(0).click();
        browser.all(".tools input[type=checkbox]").get(1).click();
        String hash = (String) browser.run("return location.hash");
        assertEquals("#matrix?text=gauge&differing=1&fold=1", hash);
        String folded = browser.text(".sheet");
        browser.open(page, hash);
        assertEquals(folded, browser.text(".sheet"), "the address leads to the same");

        browser.open(page, "#matrix?profile=live");
        assertEquals(port.roster("live").rows().size(), browser.all("tbody tr").size());
        browser.open(page, "#matrix?kind=mock");
        for (WebElement row : browser.all("tbody tr")) {
            assertTrue(row.getText().contains("mock"), row.getText());
        }
        browser.open(page, "#matrix");
        List<String> before = texts("tbody td.slot");
        browser.all("thead button").get(1).click();
        List<String> sorted = texts("tbody td.slot");
        assertNotEquals(before, sorted);
        assertEquals(sorted.stream().sorted(String.CASE_INSENSITIVE_ORDER).toList(), sorted);
        assertEquals("ascending", browser.all("thead th").get(1).getDomAttribute("aria-sort"));
    }

    private static List<String> texts(String css) {
        return browser.all(css).stream().map(each -> each.getText().replace("\n", "")).toList();
    }

    @ParameterizedTest
    @ValueSource(strings = {"#matrix", "#consumer", "#graph", "#findings", "#realism"})
    void on_a_narrow_screen_one_sees_which_view_it_is_and_the_page_is_no_wider(String hash) {
        for (Path file : List.of(page, broken)) {
            browser.screen(390, 844);
            browser.open(file, hash);
            Object seen =
                    browser.run(
                            "const tab = document.querySelector('nav"
                                    + " [aria-current]').getBoundingClientRect(); const all ="
                                    + " document.documentElement; return [tab.left >= 0, tab.right"
                                    + " <= all.clientWidth, all.scrollWidth <= all.clientWidth]");
            browser.screen(0, 0);
            assertEquals(List.of(true, true, true), seen, file + hash);
        }
    }

    @Test
    void everything_can_be_reached_with_the_keyboard_alone() {
        browser.open(page, "#graph/winter?with=live");
        Actions keys = new Actions(browser.driver());
        keys.sendKeys(Keys.TAB).perform();
        assertEquals("Skip to the view", focused());
        Set<String> reached = new TreeSet<>();
        for (int i = 0; i < 60 && !reached.contains("box"); i++) {
            keys.sendKeys(Keys.TAB).perform();
            reached.add(
                    (String)
                            browser.run(
                                    "const e = document.activeElement; return e.classList &&"
                                            + " e.classList[0] || e.tagName"));
        }
        assertTrue(
                reached.containsAll(List.of("A", "SELECT", "BUTTON", "canvas", "box")),
                "" + reached);
        keys.sendKeys(Keys.ENTER).perform();
        assertEquals(1, browser.all("svg .box.chosen").size());
        assertTrue(browser.text(".side").contains("Held by"));
        String before = browser.one("svg").getDomAttribute("viewBox");
        keys.sendKeys(Keys.ARROW_DOWN).sendKeys("+").perform();
        assertNotEquals(before, browser.one("svg").getDomAttribute("viewBox"));
    }

    private static String focused() {
        return (String) browser.run("return document.activeElement.textContent");
    }

    @Test
    void the_graph_has_the_objects_and_marks_what_differs() {
        browser.open(page, "#graph/winter?with=winter");
        assertEquals(0, browser.all("svg .box.differs").size());
        browser.open(page, "#graph/winter?with=live");
        assertTrue(browser.all("svg .box.differs").size() > 4);
        assertTrue(browser.text(".side").contains("TideGauge: SonarTideGauge"));
        browser.one("svg .box.stand-in").click();
        assertTrue(browser.all("svg .line.lit").size() > 0);
        assertTrue(
                ((String) browser.run("return location.hash"))
                        .matches("#graph/winter/\\d+\\?with=live"));
    }

    @Test
    void a_line_to_write_is_copied_without_what_stands_beside_it() {
        browser.open(broken, "#findings/unmet-need");
        assertTrue(browser.all(".finding.asked").size() > 0);
        WebElement box = browser.one(".write");
        assertTrue(box.getText().contains("   in the file"), box.getText());
        browser.driver()
                .executeCdpCommand(
                        "Browser.grantPermissions",
                        Map.of(
                                "permissions",
                                List.of("clipboardReadWrite", "clipboardSanitizedWrite")));
        box.findElement(By.tagName("button")).click();
        Object copied =
                browser.runLater(
                        "const done = arguments[0]; setTimeout(() =>"
                                + " navigator.clipboard.readText().then(done, done), 200)");
        assertTrue(
                box.getText().startsWith(String.valueOf(copied)), copied + " of " + box.getText());
        assertTrue(!String.valueOf(copied).contains("   "), String.valueOf(copied));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "#matrix",
                "#consumer/gullwing.quay.LockKeeper",
                "#graph/winter/20?with=live",
                "#findings",
                "#realism"
            })
    void an_accessibility_engine_has_nothing_to_complain_of_light_or_dark(String hash) {
        String engine = Browser.library("axe-core/4.6.3/axe.min.js");
        for (Path file : List.of(page, broken)) {
            for (boolean dark : List.of(false, true)) {
                browser.dark(dark);
                browser.open(file, hash);
                browser.run(engine);
                Object found =
                        browser.runLater(
                                "const done = arguments[0]; axe.run(document).then((result) =>"
                                    + " done(result.violations.filter((each) => each.impact !=="
                                    + " 'minor').map((each) => each.id + ': ' + each.nodes.slice(0,"
                                    + " 3).map((node) => node.html.slice(0, 160) + ' ' +"
                                    + " node.failureSummary).join(' | '))), (error) => done(['' +"
                                    + " error]))");
                assertEquals(List.of(), found, file + hash + (dark ? " dark" : " light"));
            }
        }
        browser.dark(false);
    }

    @Test
    void names_that_would_be_markup_are_text() throws IOException {
        String hostile =
                "</script><script>window.hit = 1</script><img src=x onerror='window.hit ="
                        + " 2'>\"'</style>";
        Path file = folder.resolve("hostile.harbor.yaml");
        Files.writeString(
                file,
                "patient-harbor: 1\ntitle: '"
                        + hostile.replace("'", "''")
                        + "'\ncode: ["
                        + CLASSES.toAbsolutePath()
                        + "]\n"
                        + "packages: [gullwing.port, gullwing.works, gullwing.quay]\n"
                        + "entry: [FeeBoard]\n"
                        + "profiles: { \"p</script><b>&amp;\": { bindings: { FeeSchedule: { stub:"
                        + " {} } } }, q: { bindings: { FeeSchedule: \"Tonnage<script>Fee\" } }"
                        + " }\n");
        Verdict verdict = ProfileFiles.read(file).check(LocalDate.EPOCH);
        Path html = Files.writeString(folder.resolve("hostile.html"), ReportPage.render(verdict));
        for (String hash : List.of("#matrix", "#consumer", "#graph", "#findings", "#realism")) {
            browser.open(html, hash);
            assertEquals(null, browser.run("return window.hit || null"));
            assertEquals(hostile, browser.text("h1"));
        }
        browser.open(html, "#matrix");
        assertTrue(browser.text("thead").contains("p</script><b>&amp;"), browser.text("thead"));
        assertEquals(0, browser.all("main img, main b").size());
    }

    @Test
    void a_large_set_is_drawn_where_one_looks() throws IOException {
        Path html = Files.writeString(folder.resolve("large.html"), LargePage.html(3_000, 30));
        assertTrue(Files.size(html) < 10_000_000, Files.size(html) + " bytes");
        browser.open(html, "#matrix");
        assertTrue(browser.text(".count").startsWith("3000 of 3000 needs"), browser.text(".count"));
        long drawn = browser.all("td.answer").size();
        assertTrue(drawn > 100 && drawn < 20_000, drawn + " cells are drawn");
        browser.run(
                "const sheet = document.querySelector('.sheet'); sheet.scrollTop ="
                        + " sheet.scrollHeight");
        browser.runLater("setTimeout(arguments[0], 500)");
        assertTrue(
                (Boolean)
                        browser.run(
                                "const sheet ="
                                    + " document.querySelector('.sheet').getBoundingClientRect();"
                                    + " const at = document.elementFromPoint(sheet.left + 40,"
                                    + " sheet.bottom - 40); return !!at.closest('tr') &&"
                                    + " !at.closest('tr.hold')"),
                "the end is drawn when it is seen");
        browser.one("input[type=search]").sendKeys("Consumer299_");
        assertTrue(browser.all("tbody tr").size() < 100);
    }

    @Test
    void a_validator_of_html_has_nothing_to_complain_of() throws Exception {
        Process validator =
                new ProcessBuilder(
                                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                                "-cp",
                                System.getProperty("java.class.path"),
                                "nu.validator.client.SimpleCommandLineValidator",
                                "--errors-only",
                                page.toString(),
                                broken.toString())
                        .redirectErrorStream(true)
                        .start();
        String said = new String(validator.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertEquals(0, validator.waitFor(), said);
    }

    @Test
    void equal_verdicts_give_equal_bytes() {
        assertEquals(ReportPage.render(port), ReportPage.render(check("port")));
        assertTrue(ReportPage.render(port).length() < 300_000);
    }
}
