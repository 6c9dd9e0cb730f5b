package dev.patientharbor.cli;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import dev.patientharbor.texts.NearNames;
import dev.patientharbor.texts.ShortName;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;

/** A program of the user's: an entry consumer that can be run or called, or a main class. */
final class UserProgram {

    private static final String MAIN = "main";

    private final Class<?> type;
    private final List<String> arguments;
    private final boolean isMade;

    private UserProgram(Class<?> type, List<String> arguments, boolean isMade) {
        this.type = type;
        this.arguments = arguments;
        this.isMade = isMade;
    }

    /** Its name in full. */
    String name() {
        return type.getName();
    }

    /** Finds the program that a command line names; nothing of it runs yet. */
    static UserProgram of(Plan plan, ClassLoader loader, RunOptions.Program program) {
        Class<?> type = type(plan, loader, program.name());
        boolean canRun =
                Runnable.class.isAssignableFrom(type) || Callable.class.isAssignableFrom(type);
        if (canRun && Rigs.knows(plan, type, Optional.empty())) {
            if (!program.arguments().isEmpty()) {
                throw new UnusableException(
                        type.getName()
                                + " takes no arguments, for it is no main class: leave out "
                                + String.join(" ", program.arguments()));
            }
            return new UserProgram(type, List.of(), true);
        }
        if (main(type).isEmpty()) {
            throw new UnusableException(
                    type.getName()
                            + " cannot be run: it has no public static void main(String[]), and is"
                            + " no Runnable or Callable that "
                            + plan.profile()
                            + " makes");
        }
        return new UserProgram(type, program.arguments(), false);
    }

    private static Class<?> type(Plan plan, ClassLoader loader, String name) {
        List<String> consumers = plan.roster().consumers();
        List<String> meant =
                consumers.stream().filter(each -> ShortName.of(each).equals(name)).toList();
        String full = meant.size() == 1 ? meant.get(0) : name;
        try {
            return Class.forName(full, false, loader);
        } catch (ClassNotFoundException | LinkageError missing) {
            List<String> near =
                    NearNames.of(
                            ShortName.of(name), consumers.stream().map(ShortName::of).toList());
            throw new UnusableException(
                    "there is no class "
                            + name
                            + " in the code of "
                            + plan.profile()
                            + (near.isEmpty() ? "" : "; near: " + String.join(", ", near)));
        }
    }

    private static Optional<Method> main(Class<?> type) {
        try {
            Method main = type.getMethod(MAIN, String[].class);
            boolean fits =
                    Modifier.isStatic(main.getModifiers()) && main.getReturnType() == void.class;
            return fits ? Optional.of(main) : Optional.empty();
        } catch (NoSuchMethodException | LinkageError none) {
            return Optional.empty();
        }
    }

    /**
     * Runs it to its end, that of its threads included.
     *
     * @return the exit code: 1 if it fails, the number that a Callable returns, else 0
     */
    int run(Rig rig, Console console) {
        int code = ExitCode.CLEAN;
        try {
            if (isMade) {
                Object made = rig.get(type);
                code = made instanceof Callable<?> callable ? called(callable, console) : ran(made);
            } else {
                main(type).orElseThrow().invoke(null, (Object) arguments.toArray(String[]::new));
            }
        } catch (InvocationTargetException failed) {
            code = failed(failed.getCause());
        } catch (Throwable failed) {
            // Whatever it is: it is the program that has failed.
            code = failed(failed);
        }
        awaitThreads();
        return code;
    }

    private static int ran(Object made) {
        ((Runnable) made).run();
        return ExitCode.CLEAN;
    }

    private static int called(Callable<?> callable, Console console) throws Exception {
        Object result = callable.call();
        if (result instanceof Integer number) {
            return number;
        }
        if (result != null) {
            console.out().println(result);
        }
        return ExitCode.CLEAN;
    }

    /** As Java itself tells of a main that fails. */
    private static int failed(Throwable failure) {
        System.err.print("Exception in thread \"main\" ");
        failure.printStackTrace();
        return ExitCode.FINDINGS;
    }

    /** Waits for the threads that the program has left running, but for those of the background. */
    private static void awaitThreads() {
        try {
            for (Optional<Thread> left = left(); left.isPresent(); left = left()) {
                left.get().join();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static Optional<Thread> left() {
        ThreadGroup group = Thread.currentThread().getThreadGroup();
        return Thread.getAllStackTraces().keySet().stream()
                .filter(thread -> thread.isAlive() && !thread.isDaemon())
                .filter(thread -> thread != Thread.currentThread())
                .filter(thread -> group.parentOf(thread.getThreadGroup()))
                .findFirst();
    }
}
