package dev.patientharbor.survey;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Comparator;
import java.util.Optional;

/**
 * A place in the code. Immutable.
 *
 * @param className the binary name of the class whose source it stands in
 * @param member what a reader of the source calls the method; "constructor" and "static
 *     initializer" also for what stands beside a field
 * @param file the name of the source file, without a folder, if the class file says it
 * @param line the line, from 1; 0 if the class file does not say it
 */
public record CodeLocation(String className, String member, Optional<String> file, int line) {

    /** Returns it as the place of a finding. */
    public SourcePosition position() {
        return new SourcePosition.InClass(
                className,
                member,
                file.filter(name -> line > 0).map(name -> new SourcePosition.InSource(name, line)));
    }

    public CodeLocation {
        RequiredArgument.of(className, "className");
        RequiredArgument.of(member, "member");
        RequiredArgument.of(file, "file");
    }

    /** Sorts by class, line and member. */
    public static final Comparator<CodeLocation> ORDER =
            Comparator.comparing(CodeLocation::className)
                    .thenComparing(CodeLocation::line)
                    .thenComparing(CodeLocation::member);

    /** Returns file and line as {@code FeeBooth.java:14}; the class if they are not known. */
    public String text() {
        return file.filter(name -> line > 0).map(name -> name + ':' + line).orElse(className);
    }
}
