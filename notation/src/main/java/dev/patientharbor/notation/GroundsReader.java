package dev.patientharbor.notation;

import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.WrittenName;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Optional;

/** Reads why something is so, who answers for it, and until when. */
final class GroundsReader {

    private GroundsReader() {}

    static Grounds read(YamlMap map) {
        return new Grounds(
                map.take("because").flatMap(node -> node.text("a reason")).map(WrittenName::text),
                map.take("owner").flatMap(node -> node.text("a name")).map(WrittenName::text),
                map.take("until").flatMap(GroundsReader::day));
    }

    private static Optional<LocalDate> day(YamlNode node) {
        Optional<WrittenName> text = node.text("a day, such as 2027-06-30");
        try {
            return text.map(name -> LocalDate.parse(name.text()));
        } catch (DateTimeParseException fault) {
            node.faults()
                    .malformed(
                            node.at(),
                            text.map(WrittenName::text).orElse("") + " is not a day.",
                            "write it as 2027-06-30");
            return Optional.empty();
        }
    }
}
