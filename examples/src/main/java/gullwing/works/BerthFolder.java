package gullwing.works;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Where the berth ledger keeps its file: a new folder for each day of work. */
final class BerthFolder {

    private BerthFolder() {}

    static Path create() {
        try {
            return Files.createTempDirectory("gullwing-berths");
        } catch (IOException fault) {
            throw new UncheckedIOException("no folder for the berth ledger", fault);
        }
    }
}
