package dev.patientharbor.texts;

/** Text for XML 1.0, which has no sign for some characters, escaped or not. */
public final class XmlCharacters {

    private XmlCharacters() {}

    /** The text; what XML cannot have stands as its number: {@code U+0007}. */
    public static String of(String text) {
        RequiredArgument.of(text, "text");
        StringBuilder safe = new StringBuilder();
        text.codePoints()
                .forEach(
                        point -> {
                            if (isAllowed(point)) {
                                safe.appendCodePoint(point);
                            } else {
                                safe.append(String.format("U+%04X", point));
                            }
                        });
        return safe.toString();
    }

    /** {@code Char} of the W3C recommendation, section 2.2. */
    private static boolean isAllowed(int point) {
        return point == '\t'
                || point == '\n'
                || point == '\r'
                || point >= 0x20 && point <= 0xD7FF
                || point >= 0xE000 && point <= 0xFFFD
                || point >= 0x10000;
    }
}
