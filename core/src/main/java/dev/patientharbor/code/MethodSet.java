package dev.patientharbor.code;

import java.util.Set;
import java.util.stream.Collectors;

/** Methods by name and erased types, as one text: a text for each would take much room. */
public final class MethodSet {

    /** The set without a method. */
    public static final MethodSet NONE = new MethodSet("\n");

    /** The methods as one text, each between two ends of lines. */
    private final String lines;

    private MethodSet(String lines) {
        this.lines = lines;
    }

    /** Whether a method is among them; name and erased types as in JVMS 4.3.3. */
    public boolean has(String nameAndDescriptor) {
        int length = nameAndDescriptor.length();
        for (int at = lines.indexOf(nameAndDescriptor);
                at >= 0;
                at = lines.indexOf(nameAndDescriptor, at + 1)) {
            if (lines.charAt(at - 1) == '\n' && lines.charAt(at + length) == '\n') {
                return true;
            }
        }
        return false;
    }

    boolean hasNamed(String name) {
        return lines.contains('\n' + name + '(');
    }

    private Set<String> methods() {
        return lines.lines().collect(Collectors.toSet());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof MethodSet that && methods().equals(that.methods());
    }

    @Override
    public int hashCode() {
        return methods().hashCode();
    }

    @Override
    public String toString() {
        return lines.strip();
    }

    /** Collects methods. Not for several threads. */
    static final class Builder {
        private StringBuilder lines;

        void add(String name, String descriptor) {
            if (lines == null) {
                lines = new StringBuilder(128).append('\n');
            }
            lines.append(name).append(descriptor).append('\n');
        }

        MethodSet set() {
            return lines == null ? NONE : new MethodSet(lines.toString());
        }
    }
}
