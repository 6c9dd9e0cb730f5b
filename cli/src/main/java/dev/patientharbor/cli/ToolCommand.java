package dev.patientharbor.cli;

import java.util.Optional;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** The commands of the tool, each with what describes it and what runs it. */
enum ToolCommand {
    CHECK("check", "Reports whether every profile is complete, and every mistake with its reason."),
    ROSTER("roster", "Shows who receives what, consumer by consumer, profile beside profile."),
    EXPLAIN(
            "explain",
            "Explains one answer: of a consumer or one of its needs, why it receives that; of a"
                + " slot or an implementation, who receives it; of a profile, what it changes; of a"
                + " finding, what it means."),
    COMPARE(
            "compare",
            "Shows what differs between two profiles: who receives something else, and who feels"
                    + " it. With --with: what would differ if a line stood in the first."),
    REPORT(
            "report",
            "Writes one HTML file to look around in: who receives what in every profile, what"
                    + " differs, the graph, what is wrong, and how real each environment is."),
    ACCEPT(
            "accept",
            "Writes the accepted roster: one line for each need and profile, made for reviews."
                    + " check --against then reports every answer that is another one."),
    WATCH(
            "watch",
            "Checks again after each change of the profile file, of what it includes, of its"
                + " settings and of the code: tells what is new, what is gone, and who now receives"
                + " something else. Ctrl-C ends it."),
    RUN(
            "run",
            "Runs a program under a profile: an entry consumer that is a Runnable or Callable, or a"
                    + " main class, which takes what it needs from RunningRig.get(). This loads and"
                    + " runs code of yours."),
    SURVEY(
            "survey",
            "Reads compiled code, with or without a profile file: contracts, what is hard-wired,"
                    + " and what reaches outside."),
    DRAFT(
            "draft",
            "Writes a first profile file for compiled code: what fills each need, and for tests a"
                    + " mock of what reaches outside."),
    DEMO("demo", "Shows all of this on the Gullwing Ferry Port, with nothing to prepare."),
    COMPLETION(
            "completion",
            "Prints a script: source <(patient-harbor completion) completes commands and options in"
                    + " bash and zsh.");

    private final String word;
    private final String purpose;

    ToolCommand(String word, String purpose) {
        this.word = word;
        this.purpose = purpose;
    }

    /** The command of that word, if it is one. */
    static Optional<ToolCommand> of(String word) {
        for (ToolCommand command : values()) {
            if (command.word.equals(word)) {
                return Optional.of(command);
            }
        }
        return Optional.empty();
    }

    /** What people type. */
    String word() {
        return word;
    }

    /** The command with its name and purpose alone: making all options takes its time. */
    CommandSpec outline() {
        return named(CommandSpec.create());
    }

    private CommandSpec named(CommandSpec spec) {
        spec.usageMessage().description(purpose);
        return spec.name(word);
    }

    /** The command with all that it takes. */
    CommandSpec spec() {
        return named(
                switch (this) {
                    case CHECK -> CheckCommand.spec();
                    case ROSTER -> RosterCommand.spec();
                    case EXPLAIN -> ExplainCommand.spec();
                    case COMPARE -> CompareCommand.spec();
                    case REPORT -> ReportCommand.spec();
                    case ACCEPT -> AcceptCommand.spec();
                    case WATCH -> WatchCommand.spec();
                    case RUN -> RunCommand.spec();
                    case SURVEY -> SurveyCommand.spec();
                    case DRAFT -> DraftCommand.spec();
                    case DEMO -> DemoCommand.spec();
                    case COMPLETION -> CompletionCommand.spec();
                });
    }

    /** Runs it, and says how it ended. */
    int run(ParseResult parsed, Console console) {
        return switch (this) {
            case CHECK -> CheckCommand.run(parsed, console);
            case ROSTER -> RosterCommand.run(parsed, console);
            case EXPLAIN -> ExplainCommand.run(parsed, console);
            case COMPARE -> CompareCommand.run(parsed, console);
            case REPORT -> ReportCommand.run(parsed, console);
            case ACCEPT -> AcceptCommand.run(parsed, console);
            case WATCH -> WatchCommand.run(parsed, console);
            case RUN -> RunCommand.run(parsed, console);
            case SURVEY -> SurveyCommand.run(parsed, console);
            case DRAFT -> DraftCommand.run(parsed, console);
            case DEMO -> DemoCommand.run(console);
            case COMPLETION -> CompletionCommand.run(console);
        };
    }
}
