package dev.patientharbor.cli;

/** Where the process starts and ends. */
public final class Main {

    private Main() {}

    static {
        // The argument library would look for types that no argument of ours has: that takes time.
        System.setProperty("picocli.disable.closures", "true");
        System.setProperty("picocli.converters.excludes", ".*");
    }

    public static void main(String[] args) {
        int code = run(args, Console.ofProcess());
        // Nothing is left to do: ending at once saves the wait for idle threads.
        Runtime.getRuntime().halt(code);
    }

    /** Runs the tool, and hands over what it printed. */
    static int run(String[] args, Console console) {
        return console.ended(Tool.run(args, console));
    }
}
