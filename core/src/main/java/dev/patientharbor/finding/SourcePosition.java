package dev.patientharbor.finding;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A place in what the user wrote: in a profile file, in a compiled class, or in Java source that
 * declares profiles. What is not known is left out, never invented.
 */
public sealed interface SourcePosition extends Comparable<SourcePosition> {

    /** One order for all places: files first, by path and position; then classes by name. */
    Comparator<SourcePosition> ORDER =
            Comparator.<SourcePosition, Boolean>comparing(where -> where instanceof InClass)
                    .thenComparing(
                            where -> where.match(InFile::path, InClass::className, InSource::file))
                    .thenComparing(where -> where.match(InFile::line, in -> 0, InSource::line))
                    .thenComparing(where -> where.match(InFile::column, in -> 0, in -> 0))
                    .thenComparing(where -> where.match(in -> "", InClass::member, in -> ""))
                    .thenComparing(where -> where.match(in -> 0, InClass::line, in -> 0));

    /** Calls the function for this kind of place, and returns its result. */
    <T> T match(
            Function<InFile, T> inFile,
            Function<InClass, T> inClass,
            Function<InSource, T> inSource);

    /**
     * The place as people read it: {@code port.harbor.yaml:61:3}, {@code gullwing.port.Rota,
     * constructor}, or {@code DeskTest.java:42} where the line of the source is known.
     */
    String text();

    @Override
    default int compareTo(SourcePosition other) {
        return ORDER.compare(this, other);
    }

    /** {@code path:line:column}, or {@code file:line}. */
    Pattern IN_FILE = Pattern.compile("(.+?)(?::(\\d{1,9}))?:(\\d{1,9})", Pattern.DOTALL);

    /** Returns the first character of a file; for what concerns the file as a whole. */
    static SourcePosition startOf(String path) {
        RequiredArgument.of(path, "path");
        return new InFile(path, 1, 1);
    }

    /** Returns the place that is a class as a whole. */
    static SourcePosition classNamed(String binaryName) {
        RequiredArgument.of(binaryName, "binaryName");
        return new InClass(binaryName, "");
    }

    /** Reads a place as {@link #text()} writes it. */
    static SourcePosition parse(String text) {
        Matcher inFile = IN_FILE.matcher(RequiredArgument.of(text, "text"));
        if (inFile.matches()) {
            String path = inFile.group(1);
            int last = Integer.parseInt(inFile.group(3));
            return inFile.group(2) == null
                    ? new InSource(path, last)
                    : new InFile(path, Integer.parseInt(inFile.group(2)), last);
        }
        int comma = text.indexOf(", ");
        return comma < 0
                ? classNamed(text)
                : new InClass(text.substring(0, comma), text.substring(comma + 2));
    }

    /**
     * A place in a text file.
     *
     * @param path the path as the user gave it
     * @param line from 1
     * @param column from 1, in characters
     */
    record InFile(String path, int line, int column) implements SourcePosition {
        public InFile {
            RequiredArgument.of(path, "path");
            if (line < 1 || column < 1) {
                throw new IllegalArgumentException(
                        "lines and columns start at 1: " + line + ":" + column);
            }
        }

        @Override
        public <T> T match(
                Function<InFile, T> inFile,
                Function<InClass, T> inClass,
                Function<InSource, T> inSource) {
            return inFile.apply(this);
        }

        @Override
        public String text() {
            return path + ":" + line + ":" + column;
        }
    }

    /**
     * A place in compiled code.
     *
     * @param className the binary name
     * @param member the member as people read it, empty for the class as a whole
     * @param source the line in its source, if the class file tells it
     */
    record InClass(String className, String member, Optional<InSource> source)
            implements SourcePosition {
        public InClass {
            RequiredArgument.of(className, "className");
            RequiredArgument.of(member, "member");
            RequiredArgument.of(source, "source");
        }

        /** A place of which no line is known. */
        public InClass(String className, String member) {
            this(className, member, Optional.empty());
        }

        private int line() {
            return source.map(InSource::line).orElse(0);
        }

        @Override
        public <T> T match(
                Function<InFile, T> inFile,
                Function<InClass, T> inClass,
                Function<InSource, T> inSource) {
            return inClass.apply(this);
        }

        @Override
        public String text() {
            return source.map(InSource::text)
                    .orElse(member.isEmpty() ? className : className + ", " + member);
        }
    }

    /**
     * A place in Java source, as a stack shows it.
     *
     * @param file the name of the file
     * @param line from 1
     */
    record InSource(String file, int line) implements SourcePosition {
        public InSource {
            RequiredArgument.of(file, "file");
        }

        @Override
        public <T> T match(
                Function<InFile, T> inFile,
                Function<InClass, T> inClass,
                Function<InSource, T> inSource) {
            return inSource.apply(this);
        }

        @Override
        public String text() {
            return file + ":" + line;
        }
    }
}
