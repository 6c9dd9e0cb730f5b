package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.RosterFilter;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.PassedParameter;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** Writes the roster for people: consumer by consumer, need by need, profile beside profile. */
public final class RosterText {

    private static final int WIDEST_LABEL = 26;
    private static final String ALL = "everywhere";

    /**
     * The most names in a line: of those who share an instance, and of bindings that are hidden.
     */
    private static final int MOST = 5;

    private final Verdict verdict;
    private final TextPage page;
    private final Map<String, Roster> rosters = new LinkedHashMap<>();
    private final Map<String, InstanceSharing> sharing = new LinkedHashMap<>();
    private final int most;
    private final CollectionMembers members;

    private final Predicate<RosterRow> shown;
    private final RosterFilter filter;
    private final Optional<ObservedRosters> observed;

    private RosterText(
            Verdict verdict,
            RosterFilter filter,
            Optional<ObservedRosters> observed,
            TextLayout layout,
            boolean wide) {
        this.verdict = verdict;
        this.observed = observed;
        most = wide ? Integer.MAX_VALUE : MOST;
        members = new CollectionMembers(sharing);
        page = new TextPage(layout);
        for (ProfileVerdict profile : verdict.profiles()) {
            if (!profile.isPartial()) {
                Roster roster = verdict.roster(profile.name());
                rosters.put(profile.name(), roster);
                sharing.put(profile.name(), new InstanceSharing(roster));
            }
        }
        shown = filter.over(rosters.values());
        this.filter = filter;
    }

    /**
     * The text; every line ends with {@code \n}. Five who share an instance are named and the
     * others counted, and members that several consumers receive are shown once.
     */
    public static String render(Verdict verdict, TextLayout layout) {
        return render(verdict, RosterFilter.ALL, layout);
    }

    /** The text of some rows, laid out in the same way. */
    public static String render(Verdict verdict, RosterFilter filter, TextLayout layout) {
        return render(verdict, filter, Optional.empty(), layout);
    }

    /**
     * The text of some rows, laid out in the same way.
     *
     * @param observed tells of each answer how many runs met it; empty if nobody asked
     */
    public static String render(
            Verdict verdict,
            RosterFilter filter,
            Optional<ObservedRosters> observed,
            TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(filter, "filter");
        RequiredArgument.of(observed, "observed");
        RequiredArgument.of(layout, "layout");
        return new RosterText(verdict, filter, observed, layout, false).render();
    }

    /** The whole text: whoever shares an instance is named, and members are shown each time. */
    public static String renderWide(Verdict verdict, RosterFilter filter, TextLayout layout) {
        return renderWide(verdict, filter, Optional.empty(), layout);
    }

    /**
     * The whole text.
     *
     * @param observed tells of each answer how many runs met it; empty if nobody asked
     */
    public static String renderWide(
            Verdict verdict,
            RosterFilter filter,
            Optional<ObservedRosters> observed,
            TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(filter, "filter");
        RequiredArgument.of(observed, "observed");
        RequiredArgument.of(layout, "layout");
        return new RosterText(verdict, filter, observed, layout, true).render();
    }

    /** One need, whatever the profile. */
    private record Need(RosterRow row) implements Comparable<Need> {

        /** Entry consumers first, then as in a roster. */
        private static final Comparator<RosterRow> ORDER =
                Comparator.<RosterRow, Boolean>comparing(row -> row.as().isPresent())
                        .thenComparing(RosterRow.ORDER)
                        .thenComparing(row -> row.slot().text());

        @Override
        public int compareTo(Need other) {
            return ORDER.compare(row, other.row);
        }
    }

    /** The same answer in one or more profiles. */
    private record RosterLine(RosterRow row, String about, List<String> profiles) {}

    private String render() {
        heading();
        Map<Need, List<RosterLine>> needs = needs();
        int column = 4 + labelWidth(needs) + 2;
        String above = "";
        Optional<RosterRow> last = Optional.empty();
        for (Map.Entry<Need, List<RosterLine>> need : needs.entrySet()) {
            String consumer = consumer(need.getKey().row());
            if (!consumer.equals(above)) {
                passed(last);
                byItself(last);
                last = Optional.of(need.getKey().row());
                page.blank().line(0).put(TextTone.TITLE, consumer).end();
                above = consumer;
            }
            need(need.getKey().row());
            need.getValue().forEach(told -> answerLines(told, column));
        }
        passed(last);
        byItself(last);
        withoutNeeds();
        return page.toString();
    }

    /** Writes what the caller of a handler passes, behind what is supplied to it. */
    private void passed(Optional<RosterRow> consumer) {
        Optional<Roster> any = rosters.values().stream().findFirst();
        if (consumer.filter(row -> row.as().isEmpty()).isEmpty() || any.isEmpty()) {
            return;
        }
        for (PassedParameter passed : any.get().passed()) {
            if (passed.consumer().equals(consumer.get().consumer())) {
                page.line(2)
                        .put(passed.name())
                        .put("· " + passed.type().text(verdict::shortName) + " ·")
                        .put(TextTone.QUIET, passed.place().words() + ": passed by the caller")
                        .end();
            }
        }
    }

    /** Writes what those make by themselves that ask for nothing. */
    private void withoutNeeds() {
        Set<String> asking = new HashSet<>();
        rosters.values().forEach(roster -> asking.addAll(roster.consumers()));
        for (String consumer : verdict.hardWired().keySet()) {
            if (!asking.contains(consumer) && filter.showsWithoutNeeds(consumer)) {
                page.blank()
                        .line(0)
                        .put(TextTone.TITLE, verdict.shortName(consumer) + " · asks for nothing")
                        .end();
                ReportWording.byItself(verdict, consumer)
                        .forEach(line -> page.line(2).put(TextTone.BAD, line).end());
            }
        }
    }

    /** Writes what a consumer makes by itself; that it is nothing, where consumers are named. */
    private void byItself(Optional<RosterRow> consumer) {
        if (consumer.isPresent()) {
            List<String> all = ReportWording.byItself(verdict, consumer.get().consumer());
            all.forEach(line -> page.line(2).put(TextTone.BAD, line).end());
            if (all.isEmpty() && !filter.consumers().isEmpty()) {
                page.line(2).put(TextTone.QUIET, ReportWording.NOTHING_BY_ITSELF).end();
            }
        }
    }

    private void heading() {
        page.line(0).put(TextTone.TITLE, verdict.title()).put("· who receives what").end().blank();
        int column = 2 + CheckText.widest(rosters.keySet()) + 2;
        rosters.forEach(
                (profile, roster) ->
                        page.labelled(
                                2,
                                profile,
                                column,
                                ReportWording.count(roster.rows().size(), "need")
                                        + ", fingerprint "
                                        + roster.fingerprint()
                                        + (roster.eager() ? ", created at the start" : "")));
        page.line(2).put(TextTone.QUIET, ":33:7 is a place in " + verdict.file()).end();
    }

    private Map<Need, List<RosterLine>> needs() {
        Map<Need, Map<String, RosterRow>> rows = new TreeMap<>();
        rosters.forEach(
                (profile, roster) ->
                        roster.rows().stream()
                                .filter(shown)
                                .forEach(
                                        row ->
                                                rows.computeIfAbsent(
                                                                new Need(row),
                                                                need -> new LinkedHashMap<>())
                                                        .put(profile, row)));
        Map<Need, List<RosterLine>> needs = new LinkedHashMap<>();
        rows.forEach((need, byProfile) -> needs.put(need, answerLines(byProfile)));
        return needs;
    }

    private List<RosterLine> answerLines(Map<String, RosterRow> byProfile) {
        Map<String, RosterLine> told = new LinkedHashMap<>();
        byProfile.forEach(
                (profile, row) -> {
                    String about = about(profile, row, row.answer());
                    String all = answerLines(profile, row, row.answer());
                    told.computeIfAbsent(all, key -> new RosterLine(row, about, new ArrayList<>()))
                            .profiles()
                            .add(profile);
                });
        return List.copyOf(told.values());
    }

    /** All that is shown of an answer, and which members it has. */
    private String answerLines(String profile, RosterRow row, Answer answer) {
        return ReportWording.chain(verdict, answer)
                + ReportWording.core(verdict, answer)
                + about(profile, row, answer)
                + members.identity(profile, answer);
    }

    private static String key(Answer.Element element) {
        return element.key().map(key -> "@" + key.written()).orElse("(plain)");
    }

    private int labelWidth(Map<Need, List<RosterLine>> needs) {
        int widest =
                needs.values().stream()
                        .flatMap(List::stream)
                        .mapToInt(told -> TextPage.width(label(told)))
                        .max()
                        .orElse(0);
        return Math.min(widest, WIDEST_LABEL);
    }

    private String label(RosterLine told) {
        return told.profiles().size() == rosters.size() && rosters.size() > 1
                ? ALL
                : String.join(", ", told.profiles());
    }

    private String consumer(RosterRow row) {
        return verdict.shortName(row.consumer())
                + row.as()
                        .map(slot -> " · in the slot " + ReportWording.slot(verdict, slot))
                        .orElse(" · entry consumer")
                + row.within().map(level -> " · within " + verdict.shortName(level)).orElse("");
    }

    private void need(RosterRow row) {
        page.line(2)
                .put(row.need())
                .put("· " + ReportWording.asked(verdict, row) + " ·")
                .put(TextTone.QUIET, row.place().words())
                .end();
        List<String> past = verdict.bypassedBy(row.slot());
        if (!past.isEmpty()) {
            page.line(4).put(TextTone.BAD, ReportWording.alsoMade(verdict, past)).end();
        }
    }

    private void answerLines(RosterLine told, int column) {
        Answer answer = told.row().answer();
        page.line(4)
                .put(TextTone.QUIET, label(told))
                .tab(column)
                .put(ReportWording.chain(verdict, answer))
                .put(ReportWording.tone(answer.kind()), ReportWording.core(verdict, answer))
                .put(TextTone.QUIET, told.about())
                .put(TextTone.QUIET, met(told.profiles(), answer))
                .end();
        elements(told, answer, column);
    }

    private void elements(RosterLine told, Answer answer, int column) {
        Optional<RosterRow> toldBy =
                most == MOST && answer.elements().size() > MOST
                        ? members.firstWithSame(told.profiles(), told.row(), answer)
                        : Optional.empty();
        if (toldBy.isPresent()) {
            page.line(column)
                    .put(TextTone.QUIET, "the members that")
                    .put(verdict.shortName(toldBy.get().consumer()))
                    .put(TextTone.QUIET, "receives (" + toldBy.get().need() + ")")
                    .end();
            return;
        }
        int keys = CheckText.widest(answer.elements().stream().map(RosterText::key).toList()) + 1;
        for (Answer.Element element : answer.elements()) {
            page.line(column)
                    .put(TextTone.QUIET, key(element))
                    .tab(column + keys)
                    .put(ReportWording.chain(verdict, element.answer()))
                    .put(
                            ReportWording.tone(element.answer().kind()),
                            ReportWording.core(verdict, element.answer()))
                    .put(
                            TextTone.QUIET,
                            about(told.profiles().get(0), told.row(), element.answer()))
                    .put(TextTone.QUIET, met(told.profiles(), element.answer()))
                    .end();
        }
    }

    /** In how many runs under some profiles an answer was met, if that is asked. */
    private String met(List<String> profiles, Answer answer) {
        return observed.filter(it -> ObservedRosters.isTold(answer))
                .map(
                        it ->
                                "· "
                                        + ReportWording.met(
                                                profiles.stream()
                                                        .mapToInt(each -> it.runs(each, answer))
                                                        .sum()))
                .orElse("");
    }

    /** Lifetime, who else holds it, where it was said, and what that hides. */
    private String about(String profile, RosterRow row, Answer answer) {
        StringBuilder about = new StringBuilder();
        String given = ReportWording.given(answer);
        if (!given.isEmpty()) {
            about.append(answer.implementation().isPresent() ? "· with " : "· ")
                    .append(given)
                    .append(' ');
        }
        answer.behind()
                .ifPresent(
                        behind ->
                                about.append("· behind it ")
                                        .append(ReportWording.behind(verdict, behind))
                                        .append(' '));
        answer.lifetime()
                .ifPresent(
                        choice -> about.append("· ").append(choice.lifetime().word()).append(' '));
        if (rosters.size() == 1) {
            answer.instance().ifPresent(label -> about.append(label).append(' '));
        }
        answer.lifetime().ifPresent(choice -> about.append(choice.by().words()));
        InstanceSharing held = sharing.get(profile);
        List<String> others = held.othersWith(row.consumer(), answer, most);
        if (!others.isEmpty()) {
            about.append(", with ").append(ReportWording.classes(verdict, others));
            int left = held.countOthers(row.consumer(), answer) - others.size();
            about.append(left > 0 ? " and " + left + " more" : "");
        }
        answer.fills()
                .flatMap(Answer.Seat::within)
                .ifPresent(level -> about.append(", within ").append(verdict.shortName(level)));
        answer.filledBy()
                .ifPresent(by -> about.append(" · filled in (").append(by.word()).append(')'));
        if (!answer.leftOut().isEmpty()) {
            about.append(", not ")
                    .append(ReportWording.classes(verdict, answer.leftOut()))
                    .append(answer.leftOut().size() == 1 ? ", which asks" : ", which ask")
                    .append(" for it");
        }
        if (answer.filledBy().isEmpty()) {
            answer.origin().ifPresent(at -> about.append(" · ").append(place(at)));
        }
        if (!answer.around().isEmpty()) {
            about.append(", around it ")
                    .append(
                            answer.around().stream()
                                    .map(decorator -> place(decorator.at()))
                                    .collect(Collectors.joining(", ")));
        }
        List<Answer.Hidden> hides = answer.hides();
        for (Answer.Hidden hidden : hides.subList(0, Math.min(most, hides.size()))) {
            about.append(", hides ")
                    .append(hidden.supply())
                    .append(' ')
                    .append(
                            hidden.at()
                                    .<String>match(
                                            in -> place(hidden.at()),
                                            in -> "on the class",
                                            in -> in.text()));
        }
        if (hides.size() > most) {
            about.append(" and ").append(hides.size() - most).append(" more");
        }
        return about.toString();
    }

    private String place(SourcePosition at) {
        return ReportWording.place(verdict, at, "supplies itself");
    }
}
