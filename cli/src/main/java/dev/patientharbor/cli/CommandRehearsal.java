package dev.patientharbor.cli;

import dev.patientharbor.report.TextLayout;
import java.io.OutputStream;
import java.io.PrintStream;
import java.util.List;
import java.util.stream.Stream;

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
    public static void main(String[] args) {
        PrintStream nowhere = new PrintStream(OutputStream.nullOutputStream());
        Console coloured = new Console(nowhere, nowhere, Console.ofProcess().layout());
        Console plain = new Console(nowhere, nowhere, TextLayout.plain(80));
        String port = args[0] + "/port.harbor.yaml";
        for (String option : List.of("--help", "--version")) {
            Main.run(new String[] {option}, plain);
        }
        for (ToolCommand command : ToolCommand.values()) {
            for (List<String> arguments : rehearsals(command, port)) {
                Stream<String> line = Stream.concat(Stream.of(command.word()), arguments.stream());
                Main.run(
                        line.toArray(String[]::new),
                        command == ToolCommand.DEMO ? coloured : plain);
            }
        }
    }

    /** The arguments with which a command is rehearsed, so that most of what it needs is met. */
    private static List<List<String>> rehearsals(ToolCommand command, String port) {
        return switch (command) {
            case DEMO -> List.of(List.of());
            case ROSTER -> List.of(List.of(port, "--format", "json"));
            case EXPLAIN -> List.of(List.of(port, "NightDesk"));
            case COMPARE -> List.of(List.of(port, "dock-test", "winter"));
            case SURVEY -> List.of(List.of(port));
            case ACCEPT, COMPLETION, DRAFT, REPORT, RUN, WATCH -> List.of(List.of("--help"));
            case CHECK -> List.of(List.of("--help"), List.of("--nothing"));
        };
    }
}
