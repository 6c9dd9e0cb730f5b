package dev.patientharbor.plan;

import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The digest of what a plan decides: who receives what, and who shares it; no positions, no names
 * of profiles. The labels of instances come from the rows alone, so that they are equal for equal
 * decisions.
 */
final class Fingerprint {

    private static final int BYTES = 6;

    private Fingerprint() {}

    static String of(List<RosterRow> rows, boolean eager) {
        MessageDigest digest = sha256();
        digest.update((byte) (eager ? 1 : 0));
        for (RosterRow row : rows) {
            Answer answer = row.answer();
            String decided =
                    String.join(
                            "\t",
                            row.consumer(),
                            row.place().code(),
                            row.as().map(Slot::text).orElse(""),
                            row.within().orElse(""),
                            row.slot().text(),
                            row.carrier().orElse(""),
                            text(answer));
            digest.update((decided + '\n').getBytes(StandardCharsets.UTF_8));
        }
        return HexFormat.of().formatHex(digest.digest(), 0, BYTES);
    }

    private static String text(Answer answer) {
        StringBuilder text =
                new StringBuilder(
                        String.join(
                                "\t",
                                answer.kind().word(),
                                answer.implementation().orElse(""),
                                answer.around().stream()
                                        .map(
                                                decorator ->
                                                        decorator.name() + ' ' + decorator.given())
                                        .collect(Collectors.joining(">")),
                                answer.lifetime()
                                        .map(choice -> choice.lifetime().word())
                                        .orElse(""),
                                answer.instance().orElse(""),
                                answer.given()));
        for (Answer.Element element : answer.elements()) {
            text.append("\t[").append(element.key().map(Key::written).orElse(""));
            text.append('\t').append(element.carrier().orElse(""));
            text.append('\t').append(text(element.answer())).append(']');
        }
        return text.toString();
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("every Java has SHA-256", impossible);
        }
    }
}
