package dev.patientharbor.code;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/** The class and service files of one folder or jar, sorted by name; open until closed. */
final class ClassSource {

    private static final String CLASS = ".class";

    /** In bytes; no compiler makes a larger class file. */
    private static final long LARGEST = 1 << 22;

    private static final String SERVICES = "META-INF/services/";

    private final List<ClassFile> classFiles;
    private final List<ClassFile> serviceFiles;
    private final ZipFile jar;

    private ClassSource(List<ClassFile> files, ZipFile jar) {
        classFiles = files.stream().filter(one -> isClass(one.name())).toList();
        serviceFiles = files.stream().filter(one -> one.name().startsWith(SERVICES)).toList();
        this.jar = jar;
    }

    List<ClassFile> classFiles() {
        return classFiles;
    }

    /** Adds what the service files list, by contract. */
    void readServices(Map<String, List<String>> services) {
        for (ClassFile file : serviceFiles) {
            List<String> listed =
                    services.computeIfAbsent(
                            file.name().substring(SERVICES.length()), one -> new ArrayList<>());
            try {
                new String(file.bytes(), StandardCharsets.UTF_8)
                        .lines()
                        .map(line -> line.replaceFirst("#.*", "").strip())
                        .filter(name -> !name.isEmpty() && !listed.contains(name))
                        .forEach(listed::add);
            } catch (IOException fault) {
                throw new UncheckedIOException("cannot read " + file.place(), fault);
            }
        }
    }

    void close() {
        if (jar != null) {
            try {
                jar.close();
            } catch (IOException fault) {
                throw new UncheckedIOException("cannot close " + jar.getName(), fault);
            }
        }
    }

    /**
     * Opens what a root names: one source, or one for each file that a pattern fits.
     *
     * @param opened the sources that are open already, by path; to be added to
     */
    static List<ClassSource> open(
            CodeRoot root, Map<Path, ClassSource> opened, List<Finding> findings) {
        String written = root.written().text();
        try {
            List<Path> paths = expand(root.path());
            if (paths.isEmpty()) {
                findings.add(missing(root, "No compiled code at " + written + "."));
            }
            List<ClassSource> sources = new ArrayList<>();
            for (Path path : paths) {
                boolean pattern = !path.equals(root.path());
                String place = pattern ? sibling(written, path) : written;
                Path known = path.toAbsolutePath().normalize();
                if (opened.containsKey(known)) {
                    sources.add(opened.get(known));
                } else if (Files.isDirectory(path)) {
                    opened.put(known, folder(path, place));
                    sources.add(opened.get(known));
                } else {
                    try {
                        opened.put(known, jar(path, place));
                        sources.add(opened.get(known));
                    } catch (ZipException fault) {
                        findings.add(
                                missing(
                                        root,
                                        "The file " + place + " is no jar that can be read."));
                    }
                }
            }
            return sources;
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot read " + written, fault);
        }
    }

    private static Finding missing(CodeRoot root, String message) {
        return Finding.of(
                        FindingKinds.CODE_MISSING,
                        root.written().at(),
                        root.written().text(),
                        message)
                .with("do", "compile it first, or correct the path");
    }

    private static String sibling(String written, Path path) {
        return written.substring(0, written.lastIndexOf('/') + 1) + path.getFileName();
    }

    private static List<Path> expand(Path path) throws IOException {
        String name = String.valueOf(path.getFileName());
        if (name.indexOf('*') < 0 && name.indexOf('?') < 0) {
            return Files.exists(path) ? List.of(path) : List.of();
        }
        Path folder = path.toAbsolutePath().getParent();
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        List<Path> paths = new ArrayList<>();
        try (DirectoryStream<Path> fitting = Files.newDirectoryStream(folder, name)) {
            fitting.forEach(paths::add);
        }
        paths.sort(Comparator.naturalOrder());
        return paths;
    }

    private static boolean isWanted(String name) {
        return isClass(name)
                || name.startsWith(SERVICES)
                        && name.indexOf('/', SERVICES.length()) < 0
                        && name.length() > SERVICES.length();
    }

    private static boolean isClass(String name) {
        return name.endsWith(CLASS)
                && !name.endsWith("module-info.class")
                && !name.startsWith("META-INF/");
    }

    private static ClassSource folder(Path folder, String place) throws IOException {
        record InFolder(String name, String place, Path path) implements ClassFile {
            @Override
            public byte[] bytes() throws IOException {
                return Files.readAllBytes(path);
            }
        }
        List<ClassFile> files = new ArrayList<>();
        int prefix = folder.toString().length() + 1;
        try (Stream<Path> paths = Files.walk(folder)) {
            for (Path path : (Iterable<Path>) paths.sorted()::iterator) {
                String whole = path.toString();
                if (whole.length() > prefix
                        && (whole.endsWith(CLASS) || whole.contains("services"))) {
                    String name = whole.substring(prefix).replace(File.separatorChar, '/');
                    if (isWanted(name) && Files.isRegularFile(path)) {
                        files.add(new InFolder(name, place + '/' + name, path));
                    }
                }
            }
        }
        return new ClassSource(files, null);
    }

    private static ClassSource jar(Path path, String place) throws IOException {
        ZipFile jar = new ZipFile(path.toFile());
        record InJar(String name, String place, ZipFile jar, ZipEntry entry) implements ClassFile {
            @Override
            public byte[] bytes() throws IOException {
                try (InputStream bytes = jar.getInputStream(entry)) {
                    // Room for the size that is told saves most copying; a false one does no harm.
                    byte[] told = new byte[(int) Math.min(Math.max(entry.getSize(), 0), LARGEST)];
                    int length = bytes.readNBytes(told, 0, told.length);
                    byte[] rest = bytes.readAllBytes();
                    if (length == told.length && rest.length == 0) {
                        return told;
                    }
                    byte[] all = Arrays.copyOf(told, length + rest.length);
                    System.arraycopy(rest, 0, all, length, rest.length);
                    return all;
                }
            }
        }
        List<ClassFile> files = new ArrayList<>();
        jar.stream()
                .filter(entry -> isWanted(entry.getName()))
                .sorted(Comparator.comparing(ZipEntry::getName))
                .forEach(
                        entry ->
                                files.add(
                                        new InJar(
                                                entry.getName(),
                                                place + "!/" + entry.getName(),
                                                jar,
                                                entry)));
        return new ClassSource(files, jar);
    }
}
