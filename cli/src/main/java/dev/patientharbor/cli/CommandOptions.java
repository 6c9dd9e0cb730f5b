package dev.patientharbor.cli;

import dev.patientharbor.finding.Severity;
import java.io.File;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.TimeZone;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;
import picocli.CommandLine.ParseResult;

/** The options that commands share. Declared by code, not by annotations: that starts sooner. */
final class CommandOptions {

    static final String PROFILE = "--profile";
    private static final long MILLISECONDS_OF_DAY = 86_400_000;

    private static final String WIDE = "--wide";
    private static final String CODE = "--code";
    private static final String INSIDE_FOLDER = "--inside-folder";
    private static final String FORMAT = "--format";
    static final String OUT = "--out";
    private static final String FAIL_ON = "--fail-on";
    private static final String TODAY = "--today";
    private static final String TIME_LIMIT = "--time-limit";
    private static final String AGAINST = "--against";
    private static final String WIRED_BY = "--wired-by";
    private static final String BUILD = "--build";
    private static final String ALL_CODE = "--all-code";
    private static final String SECTION = "--section";
    private static final String PACKAGE = "--package";
    static final String IN_PLACE = "Compiled code to read, in place of the file's own.";

    private CommandOptions() {}

    static CommandSpec helpAndVersion(CommandSpec spec) {
        return help(spec)
                .addOption(
                        OptionSpec.builder("--version")
                                .versionHelp(true)
                                .description("Print the version.")
                                .build());
    }

    static CommandSpec help(CommandSpec spec) {
        return spec.addOption(
                        OptionSpec.builder("-h", "--help")
                                .usageHelp(true)
                                .description("Print this help.")
                                .build())
                .addOption(
                        OptionSpec.builder("--debug")
                                .hidden(true)
                                .description("Print where a fault happened.")
                                .build());
    }

    /** The options of a command that surveys code. */
    static CommandSpec surveying(Enum<?>[] forms, List<String> sections) {
        CommandSpec spec = naming();
        spec.addOption(code(IN_PLACE));
        spec.addOption(insideFolder());
        spec.addOption(
                many(
                                PACKAGE,
                                "PACKAGE",
                                "Show what concerns these packages alone; with .** also those"
                                        + " below.")
                        .build());
        spec.addOption(
                many(
                                SECTION,
                                "SECTION",
                                "Show these sections alone, and whole: "
                                        + String.join(", ", sections)
                                        + ".")
                        .completionCandidates(sections)
                        .build());
        spec.addOption(formats(forms));
        spec.addOption(one(OUT, "FILE", "Write the result there.").build());
        return help(spec);
    }

    private static CommandSpec naming() {
        CommandSpec spec = CommandSpec.create();
        spec.usageMessage().sortOptions(false);
        return spec.addPositional(
                PositionalParamSpec.builder()
                        .paramLabel("FILE")
                        .index("0")
                        .arity("0..1")
                        .type(String.class)
                        .description(
                                "The profile file, - for standard input; by default the only"
                                        + " *.harbor.yaml in the current folder.")
                        .build());
    }

    static OptionSpec code(String description) {
        return many(CODE, "PATH", description)
                .splitRegex("," + "|" + Pattern.quote(File.pathSeparator))
                .splitRegexSynopsisLabel(",")
                .build();
    }

    static OptionSpec insideFolder() {
        return OptionSpec.builder(INSIDE_FOLDER)
                .description(
                        "Read nothing that the file names outside its own folder: no"
                                + " included file, no settings, no code.")
                .build();
    }

    private static OptionSpec formats(Enum<?>[] forms) {
        List<String> formats = Arrays.stream(forms).map(CommandOptions::word).toList();
        return one(FORMAT, "FORMAT", "One of " + String.join(", ", formats) + ".")
                .completionCandidates(formats)
                .defaultValue(formats.get(0))
                .build();
    }

    static OptionSpec profiles() {
        return many(
                        PROFILE,
                        "NAME",
                        "Show these profiles alone; the whole file is checked all the same.")
                .build();
    }

    /** The options of a command that reads a profile file. */
    static CommandSpec reading(Enum<?>[] forms) {
        CommandSpec spec = naming();
        spec.addOption(profiles());
        spec.addOption(code(IN_PLACE));
        spec.addOption(
                OptionSpec.builder(ALL_CODE)
                        .description(
                                "Read every class of the code, and report those that are damaged;"
                                        + " without it only those on which an answer depends.")
                        .build());
        spec.addOption(insideFolder());
        spec.addOption(formats(forms));
        spec.addOption(one(OUT, "FILE", "Write the result there.").build());
        return help(judging(spec));
    }

    /**
     * The options of a command that reads a profile file and writes another one.
     *
     * @param file what it writes by default
     */
    static CommandSpec writing(String file) {
        CommandSpec spec = naming();
        spec.addOption(profiles());
        spec.addOption(code(IN_PLACE));
        spec.addOption(insideFolder());
        spec.addOption(one(OUT, "FILE", "Write it there, not to " + file + ".").build());
        return help(judging(spec));
    }

    /** The options of a command that reads a profile file again and again. */
    static CommandSpec watching() {
        CommandSpec spec = naming();
        spec.addOption(profiles());
        spec.addOption(code(IN_PLACE));
        spec.addOption(insideFolder());
        return help(spec);
    }

    /** What decides how a command that checks ends. */
    private static CommandSpec judging(CommandSpec spec) {
        spec.addOption(
                one(FAIL_ON, "SEVERITY", "End with 1 from here on: error, warning or note.")
                        .defaultValue("error")
                        .build());
        spec.addOption(
                one(TODAY, "DATE", "The day that until is compared with; by default this one.")
                        .build());
        return spec;
    }

    static OptionSpec.Builder many(String name, String label, String description) {
        return OptionSpec.builder(name)
                .paramLabel(label)
                .arity("1")
                .splitRegex(",")
                .type(List.class)
                .auxiliaryTypes(String.class)
                .description(description);
    }

    static OptionSpec.Builder one(String name, String label, String description) {
        return OptionSpec.builder(name)
                .paramLabel(label)
                .arity("1")
                .type(String.class)
                .description(description);
    }

    /** Of check: the roster that was accepted. */
    static OptionSpec against() {
        return one(
                        AGAINST,
                        "FILE",
                        "Report every answer that is not as it stands in this file, which accept"
                                + " has written.")
                .build();
    }

    /** The file of the accepted roster; blank if nobody asks. */
    static String against(ParseResult parsed) {
        return parsed.matchedOptionValue(AGAINST, "");
    }

    /** Of check: the method that wires by hand. */
    static OptionSpec wiredBy() {
        return one(
                        WIRED_BY,
                        "CLASS#METHOD",
                        "Hold the profile that --profile names against what this method hands over"
                                + " by hand.")
                .build();
    }

    /** The method that wires by hand; blank if nobody asks. */
    static String wiredBy(ParseResult parsed) {
        return parsed.matchedOptionValue(WIRED_BY, "");
    }

    /** Of check: whether every profile is really built. */
    static OptionSpec build() {
        return OptionSpec.builder(BUILD)
                .description(
                        "Really build every profile that is complete: this runs your constructors"
                                + " and factories, and reports what they throw.")
                .build();
    }

    /** Whether classes are read too on which no answer depends. */
    static boolean isAllCode(ParseResult parsed) {
        return parsed.hasMatchedOption(ALL_CODE);
    }

    /** Of check: how long one profile may take to be built. */
    static OptionSpec timeLimit() {
        return one(TIME_LIMIT, "SECONDS", "With --build: how long each profile may take.")
                .defaultValue("60")
                .build();
    }

    static int timeLimit(ParseResult parsed) {
        String given = parsed.matchedOptionValue(TIME_LIMIT, "60");
        if (!given.matches("[1-9][0-9]{0,5}")) {
            throw new UnusableException(
                    TIME_LIMIT + " takes a number of seconds from 1 to 999999, not " + given);
        }
        return Integer.parseInt(given);
    }

    static boolean isBuild(ParseResult parsed) {
        return parsed.hasMatchedOption(BUILD);
    }

    static List<String> profiles(ParseResult parsed) {
        return names(parsed, PROFILE, "names of profiles");
    }

    static List<String> packages(ParseResult parsed) {
        return names(parsed, PACKAGE, "names of packages");
    }

    static List<String> sections(ParseResult parsed) {
        return names(parsed, SECTION, "names of sections");
    }

    static List<String> code(ParseResult parsed) {
        return names(parsed, CODE, "folders and jars");
    }

    static List<String> names(ParseResult parsed, String option, String what) {
        List<String> given = parsed.matchedOptionValue(option, List.of());
        List<String> names = given.stream().filter(text -> !text.isBlank()).toList();
        if (names.isEmpty() && parsed.hasMatchedOption(option)) {
            throw new UnusableException(
                    option + " takes " + what + " with commas between, and there is none");
        }
        return names;
    }

    static boolean isInsideFolder(ParseResult parsed) {
        return parsed.hasMatchedOption(INSIDE_FOLDER);
    }

    static String file(ParseResult parsed) {
        return parsed.matchedPositionalValue(0, "");
    }

    static String out(ParseResult parsed) {
        return parsed.matchedOptionValue(OUT, "");
    }

    /** The form of the answer that is asked for; the first of those that there are by default. */
    static <F extends Enum<F>> F format(ParseResult parsed, F[] formats) {
        String wanted = parsed.matchedOptionValue(FORMAT, word(formats[0]));
        return Arrays.stream(formats)
                .filter(format -> word(format).equals(wanted))
                .findFirst()
                .orElseThrow(
                        () ->
                                new UnusableException(
                                        "there is no format "
                                                + wanted
                                                + "; write one of "
                                                + Arrays.stream(formats)
                                                        .map(CommandOptions::word)
                                                        .collect(Collectors.joining(", "))));
    }

    private static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT);
    }

    static Severity failOn(ParseResult parsed) {
        String word = parsed.matchedOptionValue(FAIL_ON, "error");
        return Severity.of(word)
                .orElseThrow(
                        () ->
                                new UnusableException(
                                        "--fail-on takes error, warning or note, not " + word));
    }

    /** Whether a word can be the name of a profile file, rather than one of a class. */
    static boolean isYaml(String word) {
        return word.endsWith(".yaml") || word.endsWith(".yml");
    }

    /** Whether lines are folded. */
    static OptionSpec wide(String description) {
        return OptionSpec.builder(WIDE).description(description).build();
    }

    static boolean isWide(ParseResult parsed) {
        return parsed.hasMatchedOption(WIDE);
    }

    static LocalDate today(ParseResult parsed) {
        String day = parsed.matchedOptionValue(TODAY, "");
        try {
            return day.isEmpty() ? today() : LocalDate.parse(day);
        } catch (DateTimeParseException fault) {
            throw new UnusableException("--today takes a day such as 2027-06-30, not " + day);
        }
    }

    /**
     * The same as {@code LocalDate.now()}, which looks into every jar of the class path for rules
     * of time zones; that takes a tenth of a short command.
     */
    private static LocalDate today() {
        long now = System.currentTimeMillis();
        long here = now + TimeZone.getDefault().getOffset(now);
        return LocalDate.ofEpochDay(Math.floorDiv(here, MILLISECONDS_OF_DAY));
    }

    static String version() {
        String version = CommandOptions.class.getPackage().getImplementationVersion();
        return Objects.requireNonNullElse(version, "(not packaged)");
    }
}
