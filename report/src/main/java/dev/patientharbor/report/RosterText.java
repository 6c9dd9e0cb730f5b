package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.model.Slot;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Plan;
import dev.patientharbor.plan.Row;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;

/** The roster for people: consumer by consumer, need by need, profile beside profile. */
public final class RosterText {

    private final Verdict verdict;
    private final Page page;
    private final List<String> profiles;
    private final Map<String, Map<String, List<Row>>> holders = new HashMap<>();

    private RosterText(Verdict verdict, Layout layout) {
        this.verdict = verdict;
        page = new Page(layout);
        profiles =
                verdict.profiles().stream()
                        .filter(one -> !one.isPartial())
                        .map(ProfileVerdict::name)
                        .toList();
    }

    /** The whole text; every line ends with {@code \n}. */
    public static String render(Verdict verdict, Layout layout) {
        return new RosterText(verdict, layout).render();
    }

    /** A need of a consumer, whatever the profile; entry consumers come first. */
    private record Asked(Row row) implements Comparable<Asked> {
        private static final Comparator<Row> ORDER =
                Comparator.<Row, Boolean>comparing(row -> row.as().isPresent())
                        .thenComparing(Row.ORDER)
                        .thenComparing(row -> row.slot().text());

        @Override
        public int compareTo(Asked other) {
            return ORDER.compare(row, other.row);
        }
    }

    private String render() {
        page.line(0)
                .put(Tone.TITLE, verdict.title())
                .put("· who receives what, in " + String.join(", ", profiles))
                .end();
        for (String profile : profiles) {
            page.labelled(2, profile, 2 + CheckText.widest(profiles) + 2, fingerprint(profile));
        }
        Map<Asked, Map<String, Row>> needs = new TreeMap<>();
        for (String profile : profiles) {
            for (Row row : plan(profile).rows()) {
                needs.computeIfAbsent(new Asked(row), one -> new LinkedHashMap<>())
                        .put(profile, row);
            }
        }
        String above = "";
        for (Map.Entry<Asked, Map<String, Row>> need : needs.entrySet()) {
            Row row = need.getKey().row();
            String consumer = row.consumer() + row.as().map(Slot::text);
            if (!consumer.equals(above)) {
                heading(row);
                above = consumer;
            }
            page.line(2)
                    .put(row.need())
                    .put("· " + Words.slot(verdict, row.slot()) + " ·")
                    .put(Tone.QUIET, row.place().words())
                    .end();
            answers(need.getValue());
        }
        return page.toString();
    }

    private String fingerprint(String profile) {
        return Words.count(plan(profile).rows().size(), "need")
                + ", fingerprint "
                + plan(profile).fingerprint();
    }

    private final Map<String, Plan> plans = new HashMap<>();

    private Plan plan(String profile) {
        return plans.computeIfAbsent(profile, verdict::plan);
    }

    private void heading(Row row) {
        page.blank()
                .line(0)
                .put(Tone.TITLE, verdict.shortName(row.consumer()))
                .put(
                        "· "
                                + row.as()
                                        .map(slot -> "in the slot " + Words.slot(verdict, slot))
                                        .orElse("entry consumer"))
                .end();
    }

    private void answers(Map<String, Row> byProfile) {
        Map<String, List<String>> same = new LinkedHashMap<>();
        Map<String, Row> example = new HashMap<>();
        byProfile.forEach(
                (profile, row) -> {
                    String told = chain(row.answer()) + '\n' + about(profile, row);
                    same.computeIfAbsent(told, one -> new ArrayList<>()).add(profile);
                    example.putIfAbsent(told, row);
                });
        List<String> missing = new ArrayList<>(profiles);
        missing.removeAll(byProfile.keySet());
        int column = 4 + column();
        same.forEach(
                (told, where) -> {
                    Row row = example.get(told);
                    String label =
                            where.size() == profiles.size() && profiles.size() > 1
                                    ? "everywhere"
                                    : String.join(", ", where);
                    page.line(4)
                            .put(Tone.QUIET, label)
                            .tab(column)
                            .put(Words.chain(verdict, row.answer()).stripTrailing())
                            .put(Words.tone(row.answer().kind()), Words.core(verdict, row.answer()))
                            .end();
                    if (row.answer().isMet()) {
                        page.line(column)
                                .put(Tone.QUIET, told.substring(told.indexOf('\n') + 1))
                                .end();
                    }
                });
        if (!missing.isEmpty()) {
            page.line(4)
                    .put(Tone.QUIET, String.join(", ", missing))
                    .tab(column)
                    .put(Tone.QUIET, "not asked here")
                    .end();
        }
    }

    /** Where answers begin: behind the longest name of a profile. */
    private int column() {
        return Math.max("everywhere".length(), CheckText.widest(profiles)) + 2;
    }

    private String chain(Answer answer) {
        return Words.chain(verdict, answer) + Words.core(verdict, answer);
    }

    private String about(String profile, Row row) {
        Answer answer = row.answer();
        StringBuilder about = new StringBuilder();
        answer.lifetime()
                .ifPresent(
                        one ->
                                about.append(one.lifetime().word())
                                        .append(' ')
                                        .append(one.by().words()));
        if (profiles.size() == 1) {
            answer.instance().ifPresent(label -> about.append(", ").append(label));
        }
        String sharers = sharers(profile, row);
        if (!sharers.isEmpty()) {
            about.append(", with ").append(sharers);
        }
        answer.origin().ifPresent(at -> about.append(" · ").append(at.text()));
        for (Answer.Hidden hidden : answer.hides()) {
            about.append(" · hides ")
                    .append(hidden.supply())
                    .append(" at ")
                    .append(hidden.at().text());
        }
        return about.toString();
    }

    private String sharers(String profile, Row row) {
        Optional<String> label = row.answer().instance();
        if (label.isEmpty()) {
            return "";
        }
        TreeSet<String> names = new TreeSet<>();
        for (Row other : holders(profile).get(label.get())) {
            if (!other.consumer().equals(row.consumer())) {
                names.add(verdict.shortName(other.consumer()));
            }
        }
        return String.join(", ", names);
    }

    private Map<String, List<Row>> holders(String profile) {
        return holders.computeIfAbsent(
                profile,
                name -> {
                    Map<String, List<Row>> rows = new HashMap<>();
                    for (Row row : plan(name).rows()) {
                        row.answer()
                                .instance()
                                .ifPresent(
                                        label ->
                                                rows.computeIfAbsent(
                                                                label, one -> new ArrayList<>())
                                                        .add(row));
                    }
                    return rows;
                });
    }
}
