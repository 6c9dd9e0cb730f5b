package dev.patientharbor.cli;

import dev.patientharbor.files.IoReason;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import picocli.CommandLine;
import picocli.CommandLine.Help.Ansi;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.ParseResult;
import picocli.CommandLine.UnmatchedArgumentException;

/** Parses the arguments and runs one command. */
public final class Tool {

    private static final String NAME = "patient-harbor";

    private Tool() {}

    /**
     * Runs the tool.
     *
     * @param args the arguments, without the name of the tool
     * @param console where it writes to
     * @return the exit code: 0 clean, 1 findings, 2 unusable, 3 a fault of ours
     */
    public static int run(String[] args, Console console) {
        CommandLine tool = tool(args);
        boolean debug = List.of(args).contains("--debug");
        try {
            ParseResult parsed = tool.parseArgs(args);
            return run(tool, parsed, console);
        } catch (ParameterException fault) {
            return unusable(fault, console);
        } catch (UnusableException fault) {
            return unusable(fault.getMessage(), fault, debug, console);
        } catch (UncheckedIOException fault) {
            return unusable(
                    fault.getMessage() + ": " + IoReason.of(fault.getCause()),
                    fault,
                    debug,
                    console);
        } catch (OutOfMemoryError fault) {
            console.notify(
                    NAME
                            + ": the memory is not enough for what is read; name less code, or give"
                            + " Java more by JAVA_TOOL_OPTIONS=-Xmx4g");
            return trace(fault, debug, console, ExitCode.UNUSABLE);
        } catch (RuntimeException | StackOverflowError fault) {
            console.notify(NAME + ": a fault of ours, not of your file: " + fault);
            if (!debug) {
                console.notify("  --debug shows where it happened");
            }
            return trace(fault, debug, console, ExitCode.OUR_FAULT);
        }
    }

    /**
     * The tool with the command that is asked for; where none is, with all: those that are named
     * among the arguments whole, the others in outline.
     */
    private static CommandLine tool(String[] args) {
        List<String> words = List.of(args);
        Optional<ToolCommand> wanted =
                words.isEmpty() ? Optional.empty() : ToolCommand.of(words.get(0));
        CommandLine tool = new CommandLine(spec());
        for (ToolCommand command : wanted.map(List::of).orElse(List.of(ToolCommand.values()))) {
            CommandSpec described =
                    words.contains(command.word()) ? command.spec() : command.outline();
            tool.addSubcommand(command.word(), described);
        }
        return tool;
    }

    /** Returns the tool with all its commands. */
    public static CommandLine whole() {
        CommandLine tool = new CommandLine(spec());
        for (ToolCommand command : ToolCommand.values()) {
            tool.addSubcommand(command.word(), command.spec());
        }
        return tool;
    }

    private static CommandSpec spec() {
        CommandSpec spec = CommandSpec.create().name(NAME);
        spec.usageMessage()
                .description(
                        "Checks, before anything runs, which implementation each consumer"
                                + " receives in every profile.")
                .commandListHeading("%nCommands:%n")
                .footer(
                        "",
                        "FILE defaults to the only *.harbor.yaml in the current folder.",
                        "Exit codes: 0 clean, 1 findings, 2 unusable input, 3 a fault of ours.");
        return CommandOptions.helpAndVersion(spec);
    }

    /** The arguments of one command, parsed. */
    static ParseResult parsed(String[] args) {
        return last(tool(args).parseArgs(args));
    }

    private static ParseResult last(ParseResult parsed) {
        return parsed.hasSubcommand() ? last(parsed.subcommand()) : parsed;
    }

    private static int run(CommandLine tool, ParseResult parsed, Console console) {
        ParseResult last = last(parsed);
        if (parsed.isUsageHelpRequested() || last.isUsageHelpRequested()) {
            usage(last.commandSpec().commandLine(), console);
            return ExitCode.CLEAN;
        }
        if (last.isVersionHelpRequested()) {
            console.out().println(NAME + " " + CommandOptions.version());
            return ExitCode.CLEAN;
        }
        Optional<ToolCommand> command = ToolCommand.of(last.commandSpec().name());
        if (command.isEmpty()) {
            usage(tool, console);
            return ExitCode.UNUSABLE;
        }
        return command.get().run(last, console);
    }

    private static void usage(CommandLine command, Console console) {
        command.setUsageHelpWidth(Math.max(80, Math.min(console.layout().width(), 110)));
        PrintWriter out = new PrintWriter(console.out());
        command.usage(out, Ansi.OFF);
        out.flush();
    }

    private static int unusable(ParameterException fault, Console console) {
        console.notify(NAME + ": " + fault.getMessage());
        if (fault instanceof UnmatchedArgumentException unmatched) {
            List<String> near = unmatched.getSuggestions();
            if (!near.isEmpty()) {
                console.notify("  did you mean " + String.join(", ", near) + "?");
            }
        }
        console.notify(
                "  "
                        + fault.getCommandLine().getCommandSpec().qualifiedName()
                        + " --help shows what there is");
        return ExitCode.UNUSABLE;
    }

    private static int unusable(
            String message, RuntimeException fault, boolean debug, Console console) {
        console.notify(NAME + ": " + message);
        return trace(fault, debug, console, ExitCode.UNUSABLE);
    }

    private static int trace(Throwable fault, boolean debug, Console console, int code) {
        if (debug) {
            StringWriter trace = new StringWriter();
            fault.printStackTrace(new PrintWriter(trace));
            trace.toString().lines().forEach(line -> console.notify(line.replace("\t", "    ")));
        }
        return code;
    }
}
