package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.profiles.ProfileSet;
import java.util.function.Function;
import picocli.CommandLine.ParseResult;

/** What a command does that checks and writes what it found to a file. */
final class WrittenFile {

    private WrittenFile() {}

    /**
     * Checks, writes, and says how it ended.
     *
     * @param byDefault the file where none is named
     * @param content what is written
     */
    static int of(
            ParseResult parsed,
            Console console,
            String byDefault,
            Function<Verdict, String> content) {
        Severity failOn = CommandOptions.failOn(parsed);
        ProfileSet set = CheckRun.set(parsed, CheckRun.input(parsed));
        ResultOutput output = ResultOutput.of(parsed, set, console, byDefault);
        Verdict verdict = CheckRun.verdict(set, parsed);
        output.write(content.apply(verdict));
        return CommandEnding.afterOther(verdict, failOn, console);
    }
}
