package dev.patientharbor.cli;

import dev.patientharbor.check.IncompleteProfileException;
import dev.patientharbor.files.FilePaths;
import dev.patientharbor.observing.ObservedFiles;
import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.RigException;
import dev.patientharbor.rig.Rigs;
import dev.patientharbor.rig.RunningRig;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URLClassLoader;
import java.nio.file.Path;
import java.util.Optional;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code run}: a program under a profile, in this very process. */
final class RunCommand {

    private final Console console;
    private final Optional<Path> observed;
    private Plan plan;
    private Rig rig;
    private boolean ended;
    private boolean hasFailedAtEnd;

    private RunCommand(Console console, Optional<Path> observed) {
        this.console = console;
        this.observed = observed;
    }

    static CommandSpec spec() {
        return RunOptions.spec();
    }

    static int run(ParseResult parsed, Console console) {
        RunOptions.Program program = RunOptions.program(parsed);
        ProfileSet set = CheckRun.set(parsed, program.file());
        String profile = RunOptions.profile(parsed, set);
        Optional<Path> observed = observed(parsed);
        if (observed.filter(set::isReadFrom).isPresent()) {
            throw new UnusableException("--observe names a file that is read here");
        }
        console.progress().begin(set::filesRead);
        Plan plan;
        try {
            plan = set.plan(profile);
        } catch (IncompleteProfileException incomplete) {
            console.progress().end();
            ("patient-harbor: " + incomplete.getMessage()).lines().forEach(console::notify);
            return ExitCode.FINDINGS;
        } catch (IllegalArgumentException unknown) {
            throw new UnusableException(unknown.getMessage());
        }
        console.progress().end();
        ClassLoader before = Thread.currentThread().getContextClassLoader();
        try (URLClassLoader loader = ProfileClasses.loader(set, profile)) {
            Thread.currentThread().setContextClassLoader(loader);
            return new RunCommand(console, observed).run(plan, loader, program);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot close the code of " + profile, fault);
        } finally {
            Thread.currentThread().setContextClassLoader(before);
        }
    }

    private static Optional<Path> observed(ParseResult parsed) {
        try {
            String file = RunOptions.observe(parsed);
            return file.isEmpty()
                    ? Optional.empty()
                    : Optional.of(FilePaths.resolve(Path.of(""), file));
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot write what is observed", fault);
        }
    }

    private int run(Plan wanted, ClassLoader loader, RunOptions.Program program) {
        plan = wanted;
        UserProgram user = UserProgram.of(plan, loader, program);
        try {
            rig = observed.isPresent() ? Rigs.buildWatched(plan, loader) : Rigs.build(plan, loader);
        } catch (RigException failed) {
            tell(failed);
            return ExitCode.FINDINGS;
        }
        RunningRig.begin(rig);
        console.notify(
                "runs "
                        + user.name()
                        + " under "
                        + plan.profile()
                        + ", plan "
                        + plan.fingerprint());
        console.err().flush();
        // The program may end the process by itself.
        Thread atEnd = new Thread(this::end, "end of the run");
        Runtime.getRuntime().addShutdownHook(atEnd);
        int code = user.run(rig, console);
        end();
        Runtime.getRuntime().removeShutdownHook(atEnd);
        return code == ExitCode.CLEAN && hasFailedAtEnd ? ExitCode.FINDINGS : code;
    }

    /** Tells what the user's code has thrown where a rig is built or closed. */
    private void tell(RigException failed) {
        ("patient-harbor: " + failed.getMessage()).lines().forEach(console::notify);
    }

    /** Closes what was made, and writes what was used; once. */
    private synchronized void end() {
        if (ended) {
            return;
        }
        ended = true;
        if (observed.isPresent()) {
            try {
                ObservedFiles.write(
                        observed.get(), rig.usage().observed(plan.title(), plan.profile()));
                console.notify("written to " + observed.get());
            } catch (IOException fault) {
                throw new UncheckedIOException("cannot write " + observed.get(), fault);
            }
        }
        try {
            rig.close();
        } catch (RigException failed) {
            hasFailedAtEnd = true;
            tell(failed);
        }
        console.err().flush();
    }
}
