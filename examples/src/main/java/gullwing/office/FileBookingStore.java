package gullwing.office;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.LocalDate;
import java.util.List;

/** Keeps bookings in a file, a line for each. */
public final class FileBookingStore implements BookingStore {

    private final Path file;

    public FileBookingStore(Path file) {
        this.file = file;
    }

    @Override
    public void add(Booking booking) {
        String line = booking.day() + " " + booking.seat() + " " + booking.passenger();
        try {
            Files.write(file, List.of(line), StandardOpenOption.CREATE, StandardOpenOption.APPEND);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot book", fault);
        }
    }

    @Override
    public List<Booking> all() {
        try {
            return Files.exists(file)
                    ? Files.readAllLines(file).stream().map(FileBookingStore::booking).toList()
                    : List.of();
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot read the bookings", fault);
        }
    }

    private static Booking booking(String line) {
        String[] words = line.split(" ", 3);
        return new Booking(words[2], Integer.parseInt(words[1]), LocalDate.parse(words[0]));
    }
}
