package dev.patientharbor.cli;

import java.io.OutputStream;
import java.io.PrintStream;
import java.util.List;

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
        Console process = Console.ofProcess();
        Console console = new Console(nowhere, nowhere, process.layout());
        String port = args[0] + "/port.harbor.yaml";
        List<List<String>> all =
                List.of(
                        List.of(DemoCommand.NAME),
                        List.of(RosterCommand.NAME, port, "--format", "json"),
                        List.of(CheckCommand.NAME, "--help"),
                        List.of(CheckCommand.NAME, "--nothing"));
        all.forEach(one -> Tool.run(one.toArray(String[]::new), console));
        process.ended(ExitCode.CLEAN);
    }
}
