package dev.patientharbor.cli;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.ToIntBiFunction;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** The commands, each with what describes it and what runs it. */
enum Command {
    CHECK("check", CheckCommand::spec, CheckCommand::run),
    ROSTER("roster", RosterCommand::spec, RosterCommand::run),
    DEMO("demo", DemoCommand::spec, (parsed, console) -> DemoCommand.run(console));

    private final String word;
    private final Supplier<CommandSpec> spec;
    private final ToIntBiFunction<ParseResult, Console> runner;

    Command(String word, Supplier<CommandSpec> spec, ToIntBiFunction<ParseResult, Console> runner) {
        this.word = word;
        this.spec = spec;
        this.runner = runner;
    }

    /** The command of that word, if it is one. */
    static Optional<Command> of(String word) {
        return Arrays.stream(values()).filter(command -> command.word.equals(word)).findFirst();
    }

    /** What people type. */
    String word() {
        return word;
    }

    /** What it takes. */
    CommandSpec spec() {
        return spec.get().name(word);
    }

    /** Runs it, and says how it ended. */
    int run(ParseResult parsed, Console console) {
        return runner.applyAsInt(parsed, console);
    }
}
