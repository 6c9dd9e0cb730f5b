package dev.patientharbor.report;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.RosterFilter;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Writes the roster as one table (RFC 4180): a line for each need of each profile, and each member.
 */
public final class RosterCsv {

    private RosterCsv() {}

    /** The whole text; every line ends with {@code \r\n}. Fields are those of the JSON roster. */
    public static String render(Verdict verdict, RosterFilter filter) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(filter, "filter");
        List<Roster> rosters = new ArrayList<>();
        for (ProfileVerdict profile : verdict.profiles()) {
            if (!profile.isPartial()) {
                rosters.add(verdict.roster(profile.name()));
            }
        }
        Predicate<RosterRow> shown = filter.over(rosters);
        StringWriter text = new StringWriter();
        try (CsvWriter rows = CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(text)) {
            rows.writeRecord(
                    "profile",
                    "consumer",
                    "need",
                    "place",
                    "as",
                    "within",
                    "contract",
                    "key",
                    "carrier",
                    "member",
                    "kind",
                    "implementation",
                    "decorators",
                    "lifetime",
                    "instance",
                    "given",
                    "origin");
            for (Roster roster : rosters) {
                roster.rows().stream()
                        .filter(shown)
                        .forEach(
                                row ->
                                        write(
                                                rows,
                                                roster.profile(),
                                                row,
                                                "",
                                                row.slot().key(),
                                                row.carrier(),
                                                row.answer()));
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException("a text can be written to", impossible);
        }
        return text.toString();
    }

    private static void write(
            CsvWriter rows,
            String profile,
            RosterRow row,
            String member,
            Optional<Key> key,
            Optional<String> carrier,
            Answer answer) {
        rows.writeRecord(
                profile,
                row.consumer(),
                row.need(),
                row.place().code(),
                row.as().map(Slot::text).orElse(""),
                row.within().orElse(""),
                row.slot().contract().text(),
                key.map(Key::text).orElse(""),
                carrier.orElse(""),
                member,
                answer.kind().word(),
                answer.implementation().orElse(""),
                String.join(" ", answer.decorators()),
                answer.lifetime().map(choice -> choice.lifetime().word()).orElse(""),
                answer.instance().orElse(""),
                answer.given(),
                answer.origin().map(SourcePosition::text).orElse(""));
        int number = 1;
        for (Answer.Element element : answer.elements()) {
            write(
                    rows,
                    profile,
                    row,
                    (member.isEmpty() ? "" : member + '.') + number++,
                    element.key(),
                    element.carrier(),
                    element.answer());
        }
    }
}
