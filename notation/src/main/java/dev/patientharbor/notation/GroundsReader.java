package dev.patientharbor.notation;

import dev.patientharbor.model.Grounds;
import dev.patientharbor.model.Written;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Optional;

/** Reads why something is so, who answers for it, and until when. */
final class GroundsReader {

    private GroundsReader() {}

    static Grounds read(Fields fields) {
        return new Grounds(
                fields.take("because").flatMap(piece -> piece.text("a reason")).map(Written::text),
                fields.take("owner").flatMap(piece -> piece.text("a name")).map(Written::text),
                fields.take("until").flatMap(GroundsReader::day));
    }

    private static Optional<LocalDate> day(Piece piece) {
        Optional<Written> text = piece.text("a day, such as 2027-06-30");
        try {
            return text.map(one -> LocalDate.parse(one.text()));
        } catch (DateTimeParseException fault) {
            piece.faults()
                    .malformed(
                            piece.at(),
                            text.map(Written::text).orElse("") + " is not a day.",
                            "write it as 2027-06-30");
            return Optional.empty();
        }
    }
}
