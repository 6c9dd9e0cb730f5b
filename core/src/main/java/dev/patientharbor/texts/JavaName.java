package dev.patientharbor.texts;

import java.util.regex.Pattern;

/** The name of a class as Java source writes it. */
public final class JavaName {

    private static final Pattern BEFORE_NAME = Pattern.compile("\\$(?![\\d$]|$)");

    private JavaName() {}

    /** {@code p.Outer.Inner} for the binary name {@code p.Outer$Inner}; what has no name stays. */
    public static String of(String binaryName) {
        return binaryName.indexOf('$') < 0
                ? binaryName
                : BEFORE_NAME.matcher(binaryName).replaceAll(".");
    }

    /** Returns the name of a class as Java source writes it. */
    public static String of(Class<?> type) {
        return type.isArray() ? of(type.getComponentType()) + "[]" : of(type.getName());
    }
}
