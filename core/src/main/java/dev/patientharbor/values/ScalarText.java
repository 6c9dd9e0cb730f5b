package dev.patientharbor.values;

import dev.patientharbor.model.DurationText;
import java.math.BigDecimal;
import java.net.URI;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Values that are one text, as people write them: a check and a rig read them by this alone. */
public final class ScalarText {

    private static final Map<String, String> UNBOXED =
            Map.of(
                    "java.lang.Byte", "byte",
                    "java.lang.Short", "short",
                    "java.lang.Integer", "int",
                    "java.lang.Long", "long",
                    "java.lang.Float", "float",
                    "java.lang.Double", "double",
                    "java.lang.Boolean", "boolean",
                    "java.lang.Character", "char");

    private static final List<String> OTHERS =
            List.of(
                    "java.lang.String",
                    "java.lang.CharSequence",
                    "java.math.BigDecimal",
                    "java.nio.file.Path",
                    "java.net.URI",
                    "java.time.Duration",
                    "java.time.Instant",
                    "java.time.LocalDate");

    private ScalarText() {}

    /** Whether values of a type are one text: a primitive type by its name, or a class. */
    public static boolean isScalar(String type) {
        return UNBOXED.containsKey(type) || UNBOXED.containsValue(type) || OTHERS.contains(type);
    }

    /**
     * Returns the object for which a text stands; empty if it stands for none of that type.
     *
     * @param type one of those that are one text
     * @param text the text; digits are those of ASCII, and no letter marks the type of a number
     */
    public static Optional<Object> parse(String type, String text) {
        try {
            return Optional.of(object(UNBOXED.getOrDefault(type, type), text));
        } catch (RuntimeException unfit) {
            // Every parser says by an exception of its own that the text does not fit.
            return Optional.empty();
        }
    }

    private static Object object(String type, String text) {
        return switch (type) {
            case "byte" -> Byte.valueOf(ascii(text));
            case "short" -> Short.valueOf(ascii(text));
            case "int" -> Integer.valueOf(ascii(text));
            case "long" -> Long.valueOf(ascii(text));
            case "float" -> Float.valueOf(unmarked(text));
            case "double" -> Double.valueOf(unmarked(text));
            case "boolean" -> flag(text);
            case "char" -> character(text);
            case "java.lang.String", "java.lang.CharSequence" -> text;
            case "java.math.BigDecimal" -> new BigDecimal(ascii(text));
            case "java.nio.file.Path" -> Path.of(text);
            case "java.net.URI" -> URI.create(text);
            case "java.time.Duration" -> DurationText.parse(text);
            case "java.time.Instant" -> Instant.parse(text);
            case "java.time.LocalDate" -> LocalDate.parse(text);
            default -> throw new IllegalArgumentException(type + " is not one text");
        };
    }

    private static String ascii(String text) {
        if (text.chars().anyMatch(sign -> sign > '~')) {
            throw new NumberFormatException("digits are those of ASCII");
        }
        return text;
    }

    /** Returns a number without the letter by which Java source says its type, as in {@code 1f}. */
    private static String unmarked(String text) {
        boolean marked = !text.isEmpty() && "fFdD".indexOf(text.charAt(text.length() - 1)) >= 0;
        if (marked || !text.equals(text.strip())) {
            throw new NumberFormatException("a number alone");
        }
        return ascii(text);
    }

    private static Boolean flag(String text) {
        if (!text.equals("true") && !text.equals("false")) {
            throw new IllegalArgumentException("true or false");
        }
        return Boolean.valueOf(text);
    }

    private static Character character(String text) {
        if (text.length() != 1) {
            throw new IllegalArgumentException("one character");
        }
        return text.charAt(0);
    }
}
