package dev.patientharbor.code;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;

/** A path whose last name may hold {@code *} and {@code ?}; every other sign stands for itself. */
final class PlacePattern {

    private PlacePattern() {}

    static boolean isPattern(Path path) {
        String name = String.valueOf(path.getFileName());
        return name.indexOf('*') >= 0 || name.indexOf('?') >= 0;
    }

    /**
     * The paths that fit, sorted; of a path without a pattern, itself.
     *
     * @throws NoSuchFileException if nothing fits, or there is no such folder
     */
    static List<Path> expand(Path path) throws IOException {
        if (!isPattern(path)) {
            return List.of(path);
        }
        String name = String.valueOf(path.getFileName());
        Pattern pattern =
                Pattern.compile(
                        ("\\Q" + name.replace("\\E", "\\E\\\\E\\Q") + "\\E")
                                .replace("*", "\\E.*\\Q")
                                .replace("?", "\\E.\\Q"),
                        Pattern.DOTALL);
        Path folder = path.toAbsolutePath().getParent();
        List<Path> paths = new ArrayList<>();
        try (DirectoryStream<Path> all =
                Files.newDirectoryStream(
                        folder, file -> pattern.matcher(file.getFileName().toString()).matches())) {
            all.forEach(paths::add);
        }
        if (paths.isEmpty()) {
            throw new NoSuchFileException(path.toString());
        }
        paths.sort(Comparator.naturalOrder());
        return paths;
    }
}
