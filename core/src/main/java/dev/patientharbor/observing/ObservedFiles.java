package dev.patientharbor.observing;

import dev.patientharbor.files.BoundedFile;
import dev.patientharbor.files.FileReplacement;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;

/** The files in which processes leave what they used: one each, so that none waits for another. */
public final class ObservedFiles {

    private static final String ENDING = ".observed.txt";

    private ObservedFiles() {}

    /** Returns a path in a folder that no other process, and no other call, gets. */
    public static Path newFile(Path folder) {
        return RequiredArgument.of(folder, "folder").resolve(UUID.randomUUID() + ENDING);
    }

    /**
     * Writes what was used to a file, in place of what stands there; its folder is made if it is
     * missing.
     *
     * @throws IOException if it cannot be written; nothing has changed then
     */
    public static void write(Path file, ObservedUse use) throws IOException {
        RequiredArgument.of(file, "file");
        RequiredArgument.of(use, "use");
        Files.createDirectories(file.toAbsolutePath().getParent());
        FileReplacement.write(file, use.text());
    }

    /**
     * Reads a file, or all files of a folder and of those below it whose names end with {@code
     * .observed.txt}.
     *
     * @return one for each file, in the order of their names
     * @throws IOException if something cannot be read
     * @throws IllegalArgumentException if a file is none of these: which, and what to do
     */
    public static List<ObservedUse> read(Path place) throws IOException {
        RequiredArgument.of(place, "place");
        if (!Files.isDirectory(place)) {
            return List.of(readFile(place));
        }
        List<Path> files;
        try (Stream<Path> all = Files.walk(place)) {
            files = all.filter(file -> file.toString().endsWith(ENDING)).sorted().toList();
        }
        List<ObservedUse> read = new ArrayList<>();
        for (Path file : files) {
            read.add(readFile(file));
        }
        return read;
    }

    private static ObservedUse readFile(Path file) throws IOException {
        byte[] bytes = BoundedFile.read(file, SizeLimit.OBSERVED_FILE);
        return ObservedUse.parse(new String(bytes, StandardCharsets.UTF_8), file.toString());
    }
}
