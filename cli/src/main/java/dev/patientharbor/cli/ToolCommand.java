package dev.patientharbor.cli;

import java.util.Arrays;
import java.util.Optional;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** The commands of the tool, each with what describes it and what runs it. */
enum ToolCommand {
    CHECK("check"),
    ROSTER("roster"),
    EXPLAIN("explain"),
    COMPARE("compare"),
    REPORT("report"),
    ACCEPT("accept"),
    WATCH("watch"),
    RUN("run"),
    SURVEY("survey"),
    DRAFT("draft"),
    DEMO("demo"),
    COMPLETION("completion");

    private final String word;

    ToolCommand(String word) {
        this.word = word;
    }

    /** The command of that word, if it is one. */
    static Optional<ToolCommand> of(String word) {
        return Arrays.stream(values()).filter(command -> command.word.equals(word)).findFirst();
    }

    /** What people type. */
    String word() {
        return word;
    }

    /** What it takes. */
    CommandSpec spec() {
        CommandSpec spec =
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
                };
        return spec.name(word);
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
