package dev.patientharbor.cli;

import picocli.AutoComplete;
import picocli.CommandLine;
import picocli.CommandLine.Model.CommandSpec;

/** {@code completion}: a script by which a shell completes commands, options and their words. */
final class CompletionCommand {

    private CompletionCommand() {}

    static CommandSpec spec() {
        CommandSpec spec = CommandSpec.create();
        return CommandOptions.help(spec);
    }

    static int run(Console console) {
        CommandLine tool = Tool.whole();
        console.out().print(AutoComplete.bash(tool.getCommandName(), tool));
        return ExitCode.CLEAN;
    }
}
