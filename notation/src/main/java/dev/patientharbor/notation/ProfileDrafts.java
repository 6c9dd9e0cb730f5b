package dev.patientharbor.notation;

import static java.nio.charset.StandardCharsets.UTF_8;

import dev.patientharbor.profiles.Surveys;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.texts.RequiredArgument;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;

/** Drafts a first profile file from compiled code. */
public final class ProfileDrafts {

    private ProfileDrafts() {}

    /**
     * Drafts a file with two profiles: {@code main} with the implementations that the code has, and
     * {@code test}, where what reaches outside is a mock. No class is loaded, and none is run.
     *
     * @param code folders, jars, or patterns, as the file will name them
     * @param folder where the file will be: paths that are not absolute start there
     * @param entry the entry consumers, by binary name; none for all that a survey tells
     * @throws IllegalArgumentException if there is nobody in the code who asks for a contract
     */
    public static ProfileDraft of(List<String> code, Path folder, List<String> entry) {
        RequiredArgument.of(code, "code");
        RequiredArgument.of(folder, "folder");
        RequiredArgument.of(entry, "entry");
        Path[] places = code.stream().map(folder::resolve).toArray(Path[]::new);
        Survey survey = Surveys.withoutTests(places);
        List<String> entries = entry.isEmpty() ? survey.entryConsumers() : entry;
        if (entries.isEmpty()) {
            throw new IllegalArgumentException(
                    "nobody in the code asks for a contract, so that there is nothing to fill");
        }
        return new DraftLoop(code, folder, survey, entries).draft();
    }

    /**
     * Drafts a file that wires as a method of the code does by hand: one profile for each way
     * through it that wires in another way. No class is loaded, and none is run.
     *
     * @param code folders, jars, or patterns, as the file will name them
     * @param folder where the file will be: paths that are not absolute start there
     * @param method {@code CLASS#METHOD}, or a class for its constructor; binary names
     * @throws IllegalArgumentException if there is no such method, or several, or it wires nothing
     */
    public static HandWiringDraft from(List<String> code, Path folder, String method) {
        RequiredArgument.of(code, "code");
        RequiredArgument.of(folder, "folder");
        RequiredArgument.of(method, "method");
        return HandWiringDrafter.draft(code, folder, method);
    }

    /**
     * Adds to a profile of a file what it misses, as {@link #of} would fill it. All that stands in
     * the file stays as it is, comments and spaces included. No class is loaded, and none is run.
     *
     * @param file the profile file; it is not written
     * @param profile a profile of it; of a partial one, what those that extend it miss
     * @param code folders, jars, or patterns, in place of the file's own; none for its own
     * @return the new text of the file
     * @throws java.io.UncheckedIOException if the file cannot be read
     * @throws IllegalArgumentException if there is no such profile in the file itself, or it is
     *     written in a way into which no line can go
     */
    public static ProfileDraft into(Path file, String profile, Path... code) {
        RequiredArgument.of(file, "file");
        RequiredArgument.of(profile, "profile");
        RequiredArgument.each(code, "code");
        String text = new String(ProfileFiles.bytes(file), UTF_8);
        Path folder = Objects.requireNonNullElse(file.getParent(), Path.of(""));
        return new DraftAddition(text, file.toString(), folder, List.of(code), profile).draft();
    }
}
