package dev.patientharbor.drafting;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.tracing.TracedValue;
import dev.patientharbor.tracing.WiringTrace;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** Makes the draft of one way through a hand wiring. For one thread. */
final class WiringDraftMaker {

    private final WiringTrace trace;
    private final SlotContents contents;
    private final List<WiredObject> entries = new ArrayList<>();
    private final Set<String> remarks = new LinkedHashSet<>();
    private final Set<WiredObject> all = new LinkedHashSet<>();
    private final Set<String> taken = new HashSet<>();
    private final Set<String> mayBeEmpty = new TreeSet<>();
    private final LevelPlan plan;
    private final CodeShortNames names;

    /**
     * @param candidates the objects that are handed to nobody
     */
    WiringDraftMaker(
            CodeIndex code,
            WiringTrace trace,
            SlotContents contents,
            List<WiredObject> candidates) {
        this.trace = trace;
        this.contents = contents;
        Set<String> classes = new HashSet<>();
        for (WiredObject entry : candidates) {
            if (!entry.canBeNamed()) {
                remarks.add(entry.at().text() + ": " + String.join(", ", entry.faults()));
            } else if (classes.add(entry.maker())) {
                entries.add(entry);
            } else {
                remarks.add(
                        entry.at().text()
                                + ": a second "
                                + entry.maker()
                                + " is made; a profile has one entry consumer of a class");
            }
        }
        plan = new LevelPlan(contents, entries);
        names = new CodeShortNames(code, named());
    }

    void remark(String remark) {
        remarks.add(remark);
    }

    private Set<String> named() {
        Set<String> named = new TreeSet<>();
        List<WiredObject> open = new ArrayList<>(entries);
        for (int i = 0; i < open.size(); i++) {
            if (all.add(open.get(i))) {
                open.get(i).needs().forEach(need -> open.addAll(contents.of(need).objects()));
            }
        }
        all.forEach(object -> named.add(classOf(object.maker())));
        plan.bound()
                .values()
                .forEach(
                        level ->
                                level.keySet()
                                        .forEach(
                                                slot -> addClasses(slot.contract().text(), named)));
        return named;
    }

    private void addClasses(String type, Set<String> to) {
        to.addAll(List.of(type.split("[<>,? ]+")));
    }

    private String classOf(String maker) {
        int method = maker.indexOf('#');
        return method < 0 ? maker : maker.substring(0, method);
    }

    private String text(Slot slot) {
        return slot.text(names::of);
    }

    WiringDraft draft() {
        List<DraftedLevel> levels = new ArrayList<>();
        plan.slots().forEach(slot -> taken.add(slot.text(names::of)));
        Set<String> consumers = new LinkedHashSet<>(plan.bound().keySet());
        consumers.addAll(plan.outside().keySet());
        for (String consumer : consumers) {
            levels.add(level(consumer, plan.bound().getOrDefault(consumer, Map.of())));
        }
        remarks.addAll(plan.conflicts());
        trace.lost().forEach(lost -> remarks.add("line " + lost.line() + ": " + lost.what()));
        return new WiringDraft(
                trace.decisions().stream().map(WiringDraftMaker::condition).toList(),
                name(),
                names.packages(),
                entries.stream().map(entry -> names.of(entry.maker())).toList(),
                List.copyOf(mayBeEmpty),
                levels,
                List.copyOf(remarks),
                new WiredGraph(entries, contents));
    }

    private static String condition(WiringTrace.Decision decision) {
        return decision.comparison()
                        .map(
                                each ->
                                        each.what()
                                                + (decision.holds() ? " is " : " is not ")
                                                + each.constant())
                        .orElse("a condition that " + (decision.holds() ? "holds" : "fails"))
                + " (line "
                + decision.line()
                + ')';
    }

    private String name() {
        return trace.decisions().stream()
                .filter(WiringTrace.Decision::holds)
                .flatMap(decision -> decision.comparison().stream())
                .map(TracedValue.Comparison::constant)
                .collect(Collectors.joining("-"));
    }

    private DraftedLevel level(String consumer, Map<Slot, List<SlotContent>> slots) {
        LevelDraft level = new LevelDraft(consumer, plan, names, mayBeEmpty, taken);
        if (consumer.equals(LevelPlan.WHOLE)) {
            entries.forEach(level::addEntry);
        }
        slots.forEach(level::add);
        plan.sameAs(consumer).forEach(level::addSame);
        return level.drafted();
    }
}
