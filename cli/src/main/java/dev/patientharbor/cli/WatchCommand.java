package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.files.FileStates;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.CheckText;
import dev.patientharbor.report.WatchText;
import dev.patientharbor.watching.VerdictChange;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code watch}: a check after each change of what it depends on, until somebody ends it. */
final class WatchCommand {

    /** How long it waits before it asks the disk again, in milliseconds. */
    private static final int PAUSE = 200;

    private final ParseResult parsed;
    private final Console console;
    private ProfileSet set;
    private Verdict verdict;
    private FileStates states;

    private WatchCommand(ParseResult parsed, Console console) {
        this.parsed = parsed;
        this.console = console;
    }

    static CommandSpec spec() {
        return CommandOptions.watching();
    }

    static int run(ParseResult parsed, Console console) {
        return new WatchCommand(parsed, console).run();
    }

    private int run() {
        if (CommandOptions.file(parsed).equals(CheckRun.STANDARD_INPUT)) {
            throw new UnusableException("standard input does not change; name a file to watch");
        }
        set = read(FileStates.of(List.of()));
        verdict = CheckRun.verdict(set, parsed);
        console.out().print(CheckText.render(verdict, console.layout()));
        console.notify("watching " + states.size() + " files; Ctrl-C ends it");
        console.err().flush();
        try {
            while (true) {
                Thread.sleep(PAUSE);
                look();
            }
        } catch (InterruptedException ended) {
            return ExitCode.CLEAN;
        }
    }

    /** Checks again if something has changed, once nobody writes any more. */
    private void look() throws InterruptedException {
        FileStates now = FileStates.of(set.readFrom());
        Set<Path> changed = states.changesTo(now);
        if (changed.isEmpty()) {
            return;
        }
        for (FileStates later = again(); !now.changesTo(later).isEmpty(); later = again()) {
            now = later;
        }
        changed = states.changesTo(now);
        states = now;
        try {
            checkAgain(changed, now);
        } catch (UnusableException | UncheckedIOException unusable) {
            console.notify("patient-harbor: " + unusable.getMessage());
            console.err().flush();
        }
    }

    private FileStates again() throws InterruptedException {
        Thread.sleep(PAUSE / 4);
        return FileStates.of(set.readFrom());
    }

    /**
     * Reads the file, and takes down how all stands that it names: before any of that is read, so
     * that a change meanwhile is one that is seen next.
     *
     * @param known how files stood that were looked at before
     */
    private ProfileSet read(FileStates known) {
        FileStates seen = known;
        while (true) {
            ProfileSet next = CheckRun.set(parsed, new byte[0]);
            FileStates now = FileStates.of(next.readFrom());
            boolean knowsAll = !seen.lacks(now);
            seen = seen.before(now, next.readFrom());
            if (knowsAll) {
                states = seen;
                return next;
            }
        }
    }

    private void checkAgain(Set<Path> changed, FileStates known) {
        ProfileSet next = read(known);
        if (isAboutFilesAlone(changed, next.files())) {
            next.shareCodeOf(set);
        }
        Verdict after = CheckRun.verdict(next, parsed);
        VerdictChange change = VerdictChange.between(verdict, after);
        console.out()
                .print(WatchText.render(names(changed), change, verdict, after, console.layout()));
        console.out().flush();
        set = next;
        verdict = after;
    }

    /** Whether no class file has changed: what was read of the code still holds. */
    private boolean isAboutFilesAlone(Set<Path> changed, Collection<Path> files) {
        return files.containsAll(changed) || set.files().containsAll(changed);
    }

    private static Set<String> names(Set<Path> changed) {
        Set<String> names = new TreeSet<>();
        changed.forEach(path -> names.add(path.getFileName().toString()));
        return names;
    }
}
