package dev.patientharbor.files;

import java.io.IOException;
import java.nio.file.FileVisitOption;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeSet;

/**
 * How some files and folders stand on the disk: sizes and times, of every file in a folder. Asks
 * the disk and no notices, which some file systems do not give. Immutable.
 */
public final class FileStates {

    /** The size of a file, and when it was changed last. */
    private record State(long size, long changed) {}

    private final Map<Path, State> states = new HashMap<>();

    private FileStates() {}

    /** How they stand now; what is not there has no state. */
    public static FileStates of(Collection<Path> paths) {
        FileStates now = new FileStates();
        for (Path path : paths) {
            Path existing = path;
            // A pattern stands for what its folder has.
            while (existing != null && !Files.exists(existing)) {
                existing = existing.getParent();
                if (existing != null && Files.isDirectory(existing)) {
                    break;
                }
            }
            if (existing != null) {
                now.add(existing, existing.equals(path) ? Integer.MAX_VALUE : 1);
            }
        }
        return now;
    }

    private void add(Path path, int depth) {
        try {
            Files.walkFileTree(
                    path,
                    EnumSet.of(FileVisitOption.FOLLOW_LINKS),
                    depth,
                    new SimpleFileVisitor<>() {
                        @Override
                        public FileVisitResult visitFile(Path file, BasicFileAttributes found) {
                            states.put(
                                    file,
                                    new State(found.size(), found.lastModifiedTime().toMillis()));
                            return FileVisitResult.CONTINUE;
                        }

                        @Override
                        public FileVisitResult visitFileFailed(Path file, IOException gone) {
                            return FileVisitResult.CONTINUE;
                        }
                    });
        } catch (IOException gone) {
            states.remove(path);
        }
    }

    /** The files that stand otherwise, or are in one of the two alone, sorted. */
    public TreeSet<Path> changesTo(FileStates later) {
        TreeSet<Path> changes = new TreeSet<>();
        later.states.forEach(
                (path, state) -> {
                    if (!state.equals(states.get(path))) {
                        changes.add(path);
                    }
                });
        states.keySet().stream()
                .filter(path -> !later.states.containsKey(path))
                .forEach(changes::add);
        return changes;
    }

    /** Returns whether there are files of which this has no state. */
    public boolean lacks(FileStates others) {
        return !states.keySet().containsAll(others.states.keySet());
    }

    /**
     * Returns the states of these files and of others, those of this where both have one: what was
     * seen first, so that no change since is lost.
     *
     * @param places where files are still of interest: themselves, or a folder around them
     */
    public FileStates before(FileStates later, Collection<Path> places) {
        FileStates all = new FileStates();
        states.forEach(
                (path, state) -> {
                    if (later.states.containsKey(path) || isAt(path, places)) {
                        all.states.put(path, state);
                    }
                });
        later.states.forEach(all.states::putIfAbsent);
        return all;
    }

    private static boolean isAt(Path path, Collection<Path> places) {
        return places.stream()
                .anyMatch(
                        place ->
                                path.startsWith(place)
                                        || isNameless(place) && isBeside(path, place));
    }

    /** A pattern stands for files of its folder. */
    private static boolean isNameless(Path place) {
        return place.toString().contains("*") || place.toString().contains("?");
    }

    private static boolean isBeside(Path path, Path place) {
        return path.getParent() != null && path.getParent().equals(place.getParent());
    }

    /** The number of files. */
    public int size() {
        return states.size();
    }
}
