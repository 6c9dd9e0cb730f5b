package dev.patientharbor.texts;

import java.util.regex.Pattern;

/** The names of classes as people read them. */
public final class ShortName {

    private static final Pattern PACKAGES = Pattern.compile("\\b(?:[a-z_]\\w*\\.)+(?=[A-Z])");

    private ShortName() {}

    /**
     * The name of a class without its package and the classes around it: {@code BerthClerk}. A
     * class that is named in a method, or has no name, keeps the class around it: {@code
     * ArrivalDesk$1}.
     */
    public static String of(String binaryName) {
        int at = binaryName.length();
        do {
            at = Math.max(binaryName.lastIndexOf('.', at - 1), binaryName.lastIndexOf('$', at - 1));
        } while (at > 0
                && binaryName.charAt(at) == '$'
                && at + 1 < binaryName.length()
                && Character.isDigit(binaryName.charAt(at + 1)));
        return binaryName.substring(at + 1);
    }

    /** A text with each class in it by its short name. */
    public static String everywhere(String text) {
        return PACKAGES.matcher(text).replaceAll("");
    }
}
