package dev.patientharbor.cli;

/** Where the process starts and ends. */
public final class Main {

    private Main() {}

    public static void main(String[] args) {
        Console console = Console.ofProcess();
        int code = console.ended(Tool.run(args, console));
        // Nothing is left to do: ending at once saves the wait for idle threads.
        Runtime.getRuntime().halt(code);
    }
}
