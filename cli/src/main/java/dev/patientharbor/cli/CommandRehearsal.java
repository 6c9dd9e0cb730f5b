package dev.patientharbor.cli;

import dev.patientharbor.report.TextLayout;
import java.io.File;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * Runs every command once in one process, and shows nothing: so that whoever makes a class-data
 * archive can list the classes that they need.
 */
public final class CommandRehearsal {

    private CommandRehearsal() {}

    /**
     * Runs them.
     *
     * @param args the folder of the examples
     */
    public static void main(String[] args) throws IOException {
        PrintStream nowhere = new PrintStream(OutputStream.nullOutputStream());
        Console coloured = new Console(nowhere, nowhere, Console.ofProcess().layout());
        Console plain = new Console(nowhere, nowhere, TextLayout.plain(80));
        String port = args[0] + "/port.harbor.yaml";
        for (String option : List.of("--help", "--version")) {
            Main.run(new String[] {option}, plain);
        }
        Path jar = packed(Path.of(args[0], "target", "classes"));
        for (ToolCommand command : ToolCommand.values()) {
            for (List<String> arguments : rehearsals(command, port, jar.toString())) {
                Stream<String> line = Stream.concat(Stream.of(command.word()), arguments.stream());
                Main.run(
                        line.toArray(String[]::new),
                        command == ToolCommand.DEMO ? coloured : plain);
            }
        }
        Files.delete(jar);
    }

    /** A jar of the classes of a folder: most code is read from jars. */
    private static Path packed(Path classes) throws IOException {
        Path jar = Files.createTempFile("rehearsal", ".jar");
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(jar));
                Stream<Path> files = Files.walk(classes)) {
            for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                String name = classes.relativize(file).toString().replace(File.separatorChar, '/');
                out.putNextEntry(new ZipEntry(name));
                Files.copy(file, out);
            }
        }
        return jar;
    }

    /** The arguments with which a command is rehearsed, so that most of what it needs is met. */
    private static List<List<String>> rehearsals(ToolCommand command, String port, String jar) {
        return switch (command) {
            case DEMO -> List.of(List.of());
            case ROSTER -> List.of(List.of(port, "--format", "json"), List.of(port, "--code", jar));
            case EXPLAIN -> List.of(List.of(port, "NightDesk"));
            case COMPARE -> List.of(List.of(port, "dock-test", "winter"));
            case SURVEY -> List.of(List.of(port));
            case ACCEPT, COMPLETION, DRAFT, REPORT, RUN, WATCH -> List.of(List.of("--help"));
            case CHECK -> List.of(List.of("--help"), List.of("--nothing"));
        };
    }
}
