package dev.patientharbor.cli;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.RosterFilter;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.graph.ObjectGraph;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.page.GraphSvg;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.CoverageText;
import dev.patientharbor.report.MatrixMarkdown;
import dev.patientharbor.report.MatrixText;
import dev.patientharbor.report.ObservedText;
import dev.patientharbor.report.RosterCsv;
import dev.patientharbor.report.RosterDot;
import dev.patientharbor.report.RosterJson;
import dev.patientharbor.report.RosterMermaid;
import dev.patientharbor.report.RosterText;
import dev.patientharbor.report.RosterTree;
import dev.patientharbor.report.TextLayout;
import dev.patientharbor.report.TouchesText;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code roster}: who receives what? */
final class RosterCommand {

    /** The forms of the answer. */
    private enum Format {
        TEXT,
        TREE,
        COVERAGE,
        MATRIX,
        JSON,
        CSV,
        MARKDOWN,
        DOT,
        MERMAID,
        SVG;

        /** Whether people read it at a terminal, so that more may stand below it. */
        boolean isForPeople() {
            return switch (this) {
                case TEXT, TREE, COVERAGE, MATRIX -> true;
                case JSON, CSV, MARKDOWN, DOT, MERMAID, SVG -> false;
            };
        }

        boolean canBeFiltered() {
            return switch (this) {
                case TEXT, MATRIX, CSV, MARKDOWN -> true;
                case TREE, COVERAGE, JSON, DOT, MERMAID, SVG -> false;
            };
        }

        String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    private RosterCommand() {}

    static CommandSpec spec() {
        return CommandOptions.reading(Format.values())
                .addOption(RosterOptions.wide())
                .addOption(RosterOptions.touches())
                .addOption(RosterOptions.observed())
                .addOption(RosterOptions.depth())
                .addOption(RosterOptions.consumersShown())
                .addOption(RosterOptions.slotsShown())
                .addOption(RosterOptions.kindsShown())
                .addOption(RosterOptions.differing());
    }

    static int run(ParseResult parsed, Console console) {
        Format format = CommandOptions.format(parsed, Format.values());
        Severity failOn = CommandOptions.failOn(parsed);
        ProfileSet set = CheckRun.set(parsed, CheckRun.input(parsed));
        ResultOutput output = ResultOutput.of(parsed, set, console);
        Verdict verdict = CheckRun.verdict(set, parsed);
        TextLayout layout = output.layout();
        TextLayout tables = output.tableLayout();
        boolean touches = RosterOptions.isWithTouches(parsed);
        RosterFilter filter = filter(parsed, format);
        int depth = RosterOptions.depth(parsed);
        if (depth != Integer.MAX_VALUE && format != Format.TREE) {
            throw new UnusableException("--depth goes with --format tree alone");
        }
        Optional<ObservedRosters> observed = RosterOptions.observed(parsed, verdict, filter);
        mustFit(observed.isPresent(), "--observed", format);
        mustFit(touches, "--touches", format);
        String text =
                switch (format) {
                    case MATRIX -> MatrixText.render(verdict, filter, tables);
                    case DOT -> RosterDot.render(verdict, graph(verdict));
                    case MERMAID -> RosterMermaid.render(verdict, graph(verdict));
                    case SVG -> GraphSvg.render(verdict, graph(verdict));
                    case CSV -> RosterCsv.render(verdict, filter);
                    case MARKDOWN -> MatrixMarkdown.render(verdict, filter);
                    case JSON ->
                            RosterJson.render(
                                    verdict,
                                    touches ? Optional.of(verdict.touches()) : Optional.empty(),
                                    observed);
                    case COVERAGE -> CoverageText.render(verdict, observed, tables);
                    case TREE -> RosterTree.render(verdict, depth, layout);
                    case TEXT ->
                            CommandOptions.isWide(parsed)
                                    ? RosterText.renderWide(verdict, filter, observed, layout)
                                    : RosterText.render(verdict, filter, observed, layout);
                };
        if (observed.isPresent() && format.isForPeople()) {
            text += ObservedText.render(verdict, observed.get(), layout);
        }
        if (touches && format.isForPeople()) {
            text += TouchesText.render(verdict, layout);
        }
        output.write(text);
        return CommandEnding.afterOther(verdict, failOn, console);
    }

    /** The graph of the only profile that is shown. */
    private static ObjectGraph graph(Verdict verdict) {
        List<String> names =
                verdict.profiles().stream()
                        .filter(profile -> !profile.isPartial())
                        .map(ProfileVerdict::name)
                        .toList();
        if (names.size() != 1) {
            throw new UnusableException(
                    "a graph is of one profile: write --profile and one of "
                            + String.join(", ", names));
        }
        return ObjectGraph.of(verdict.roster(names.get(0)));
    }

    private static RosterFilter filter(ParseResult parsed, Format format) {
        RosterFilter filter = RosterOptions.filter(parsed);
        if (!filter.equals(RosterFilter.ALL) && !format.canBeFiltered()) {
            throw new UnusableException(
                    "--consumer, --slot, --kind and --differing do not go with --format "
                            + format.word()
                            + "; they do with text, matrix, csv and markdown");
        }
        return filter;
    }

    private static void mustFit(boolean isAsked, String option, Format format) {
        if (isAsked && !format.isForPeople() && format != Format.JSON) {
            throw new UnusableException(
                    option + " does not go with --format " + format.word() + "; it does with json");
        }
    }
}
