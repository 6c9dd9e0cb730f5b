package gullwing.tours;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.ProfileSet;
import java.nio.file.Files;
import java.nio.file.Path;

/** The port's profile files, seen from the project's root or from one of its folders. */
final class Port {

    private Port() {}

    static ProfileSet read(String file) {
        return ProfileFiles.read(folder().resolve(file));
    }

    static Path folder() {
        Path here = Path.of("examples");
        return Files.isDirectory(here) ? here : Path.of("..", "examples");
    }
}
