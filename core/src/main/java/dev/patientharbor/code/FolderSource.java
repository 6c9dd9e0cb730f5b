package dev.patientharbor.code;

import dev.patientharbor.files.BoundedFile;
import dev.patientharbor.files.IoReason;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.files.UnfitFileException;
import java.io.File;
import java.io.IOException;
import java.nio.file.FileSystemLoopException;
import java.nio.file.FileVisitOption;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;

/** Finds the files of a folder and of those below it; links are followed, circles of them cut. */
final class FolderSource {

    private static final int DEEPEST = 100;

    private FolderSource() {}

    /** A folder that is open, and what people call it. */
    private record OpenFolder(String place, ReadCount count) {}

    private record InFolder(OpenFolder in, String name, Path path, Optional<Object> identity)
            implements ClassFile {
        @Override
        public String place() {
            return in.place() + '/' + name;
        }

        @Override
        public byte[] bytes(SizeLimit limit) throws IOException {
            return in.count().counted(BoundedFile.read(path, limit));
        }
    }

    /**
     * Opens a folder.
     *
     * @param place the folder as people read it
     * @param unread takes what below it cannot be listed, as people read it, and the reason
     * @param count counts what is read from it
     */
    static ClassSource open(
            Path folder, String place, BiConsumer<String, String> unread, ReadCount count)
            throws IOException {
        Visitor visitor = new Visitor(folder, new OpenFolder(place, count), unread);
        Files.walkFileTree(folder, EnumSet.of(FileVisitOption.FOLLOW_LINKS), DEEPEST, visitor);
        return source(folder.toAbsolutePath().normalize(), visitor.files);
    }

    private static ClassSource source(Path folder, List<ClassFile> files) {
        List<ClassFile> classes = new ArrayList<>();
        List<ClassFile> services = new ArrayList<>(0);
        for (ClassFile file : files) {
            (ClassSource.isServices(file.name()) ? services : classes).add(file);
        }
        return new ClassSource(
                folder,
                classes.size(),
                () -> NamedEntries.of(classes),
                services,
                identity ->
                        files.stream()
                                .anyMatch(
                                        file ->
                                                file.identity()
                                                        .filter(identity::equals)
                                                        .isPresent()),
                () -> {});
    }

    private static final class Visitor extends SimpleFileVisitor<Path> {
        private final Path folder;
        private final OpenFolder open;
        private final int prefix;
        private final BiConsumer<String, String> unread;
        private final List<ClassFile> files = new ArrayList<>();
        private int seen;

        Visitor(Path folder, OpenFolder open, BiConsumer<String, String> unread) {
            this.folder = folder;
            this.open = open;
            this.unread = unread;
            String own = folder.toString();
            prefix =
                    own.isEmpty() || own.endsWith(File.separator) ? own.length() : own.length() + 1;
        }

        @Override
        public FileVisitResult visitFile(Path file, BasicFileAttributes attributes)
                throws IOException {
            if (ClassSource.tooMany(++seen)) {
                throw new UnfitFileException(open.place(), ClassSource.tooManyReason());
            }
            String name = file.toString().substring(prefix).replace(File.separatorChar, '/');
            if (ClassSource.isWanted(name) && attributes.isRegularFile()) {
                Optional<Object> identity = Optional.ofNullable(attributes.fileKey());
                files.add(new InFolder(open, name, file, identity));
            }
            return FileVisitResult.CONTINUE;
        }

        @Override
        public FileVisitResult visitFileFailed(Path file, IOException fault) throws IOException {
            if (file.equals(folder)) {
                throw fault;
            }
            if (!(fault instanceof FileSystemLoopException)) {
                String name = file.toString().substring(prefix).replace(File.separatorChar, '/');
                unread.accept(open.place() + '/' + name, IoReason.of(fault));
            }
            return FileVisitResult.CONTINUE;
        }

        @Override
        public FileVisitResult postVisitDirectory(Path visited, IOException fault) {
            return FileVisitResult.CONTINUE;
        }
    }
}
