package dev.patientharbor.declared;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ClassPattern;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.model.Area;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.NameSearch;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Knows which areas there are, one inside the other, and which class is a member of which. */
public final class AreaTable {

    private final List<Area> declared;
    private final ClassNames names;
    private final BindingLevel whole;
    private final NameSearch search;
    private final Map<String, BindingLevel> levels = new HashMap<>();
    private final Map<String, Area> byName = new HashMap<>();
    private final Map<String, List<Area>> byClass = new HashMap<>();
    private final Map<String, List<Area>> byPackage = new HashMap<>();
    private final Map<String, List<Area>> belowPackage = new HashMap<>();
    private final Map<String, BindingLevel> known = new HashMap<>();
    private final List<UnknownArea> unknown = new ArrayList<>();
    private final List<NameLookup> unknownMembers = new ArrayList<>();
    private final List<Overlap> overlaps = new ArrayList<>();

    /**
     * A name that should be an area's, or one that encloses itself; and the names that there are.
     *
     * @param profile the number of the profile that names it; empty if an area does
     */
    public record UnknownArea(
            WrittenName written, List<String> near, boolean circle, Optional<Integer> profile) {}

    /** A class that is a member of two areas of which neither encloses the other. */
    public record Overlap(String className, Area first, Area second) {}

    public AreaTable(List<Area> declared, ClassNames names, CodeIndex code, BindingLevel whole) {
        this.declared = declared;
        this.names = names;
        this.whole = whole;
        declared.forEach(area -> byName.put(area.name(), area));
        search = new NameSearch(byName.keySet());
        declared.forEach(this::addLevel);
        declared.forEach(this::addMembers);
        if (!declared.isEmpty()) {
            code.names().forEach(this::addOverlap);
            overlaps.sort(Comparator.comparing(Overlap::className));
        }
    }

    /** What should be an area and is none. */
    public List<UnknownArea> unknown() {
        return unknown;
    }

    /** Members that no class answers to. */
    public List<NameLookup> unknownMembers() {
        return unknownMembers;
    }

    public List<Overlap> overlaps() {
        return overlaps;
    }

    /** The level of an area of that name. */
    Optional<BindingLevel> find(String name) {
        return Optional.ofNullable(levels.get(name));
    }

    /** Notes a name that should be an area's. */
    void addUnknown(WrittenName written, Optional<Integer> profile) {
        unknown.add(new UnknownArea(written, search.near(written.text()), false, profile));
    }

    /** The level of the innermost area of a class; the whole profile if it is in none. */
    public BindingLevel of(ClassFacts facts) {
        if (declared.isEmpty()) {
            return whole;
        }
        BindingLevel level = known.get(facts.name());
        if (level == null) {
            level = innermost(memberOf(facts.name()));
            known.put(facts.name(), level);
        }
        return level;
    }

    private BindingLevel innermost(List<Area> areas) {
        BindingLevel innermost = whole;
        for (Area area : areas) {
            BindingLevel level = levels.get(area.name());
            if (innermost.encloses(level)) {
                innermost = level;
            }
        }
        return innermost;
    }

    private List<Area> memberOf(String className) {
        Set<Area> all = Collections.newSetFromMap(new IdentityHashMap<>());
        all.addAll(byClass.getOrDefault(className, List.of()));
        String packageName = ClassFacts.packageOf(className);
        all.addAll(byPackage.getOrDefault(packageName, List.of()));
        if (!belowPackage.isEmpty()) {
            for (int end = packageName.length();
                    end > 0;
                    end = packageName.lastIndexOf('.', end - 1)) {
                all.addAll(belowPackage.getOrDefault(packageName.substring(0, end), List.of()));
            }
        }
        return all.stream().sorted(Comparator.comparing(Area::at)).toList();
    }

    /** Makes the level of an area, after those around it. */
    private void addLevel(Area area) {
        Deque<Area> inside = new ArrayDeque<>();
        Set<String> open = new HashSet<>();
        BindingLevel parent = whole;
        for (Area at = area; at != null; ) {
            BindingLevel known = levels.get(at.name());
            if (known != null) {
                parent = known;
                break;
            }
            if (!open.add(at.name())) {
                unknown.add(
                        new UnknownArea(
                                at.inside().orElseThrow(), List.of(), true, Optional.empty()));
                parent = whole.area(at.name());
                levels.put(at.name(), parent);
                break;
            }
            inside.push(at);
            Optional<WrittenName> around = at.inside();
            at = around.map(name -> byName.get(name.text())).orElse(null);
            if (at == null) {
                around.ifPresent(name -> addUnknown(name, Optional.empty()));
            }
        }
        for (Area one : inside) {
            BindingLevel around = parent;
            parent = levels.computeIfAbsent(one.name(), around::area);
        }
    }

    private void addMembers(Area area) {
        for (WrittenName member : area.members()) {
            if (ClassPattern.isPattern(member.text())) {
                ClassPattern pattern = ClassPattern.of(member.text());
                (pattern.below() ? belowPackage : byPackage)
                        .computeIfAbsent(pattern.packageName(), key -> new ArrayList<>(1))
                        .add(area);
            } else if (names.isThing(member.text())) {
                byClass.computeIfAbsent(member.text(), key -> new ArrayList<>(1)).add(area);
            } else {
                NameLookup lookup = names.lookup(member);
                lookup.facts()
                        .ifPresentOrElse(
                                facts ->
                                        byClass.computeIfAbsent(
                                                        facts.name(), key -> new ArrayList<>(1))
                                                .add(area),
                                () -> unknownMembers.add(lookup));
            }
        }
    }

    private void addOverlap(String className) {
        List<Area> all = memberOf(className);
        if (all.size() < 2) {
            return;
        }
        BindingLevel innermost = innermost(all);
        for (Area area : all) {
            BindingLevel level = levels.get(area.name());
            if (level != innermost && !level.encloses(innermost)) {
                Area other =
                        all.stream()
                                .filter(candidate -> levels.get(candidate.name()) == innermost)
                                .findFirst()
                                .orElse(area);
                overlaps.add(new Overlap(className, other, area));
                return;
            }
        }
    }
}
