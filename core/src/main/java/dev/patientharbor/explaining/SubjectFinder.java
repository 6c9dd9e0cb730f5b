package dev.patientharbor.explaining;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * Finds what a name means in some rosters: a consumer, one of its needs, a slot, an implementation.
 * Reads each roster once. Immutable.
 */
public final class SubjectFinder {

    private static final int NEAR = 5;

    private final UnaryOperator<String> shortNames;
    private final Map<String, Set<Slot>> slots = new TreeMap<>();
    private final Map<String, Set<String>> makers = new TreeMap<>();
    private final Set<String> needs = new TreeSet<>();

    /**
     * @param rosters what is looked at
     * @param shortNames gives the short name of a class for its binary name
     */
    public SubjectFinder(Collection<Roster> rosters, UnaryOperator<String> shortNames) {
        this.shortNames = RequiredArgument.of(shortNames, "shortNames");
        for (Roster roster : RequiredArgument.of(rosters, "rosters")) {
            roster.rows().forEach(this::add);
        }
        makers.keySet().removeIf(slots::containsKey);
    }

    private void add(RosterRow row) {
        needs.add(shortNames.apply(row.consumer()) + '.' + row.need());
        Stream.concat(
                        Stream.of(row.slot()),
                        Stream.concat(
                                        Stream.of(row.answer()),
                                        row.answer().elements().stream()
                                                .map(Answer.Element::answer))
                                .flatMap(answer -> answer.fills().stream())
                                .map(seat -> seat.slot()))
                .forEach(
                        slot ->
                                Stream.of(slot.text(), slot.text(shortNames))
                                        .forEach(
                                                name ->
                                                        slots.computeIfAbsent(
                                                                        name,
                                                                        key ->
                                                                                new LinkedHashSet<>())
                                                                .add(slot)));
        row.makers().stream()
                .filter(maker -> !maker.equals(row.consumer()) || row.as().isPresent())
                .forEach(
                        maker ->
                                Stream.of(maker, shortMaker(maker))
                                        .forEach(
                                                name ->
                                                        makers.computeIfAbsent(
                                                                        name,
                                                                        key -> new TreeSet<>())
                                                                .add(maker)));
    }

    /** Returns an implementation, a decorator or a factory as people read it. */
    public String shortMaker(String maker) {
        int method = RequiredArgument.of(maker, "maker").indexOf('#');
        String owner = method < 0 ? maker : maker.substring(0, method);
        return shortNames.apply(owner) + maker.substring(owner.length());
    }

    /** Returns whether a name is that of a row's consumer, or {@code CONSUMER.NEED}. */
    public boolean isOf(RosterRow row, String name) {
        String need = '.' + RequiredArgument.of(row, "row").need();
        return isClass(row.consumer(), RequiredArgument.of(name, "name"))
                || name.endsWith(need)
                        && isClass(
                                row.consumer(), name.substring(0, name.length() - need.length()));
    }

    private boolean isClass(String binaryName, String name) {
        return binaryName.equals(name) || shortNames.apply(binaryName).equals(name);
    }

    /** Returns the slots of a name, sorted; none if it is that of no slot. */
    public List<Slot> slots(String name) {
        return slots.getOrDefault(RequiredArgument.of(name, "name"), Set.of()).stream()
                .sorted(Slot.ORDER)
                .toList();
    }

    /**
     * Returns the implementations, decorators and factories of a name, sorted; a class that is its
     * own slot is a slot.
     */
    public List<String> makers(String name) {
        return List.copyOf(makers.getOrDefault(RequiredArgument.of(name, "name"), Set.of()));
    }

    /** Returns a few names that have a text in them, sorted. */
    public List<String> near(String text) {
        String part = RequiredArgument.of(text, "text").toLowerCase(Locale.ROOT);
        return Stream.of(needs.stream(), slots.keySet().stream(), makers.keySet().stream())
                .flatMap(names -> names)
                .filter(name -> name.toLowerCase(Locale.ROOT).contains(part))
                .sorted()
                .distinct()
                .limit(NEAR)
                .toList();
    }
}
