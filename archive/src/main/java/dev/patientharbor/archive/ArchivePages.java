package dev.patientharbor.archive;

import dev.patientharbor.cli.Tool;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import picocli.AutoComplete;
import picocli.CommandLine;
import picocli.codegen.docgen.manpage.ManPageGenerator;

/** Writes the sources of the manual pages, and the script for completion. */
public final class ArchivePages {

    private ArchivePages() {}

    /**
     * Writes them.
     *
     * @param args the folder
     */
    public static void main(String[] args) throws IOException {
        Path folder = Path.of(args[0]);
        CommandLine tool = Tool.whole();
        Path completion = Files.createDirectories(folder.resolve("completion"));
        Files.writeString(
                completion.resolve("patient-harbor.bash"),
                AutoComplete.bash(tool.getCommandName(), tool));
        File manual = Files.createDirectories(folder.resolve("manual")).toFile();
        int code =
                ManPageGenerator.generateManPage(
                        manual, null, new boolean[0], true, tool.getCommandSpec());
        if (code != 0) {
            throw new IOException("the manual pages could not be made: " + code);
        }
    }
}
