package dev.patientharbor.notation;

import dev.patientharbor.files.FilePaths;
import dev.patientharbor.files.UnfitFileException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Which of the files that a profile file names may be read: all, or those inside one folder. */
final class AllowedFiles {

    private final Optional<Path> inside;

    private AllowedFiles(Optional<Path> inside) {
        this.inside = inside;
    }

    static AllowedFiles everywhere() {
        return new AllowedFiles(Optional.empty());
    }

    /** What is in a folder or below it, once links are followed. */
    static AllowedFiles inside(Path folder) {
        return new AllowedFiles(Optional.of(folder));
    }

    /**
     * The path of what a file names.
     *
     * @param folder the folder of that file
     * @throws UnfitFileException if there can be no such file, or it may not be read
     */
    Path path(Path folder, String text) throws IOException {
        Path path = FilePaths.resolve(folder, text);
        if (inside.isPresent() && !real(path).startsWith(real(inside.get()))) {
            throw new UnfitFileException(
                    text, "it lies outside the profile's folder, and nothing out there is read");
        }
        return path;
    }

    /** Where a path leads; of what is not there, its nearest folder decides. */
    private static Path real(Path path) throws IOException {
        Path whole = path.toAbsolutePath().normalize();
        Path there = whole;
        while (there.getParent() != null && !Files.exists(there)) {
            there = there.getParent();
        }
        return there.toRealPath().resolve(there.relativize(whole));
    }
}
