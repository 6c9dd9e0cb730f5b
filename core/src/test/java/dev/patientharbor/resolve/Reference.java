package dev.patientharbor.resolve;

import dev.patientharbor.resolve.World.Asks;
import dev.patientharbor.resolve.World.Said;
import dev.patientharbor.terms.FillInSource;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Who receives what, worked out slowly and plainly from the pages that say what a profile means;
 * shares nothing with the engine. A way is the levels at which a need looks, nearest first:
 * consumers and areas by name, the whole profile as the empty text.
 */
final class Reference {

    private final World world;
    private final String profile;
    private final Set<String> done = new HashSet<>();
    private final TreeSet<String> rows = new TreeSet<>();

    /**
     * A word for a slot, the profile that said it, and the one by which it counts: where parents
     * disagree, the one in which they meet.
     */
    private record Word<T>(T what, String said, String by) {}

    /** Where an object stands: its slot, and the way from the level at which it was found. */
    private record Seat(String slot, List<String> way) {}

    Reference(World world, String profile) {
        this.world = world;
        this.profile = profile;
        for (String name : world.needs.keySet()) {
            if (name.startsWith("p.D")) {
                follow(name, name, List.of(""), true, false);
            }
        }
    }

    TreeSet<String> rows() {
        return rows;
    }

    private void follow(
            String className, String slot, List<String> bound, boolean entry, boolean wraps) {
        if (!done.add(className + slot + bound + wraps)) {
            return;
        }
        List<String> way = start(className, bound);
        List<Asks> needs = world.needs.get(className);
        for (int i = wraps ? 1 : 0; i < needs.size(); i++) {
            Asks one = needs.get(i);
            String asked = describe(one, entry ? "" : slot, limited(one, className, way));
            rows.add(
                    className
                            + " "
                            + i
                            + " as "
                            + (entry ? "entry" : world.isSingle(className) ? "one" : slot)
                            + " within "
                            + bound.get(0)
                            + ": "
                            + asked);
        }
    }

    /** An object starts where its binding stands, or at its class's own area if that is inside. */
    private List<String> start(String className, List<String> bound) {
        List<String> own = new ArrayList<>();
        String area = world.areaOf.getOrDefault(className, "");
        while (!area.isEmpty()) {
            own.add(area);
            area = world.areaInside.get(area);
        }
        own.add("");
        boolean inside =
                own.size() > bound.size()
                        && own.subList(own.size() - bound.size(), own.size()).equals(bound);
        List<String> way = new ArrayList<>(inside ? own : bound);
        if (speaksAt(profile, className) && !way.get(0).startsWith("p.")) {
            way.add(0, className);
        }
        return way;
    }

    private boolean speaksAt(String at, String level) {
        Said said = world.said.get(at).get(level);
        boolean here =
                said != null
                        && !(said.bindings().isEmpty()
                                && said.layers().isEmpty()
                                && said.reaches().isEmpty());
        return here || world.parents.get(at).stream().anyMatch(profile -> speaksAt(profile, level));
    }

    /** The levels that a need may look at: its slot's reach, the profile's own word first. */
    private List<String> limited(Asks asks, String className, List<String> way) {
        String slot = asks.contract() + (asks.key().isEmpty() ? "" : "@" + asks.key());
        Optional<String> reach = reach(profile, className, slot);
        if (reach.isEmpty()) {
            return way;
        }
        int own = way.get(0).equals(className) ? 2 : 1;
        boolean inArea = own == 1 ? !way.get(0).isEmpty() : !way.get(1).isEmpty();
        if (reach.get().equals("own")) {
            return way.subList(0, Math.min(own, way.size()));
        }
        return inArea ? way.subList(own, way.size()) : List.of("");
    }

    private Optional<String> reach(String at, String className, String slot) {
        Said said = world.said.get(at).get(className);
        if (said != null && said.reaches().containsKey(slot)) {
            return Optional.of(said.reaches().get(slot));
        }
        return world.parents.get(at).stream()
                .flatMap(profile -> reach(profile, className, slot).stream())
                .findFirst();
    }

    private String describe(Asks asks, String asker, List<String> way) {
        String slot = asks.contract() + (asks.key().isEmpty() ? "" : "@" + asks.key());
        List<String> carriers = List.of(asks.carrier().split(" "));
        if (carriers.contains("List") || carriers.contains("Map")) {
            List<String> members = collection(asks, carriers.contains("Map"), asker, way);
            return carriers.contains("Optional") && members.isEmpty()
                    ? "absent"
                    : "collection " + members;
        }
        return carriers.contains("Optional") && isNothing(slot, way) ? "absent" : answer(slot, way);
    }

    /** Every variant, or those of the key that is asked for; what is made of them is none. */
    private List<String> collection(Asks asks, boolean map, String asker, List<String> way) {
        Map<String, long[]> found = new LinkedHashMap<>();
        for (String key : List.of("", "@a", "@b")) {
            String slot = asks.contract() + key;
            Optional<Word<String>> word = nearest(slot, way);
            if (takes(asks, map, key)
                    && !leadsTo(slot, Set.of(asker), way)
                    && word.isPresent()
                    && !word.get().what().equals("none")) {
                found.put(slot, rank(slot, way));
            }
        }
        List<String> slots = new ArrayList<>(found.keySet());
        slots.sort((name, other) -> java.util.Arrays.compare(found.get(name), found.get(other)));
        Set<String> direct = new LinkedHashSet<>(slots);
        direct.removeIf(slot -> nearest(slot, way).orElseThrow().what().startsWith("same-as"));
        List<String> members = new ArrayList<>();
        for (String slot : slots) {
            if (map || direct.contains(slot) || !leadsTo(slot, direct, way)) {
                members.add(member(slot, answer(slot, way)));
            }
        }
        addFilledIn(asks, map, asker, way, members);
        Set<String> instances = new HashSet<>();
        members.removeIf(
                member ->
                        !map && member.contains(" is ") && !instances.add(member.split(" is ")[1]));
        return members;
    }

    private static boolean takes(Asks asks, boolean map, String key) {
        return (asks.key().isEmpty() || key.equals("@" + asks.key())) && !(map && key.isEmpty());
    }

    private static String member(String slot, String answer) {
        int at = slot.indexOf('@');
        return (at < 0 ? "" : slot.substring(at)) + " " + answer;
    }

    /** Marked classes whose slot nothing binds, by name; several in the plain slot are each one. */
    private void addFilledIn(
            Asks asks, boolean map, String asker, List<String> way, List<String> members) {
        if (!world.fillIn.contains(FillInSource.MARKED) || !way.contains("")) {
            return;
        }
        Map<String, String> slotOf = new TreeMap<>();
        for (String key : List.of("", "@a", "@b")) {
            String slot = asks.contract() + key;
            if (takes(asks, map, key) && nearest(slot, way).isEmpty() && !slot.equals(asker)) {
                List<String> around = layers(slot, layeredSeat(slot, way));
                marked(slot).stream()
                        .filter(name -> !around.contains(name))
                        .forEach(name -> slotOf.put(name, slot));
            }
        }
        Set<String> told = new HashSet<>();
        slotOf.forEach(
                (name, slot) -> {
                    boolean several = !slot.contains("@") && marked(slot).size() > 1;
                    if (!name.equals(asker) && several) {
                        members.add(member(slot, filled(slot, name, way, "/" + name)));
                    } else if (!name.equals(asker) && told.add(slot)) {
                        members.add(member(slot, answer(slot, way)));
                    }
                });
    }

    /** The classes that carry the mark of a slot, and do not ask for that very slot. */
    private List<String> marked(String slot) {
        int at = slot.indexOf('@');
        String key = at < 0 ? "" : slot.substring(at + 1);
        return implementations(slot, key).stream()
                .filter(
                        name ->
                                world.marks.get(name).equals("@" + key)
                                        || key.isEmpty() && world.isSingle(name))
                .toList();
    }

    private List<String> implementations(String slot, String key) {
        String contract = slot.substring(0, 4);
        return world.needs.keySet().stream()
                .filter(name -> !name.startsWith("p.D") && name.charAt(3) == contract.charAt(3))
                .filter(
                        name ->
                                world.needs.get(name).stream()
                                        .noneMatch(
                                                asks ->
                                                        asks.contract().equals(contract)
                                                                && asks.key().equals(key)
                                                                && !asks.carrier()
                                                                        .contains("List")))
                .sorted()
                .toList();
    }

    /** What may fill a slot that nothing binds. */
    private List<String> fillers(String slot, List<String> way) {
        List<String> marked =
                world.fillIn.contains(FillInSource.MARKED) ? marked(slot) : List.<String>of();
        boolean sole = world.fillIn.contains(FillInSource.SOLE) && slot.indexOf('@') < 0;
        List<String> all = marked.isEmpty() && sole ? implementations(slot, "") : marked;
        List<String> around = layers(slot, layeredSeat(slot, way));
        return all.stream().filter(name -> !around.contains(name)).toList();
    }

    /** Where what nothing binds stands: where its layers are spoken of, or the whole profile. */
    private List<String> layeredSeat(String slot, List<String> way) {
        return way.stream()
                .filter(level -> !level.isEmpty())
                .filter(level -> layersSaid(profile, level, slot).isPresent())
                .findFirst()
                .map(this::enclosing)
                .orElse(List.of(""));
    }

    /** A class stands in its own slot; in layers, where the nearest word of them stands. */
    private String filled(String slot, String className, List<String> way, String of) {
        List<String> seat = layeredSeat(slot, way);
        List<String> layers = layers(slot, seat);
        new LinkedHashSet<>(layers).forEach(layer -> follow(layer, slot, seat, false, true));
        follow(className, className, List.of(""), false, false);
        if (layers.isEmpty()) {
            return "real " + className + " is " + own(className, className + "/");
        }
        return String.join(" > ", layers)
                + " > real "
                + className
                + " is "
                + slot
                + "/"
                + String.join("/", seat)
                + of;
    }

    private String own(String className, String otherwise) {
        return world.isSingle(className) ? "one/" + className : otherwise;
    }

    /** A level and those around it: where an object looks that stands there. */
    private List<String> enclosing(String level) {
        List<String> all = new ArrayList<>();
        String area = level;
        if (level.startsWith("p.")) {
            all.add(level);
            area = world.areaOf.getOrDefault(level, "");
        }
        while (!area.isEmpty()) {
            all.add(area);
            area = world.areaInside.get(area);
        }
        all.add("");
        return all;
    }

    private boolean leadsTo(String slot, Set<String> direct, List<String> way) {
        String at = slot;
        Set<String> seen = new HashSet<>();
        while (seen.add(at)) {
            if (direct.contains(at)) {
                return true;
            }
            Optional<Word<String>> word = nearest(at, way);
            if (word.isEmpty() || !word.get().what().startsWith("same-as ")) {
                return false;
            }
            at = word.get().what().substring(8);
        }
        return false;
    }

    /** Broadest level first; in a level parents before children, as first said. */
    private long[] rank(String slot, List<String> way) {
        for (int i = way.size() - 1; i >= 0; i--) {
            if (word(profile, way.get(i), slot)
                    .filter(word -> !word.what().equals("removed"))
                    .isPresent()) {
                String first = firstSaidBy(profile, way.get(i), slot);
                List<String> names = new ArrayList<>();
                for (Said said : world.said.get(first).values()) {
                    names.addAll(said.bindings().keySet());
                }
                long place = placeIn(first, way.get(i), slot);
                return new long[] {way.size() - i, line(profile).indexOf(first), place};
            }
        }
        throw new IllegalStateException(slot);
    }

    private long placeIn(String by, String level, String slot) {
        long place = 0;
        for (Map.Entry<String, Said> entry : world.said.get(by).entrySet()) {
            for (String bound : entry.getValue().bindings().keySet()) {
                if (entry.getKey().equals(level) && bound.equals(slot)) {
                    return place;
                }
                place++;
            }
        }
        return place;
    }

    private List<String> line(String of) {
        Set<String> all = new LinkedHashSet<>();
        world.parents.get(of).forEach(parent -> all.addAll(line(parent)));
        all.add(of);
        return new ArrayList<>(all);
    }

    /** The profile that first filled a slot since it was last removed. */
    private String firstSaidBy(String at, String level, String slot) {
        String by = word(at, level, slot).orElseThrow().said();
        Optional<Word<String>> over = inherited(by, level, slot);
        return over.isPresent() && !over.get().what().equals("removed")
                ? firstSaidBy(over.get().said(), level, slot)
                : by;
    }

    private boolean isNothing(String slot, List<String> way) {
        String at = slot;
        Set<String> seen = new HashSet<>();
        List<String> from = way;
        while (seen.add(at + from)) {
            Optional<Word<String>> word = nearest(at, from);
            if (word.isEmpty()) {
                return !from.contains("") || fillers(at, from).isEmpty();
            }
            if (word.get().what().equals("none")) {
                return true;
            }
            if (!word.get().what().startsWith("same-as ")) {
                return false;
            }
            String target = word.get().what().substring(8);
            if (target.equals(at)) {
                List<String> outside = from.subList(level(at, from) + 1, from.size());
                if (outside.isEmpty()) {
                    // A circle in the whole profile; nothing more that may be looked at elsewhere.
                    return !from.get(level(at, from)).isEmpty();
                }
                from = outside;
            }
            at = target;
        }
        return false;
    }

    private String answer(String slot, List<String> way) {
        String at = slot;
        List<String> from = way;
        Set<String> seen = new HashSet<>();
        while (true) {
            Optional<Word<String>> word = nearest(at, from);
            if (word.isEmpty() && from.contains("") && fillers(at, from).size() == 1) {
                return filled(at, fillers(at, from).get(0), from, "");
            }
            if (word.isEmpty() || word.get().what().equals("none") || !seen.add(at + from)) {
                return "unmet";
            }
            String what = word.get().what();
            if (!what.startsWith("same-as ")) {
                return received(at, what, from);
            }
            String target = what.substring(8);
            if (target.equals(at)) {
                from = from.subList(level(at, from) + 1, from.size());
                if (from.isEmpty()) {
                    return "unmet";
                }
            }
            at = target;
        }
    }

    private String received(String slot, String what, List<String> way) {
        int bound = level(slot, way);
        List<String> core = enclosing(way.get(bound));
        int layered = bound;
        for (int i = 0; i < bound; i++) {
            if (layersSaid(profile, way.get(i), slot).isPresent()) {
                layered = i;
                break;
            }
        }
        List<String> seat = enclosing(way.get(layered));
        List<String> layers = layers(slot, seat);
        new LinkedHashSet<>(layers).forEach(layer -> follow(layer, slot, seat, false, true));
        if (!what.equals("mock")) {
            follow(what, slot, core, false, false);
        }
        String place = slot + "/" + String.join("/", seat);
        String instance = layers.isEmpty() && !what.equals("mock") ? own(what, place) : place;
        return String.join(" > ", layers)
                + (layers.isEmpty() ? "" : " > ")
                + (what.equals("mock") ? "mock" : "real " + what)
                + " is "
                + instance;
    }

    /** The layers of a slot: what is said at a level replaces what is said around it. */
    private List<String> layers(String slot, List<String> way) {
        for (String level : way) {
            Optional<Word<List<String>>> said = layersSaid(profile, level, slot);
            if (said.isPresent()) {
                return said.get().what();
            }
        }
        return List.of();
    }

    private Optional<Word<String>> nearest(String slot, List<String> way) {
        int level = level(slot, way);
        return level < 0 ? Optional.empty() : word(profile, way.get(level), slot);
    }

    private int level(String slot, List<String> way) {
        for (int i = 0; i < way.size(); i++) {
            if (word(profile, way.get(i), slot)
                    .filter(word -> !word.what().equals("removed"))
                    .isPresent()) {
                return i;
            }
        }
        return -1;
    }

    private Optional<Word<String>> word(String at, String level, String slot) {
        Said said = world.said.get(at).get(level);
        if (said != null && said.bindings().containsKey(slot)) {
            return Optional.of(new Word<>(said.bindings().get(slot), at, at));
        }
        return inherited(at, level, slot);
    }

    private Optional<Word<String>> inherited(String at, String level, String slot) {
        List<Word<String>> words = new ArrayList<>();
        world.parents.get(at).forEach(profile -> word(profile, level, slot).ifPresent(words::add));
        return join(at, words);
    }

    private Optional<Word<List<String>>> layersSaid(String at, String level, String slot) {
        Said said = world.said.get(at).get(level);
        if (said != null && said.layers().containsKey(slot)) {
            return Optional.of(new Word<>(said.layers().get(slot), at, at));
        }
        List<Word<List<String>>> words = new ArrayList<>();
        world.parents
                .get(at)
                .forEach(profile -> layersSaid(profile, level, slot).ifPresent(words::add));
        return join(at, words);
    }

    /** A word is out if another one comes from a profile that extends its own; then the first. */
    private <T> Optional<Word<T>> join(String at, List<Word<T>> words) {
        List<Word<T>> left =
                words.stream()
                        .filter(
                                word ->
                                        words.stream()
                                                .noneMatch(
                                                        other -> extendsIt(other.by(), word.by())))
                        .toList();
        boolean agreed = left.stream().map(Word::what).distinct().count() < 2;
        return left.stream()
                .findFirst()
                .map(word -> agreed ? word : new Word<>(word.what(), word.said(), at));
    }

    private boolean extendsIt(String one, String other) {
        return world.parents.get(one).stream()
                .anyMatch(parent -> parent.equals(other) || extendsIt(parent, other));
    }
}
