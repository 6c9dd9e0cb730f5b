package gullwing.works;

import gullwing.port.BerthLedger;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Keeps the berths in a file: a line for each berth, empty if it is free. */
public final class DiskBerthLedger implements BerthLedger {

    private final Path file;

    /** Keeps its file in a folder, which is made if it is not there. */
    public DiskBerthLedger(Path folder) {
        try {
            file = Files.createDirectories(folder).resolve("berths.txt");
        } catch (IOException fault) {
            throw new UncheckedIOException("no folder for the berth ledger", fault);
        }
    }

    @Override
    public synchronized int reserve(String ship) {
        List<String> berths = new ArrayList<>(list());
        int free = berths.indexOf("");
        if (free < 0) {
            berths.add(ship);
            free = berths.size() - 1;
        } else {
            berths.set(free, ship);
        }
        write(berths);
        return free + 1;
    }

    @Override
    public synchronized List<String> list() {
        try {
            return Files.exists(file) ? Files.readAllLines(file) : List.of();
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot read " + file, fault);
        }
    }

    @Override
    public synchronized void release(String ship) {
        List<String> berths = new ArrayList<>(list());
        berths.replaceAll(moored -> moored.equals(ship) ? "" : moored);
        write(berths);
    }

    private void write(List<String> berths) {
        try {
            Files.write(file, berths);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot write " + file, fault);
        }
    }
}
