package dev.patientharbor.resolve;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ClassPattern;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.finding.NearNames;
import dev.patientharbor.model.Area;
import dev.patientharbor.model.Written;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.Lookup;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Which areas there are, one inside the other, and which class is a member of which. */
public final class Areas {

    private final List<Area> declared;
    private final ClassNames names;
    private final Levels levels;
    private final Map<String, Integer> numbers = new HashMap<>();
    private final Map<String, Area> byName = new HashMap<>();
    private final Map<String, List<Area>> byClass = new HashMap<>();
    private final List<Patterned> patterns = new ArrayList<>();
    private final Map<String, Integer> known = new HashMap<>();
    private final List<UnknownArea> unknown = new ArrayList<>();
    private final List<Lookup> unknownMembers = new ArrayList<>();
    private final List<Overlap> overlaps = new ArrayList<>();

    /**
     * A name that should be an area's, or one that encloses itself; and the names that there are.
     */
    public record UnknownArea(Written written, List<String> near, boolean circle) {}

    /** An area, and a pattern of its members. */
    private record Patterned(ClassPattern pattern, Area area) {}

    /** A class that is a member of two areas of which neither encloses the other. */
    public record Overlap(String className, Area first, Area second) {}

    Areas(List<Area> declared, ClassNames names, CodeIndex code, Levels levels) {
        this.declared = declared;
        this.names = names;
        this.levels = levels;
        declared.forEach(area -> byName.put(area.name(), area));
        declared.forEach(area -> level(area, new HashSet<>()));
        declared.forEach(this::addMembers);
        if (!declared.isEmpty()) {
            code.sorted().forEach(this::tellOverlap);
        }
    }

    /** What should be an area and is none. */
    public List<UnknownArea> unknown() {
        return unknown;
    }

    /** Members that no class answers to. */
    public List<Lookup> unknownMembers() {
        return unknownMembers;
    }

    public List<Overlap> overlaps() {
        return overlaps;
    }

    /** The level of an area of that name. */
    Optional<Integer> find(String name) {
        return Optional.ofNullable(numbers.get(name));
    }

    /** Tells a name that should be an area's. */
    void tellUnknown(Written written) {
        unknown.add(
                new UnknownArea(
                        written,
                        NearNames.of(written.text(), declared.stream().map(Area::name).toList()),
                        false));
    }

    /** The level of the innermost area of a class; the whole profile if it is in none. */
    int of(ClassFacts facts) {
        if (declared.isEmpty()) {
            return Levels.WHOLE;
        }
        Integer level = known.get(facts.name());
        if (level == null) {
            level = innermost(facts);
            known.put(facts.name(), level);
        }
        return level;
    }

    private int innermost(ClassFacts facts) {
        int innermost = Levels.WHOLE;
        for (Area area : memberOf(facts)) {
            int level = numbers.get(area.name());
            if (levels.encloses(innermost, level)) {
                innermost = level;
            }
        }
        return innermost;
    }

    private List<Area> memberOf(ClassFacts facts) {
        List<Area> all = new ArrayList<>(byClass.getOrDefault(facts.name(), List.of()));
        for (Patterned one : patterns) {
            boolean isNew = all.stream().noneMatch(known -> known == one.area());
            if (isNew && one.pattern().fits(facts.packageName())) {
                all.add(one.area());
            }
        }
        all.sort((one, other) -> one.at().compareTo(other.at()));
        return all;
    }

    private int level(Area area, Set<String> inside) {
        Integer number = numbers.get(area.name());
        if (number != null) {
            return number;
        }
        int parent = Levels.WHOLE;
        if (area.inside().isPresent()) {
            Written written = area.inside().get();
            Area around = byName.get(written.text());
            if (around == null) {
                tellUnknown(written);
            } else if (!inside.add(area.name())) {
                unknown.add(new UnknownArea(written, List.of(), true));
            } else {
                parent = level(around, inside);
            }
        }
        Integer meanwhile = numbers.get(area.name());
        if (meanwhile != null) {
            return meanwhile;
        }
        int level = levels.addArea(area.name(), parent);
        numbers.put(area.name(), level);
        return level;
    }

    private void addMembers(Area area) {
        for (Written member : area.members()) {
            if (ClassPattern.isPattern(member.text())) {
                patterns.add(new Patterned(ClassPattern.of(member.text()), area));
            } else if (names.isThing(member.text())) {
                byClass.computeIfAbsent(member.text(), one -> new ArrayList<>(1)).add(area);
            } else {
                Lookup lookup = names.lookup(member);
                lookup.facts()
                        .ifPresentOrElse(
                                facts ->
                                        byClass.computeIfAbsent(
                                                        facts.name(), one -> new ArrayList<>(1))
                                                .add(area),
                                () -> unknownMembers.add(lookup));
            }
        }
    }

    private void tellOverlap(ClassFacts facts) {
        List<Area> all = memberOf(facts);
        int innermost = of(facts);
        for (Area area : all) {
            int level = numbers.get(area.name());
            if (level != innermost && !levels.encloses(level, innermost)) {
                Area other =
                        all.stream()
                                .filter(one -> numbers.get(one.name()) == innermost)
                                .findFirst()
                                .orElse(area);
                overlaps.add(new Overlap(facts.name(), other, area));
                return;
            }
        }
    }
}
