package dev.patientharbor.explaining;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * Finds what a name means in some rosters: a consumer, one of its needs, a slot, an implementation.
 * Each question looks through the rosters once. Immutable.
 */
public final class SubjectFinder {

    private static final int NEAR = 5;

    private final List<Roster> rosters;
    private final UnaryOperator<String> shortNames;

    /**
     * @param rosters what is looked at
     * @param shortNames gives the short name of a class for its binary name
     */
    public SubjectFinder(Collection<Roster> rosters, UnaryOperator<String> shortNames) {
        this.rosters = List.copyOf(RequiredArgument.of(rosters, "rosters"));
        this.shortNames = RequiredArgument.of(shortNames, "shortNames");
    }

    private Stream<RosterRow> rows() {
        return rosters.stream().flatMap(roster -> roster.rows().stream());
    }

    /** Hands over what a row asks for, and where what it receives stands. */
    private static void slots(RosterRow row, Consumer<Slot> visitor) {
        visitor.accept(row.slot());
        row.answer().fills().ifPresent(seat -> visitor.accept(seat.slot()));
        for (Answer.Element element : row.answer().elements()) {
            element.answer().fills().ifPresent(seat -> visitor.accept(seat.slot()));
        }
    }

    private static Stream<Slot> slots(RosterRow row) {
        List<Slot> all = new ArrayList<>();
        slots(row, all::add);
        return all.stream();
    }

    private static Stream<String> makers(RosterRow row) {
        return row.makers().stream()
                .filter(maker -> !maker.equals(row.consumer()) || row.as().isPresent());
    }

    /** Returns an implementation, a decorator or a factory as people read it. */
    public String shortMaker(String maker) {
        int method = RequiredArgument.of(maker, "maker").indexOf('#');
        String owner = method < 0 ? maker : maker.substring(0, method);
        return shortNames.apply(owner) + maker.substring(owner.length());
    }

    /** Returns what tells the rows of a consumer, or of {@code CONSUMER.NEED}, by its name. */
    public Predicate<RosterRow> asking(String name) {
        String last = lastOf(RequiredArgument.of(name, "name"));
        return row -> {
            // Short or in full, a class ends with the same word.
            if (!row.consumer().endsWith(last) && !name.endsWith(row.need())) {
                return false;
            }
            String need = '.' + row.need();
            return isClass(row.consumer(), name)
                    || name.endsWith(need)
                            && isClass(
                                    row.consumer(),
                                    name.substring(0, name.length() - need.length()));
        };
    }

    private boolean isClass(String binaryName, String name) {
        return binaryName.equals(name) || shortNames.apply(binaryName).equals(name);
    }

    /**
     * The longest name in a text, which stands in whatever is called so, short or in full: most
     * rows need not be looked at further.
     */
    private static String partOf(String name) {
        String longest = "";
        int start = 0;
        for (int i = 0; i <= name.length(); i++) {
            if (i == name.length() || !isOfWord(name.charAt(i))) {
                longest = i - start > longest.length() ? name.substring(start, i) : longest;
                start = i + 1;
            }
        }
        return longest;
    }

    private static String lastOf(String name) {
        int start = name.length();
        while (start > 0 && isOfWord(name.charAt(start - 1))) {
            start--;
        }
        return name.substring(start);
    }

    private static boolean isOfWord(char letter) {
        return Character.isLetterOrDigit(letter) || letter == '_';
    }

    /** Returns the slots of a name, sorted; none if it is that of no slot. */
    public List<Slot> slots(String name) {
        String part = partOf(RequiredArgument.of(name, "name"));
        Set<Slot> found = new HashSet<>();
        for (Roster roster : rosters) {
            for (RosterRow row : roster.rows()) {
                slots(
                        row,
                        slot -> {
                            if (slot.text().contains(part) && isNamed(slot, name)) {
                                found.add(slot);
                            }
                        });
            }
        }
        return found.stream().sorted(Slot.ORDER).toList();
    }

    private boolean isNamed(Slot slot, String name) {
        return slot.text().equals(name) || slot.text(shortNames).equals(name);
    }

    /**
     * Returns the implementations, decorators and factories of a name, sorted; a class that is its
     * own slot is a slot.
     */
    public List<String> makers(String name) {
        String part = partOf(RequiredArgument.of(name, "name"));
        Set<String> looked = new HashSet<>();
        return rows().flatMap(SubjectFinder::makers)
                .filter(looked::add)
                .filter(maker -> maker.contains(part))
                .filter(maker -> maker.equals(name) || shortMaker(maker).equals(name))
                .filter(maker -> slots(maker).isEmpty())
                .sorted()
                .toList();
    }

    /** Returns a few names that have a text in them, sorted. */
    public List<String> near(String text) {
        String part = RequiredArgument.of(text, "text").toLowerCase(Locale.ROOT);
        return rows().flatMap(
                        row ->
                                Stream.of(
                                                Stream.of(
                                                        shortNames.apply(row.consumer())
                                                                + '.'
                                                                + row.need()),
                                                slots(row).map(slot -> slot.text(shortNames)),
                                                makers(row).map(this::shortMaker))
                                        .flatMap(names -> names))
                .filter(name -> name.toLowerCase(Locale.ROOT).contains(part))
                .sorted()
                .distinct()
                .limit(NEAR)
                .toList();
    }
}
