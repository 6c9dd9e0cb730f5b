package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a consumer makes by itself is shown wherever the consumer is. */
class ByItselfTest {

    private static final String OFFICE = "../examples/first-day/office.harbor.yaml";

    @TempDir private Path folder;

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            quoteCharacter = '`',
            textBlock =
                    """
                    roster FILE ; makes its own Mailer: new PostMailer · OverdueJob.java:18
                    roster FILE --consumer OverdueJob ; makes its own Mailer: new PostMailer · OverdueJob.java:18
                    roster FILE --consumer SeatFinder ; makes and fetches nothing by itself
                    roster FILE --format tree ; makes its own Mailer: new PostMailer · OverdueJob.java:18
                    roster FILE --format matrix ; makes its own Mailer: new PostMailer · OverdueJob.java:18
                    roster FILE --format markdown ; **OverdueJob** makes its own Mailer: new PostMailer
                    explain FILE OverdueJob ; makes its own Mailer: new PostMailer · OverdueJob.java:18
                    explain FILE SeatFinder ; SeatFinder · makes and fetches nothing by itself
                    check FILE ; warning hard-wired · OverdueJob.java:18
                    check FILE --format markdown ; OverdueJob.java:18
                    check FILE --format sarif ; "uri" : "gullwing/office/OverdueJob.java"
                    check FILE --format sarif ; "fullyQualifiedName" : "gullwing.office.OverdueJob, run"
                    check FILE --format json ; "file" : "OverdueJob.java"
                    check FILE --format junit ; classname="gullwing.office.OverdueJob" name="hard-wired
                    report FILE ; "places":["makes its own Mailer: new PostMailer · OverdueJob.java:18"]
                    accept FILE ; gullwing.office.OverdueJob | by itself in run [001] | live | gullwing.office.Mailer | makes new PostMailer (gullwing.office.PostMailer)
                    """,
            ignoreLeadingAndTrailingWhitespace = true,
            maxCharsPerColumn = 500)
    void each_view_tells_it(String command, String part) throws IOException {
        boolean isFile = command.startsWith("report") || command.startsWith("accept");
        Path out = folder.resolve("out");
        Ran ran = Ran.line(command.replace("FILE", OFFICE) + (isFile ? " --out " + out : ""));
        String text = isFile ? Files.readString(out) : ran.out();
        assertTrue(text.contains(part), text + ran.err());
    }

    @Test
    void what_is_new_since_the_roster_was_accepted_is_reported_at_its_line() throws IOException {
        String around =
                """
                package q;
                public interface Mailer { void send(); }
                package q;
                public class Post implements Mailer { public void send() {} }
                package q;
                public class Desk {
                    private final Mailer mailer;
                    public Desk(Mailer mailer) { this.mailer = mailer; }
                    void close() { mailer.send(); BODY }
                }
                """;
        Path classes = Files.createDirectory(folder.resolve("classes"));
        Path file =
                Files.writeString(
                        folder.resolve("q.harbor.yaml"),
                        """
                        patient-harbor: 1
                        code: [classes]
                        packages: [q]
                        entry: [Desk]
                        profiles: { test: { bindings: { Mailer: mock } } }
                        """);
        Path accepted = folder.resolve("accepted.txt");
        JavaCode.compileInto(classes, around.replace("BODY", ""));
        assertEquals(0, Ran.line("accept " + file + " --out " + accepted).code());
        JavaCode.compileInto(classes, around.replace("BODY", "new Post().send();"));
        Ran changed = Ran.line("check " + file + " --against " + accepted);
        assertEquals(1, changed.code(), changed.out());
        assertTrue(changed.out().contains("error roster-changed · Desk.java:5"), changed.out());
        assertTrue(
                changed.out().contains("Desk makes or fetches by itself what was not accepted."),
                changed.out());
        Ran.line("accept " + file + " --out " + accepted);
        Ran same = Ran.line("check " + file + " --against " + accepted);
        assertFalse(same.out().contains("roster-changed"), same.out());
    }
}
