package dev.patientharbor.notation;

import dev.patientharbor.drafting.DraftedBinding;
import dev.patientharbor.drafting.DraftedLevel;
import dev.patientharbor.drafting.WiringDraft;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Writes what a hand wiring does as a profile file: what all its ways have in common once. */
final class HandWiringText {

    private static final String BASE = "base";

    private final List<String> code;
    private final String from;
    private final Map<String, WiringDraft> profiles = new LinkedHashMap<>();
    private final Set<String> toFill = new LinkedHashSet<>();

    HandWiringText(List<String> code, String from, List<WiringDraft> drafts) {
        this.code = code;
        this.from = from;
        for (WiringDraft draft : drafts) {
            profiles.put(freeName(draft, drafts.size()), draft);
        }
    }

    private String freeName(WiringDraft draft, int count) {
        String word = draft.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        word = word.replaceAll("^-|-$", "");
        boolean isName = !word.isEmpty() && !word.equals(BASE) && word.charAt(0) >= 'a';
        String name = count == 1 ? "main" : isName ? word : "otherwise";
        int number = 2;
        String free = name;
        while (profiles.containsKey(free)) {
            free = name + '-' + number++;
        }
        return free;
    }

    Map<String, WiringDraft> profiles() {
        return profiles;
    }

    /** Returns the slots that are left to fill, as the file writes them. */
    List<String> toFill() {
        return List.copyOf(toFill);
    }

    String text() {
        Set<String> packages = new LinkedHashSet<>();
        Set<String> entries = new LinkedHashSet<>();
        Set<String> mayBeEmpty = new TreeSet<>();
        for (WiringDraft draft : profiles.values()) {
            packages.addAll(draft.packages());
            entries.addAll(draft.entry());
            mayBeEmpty.addAll(draft.mayBeEmpty());
        }
        DraftYaml all = new DraftYaml();
        Map<String, DraftedLevel> common = common();
        boolean areSeveral = profiles.size() > 1;
        if (areSeveral) {
            DraftYaml base = new DraftYaml().text("partial", "true");
            all.block(BASE, levels(base, common), "what all ways have in common");
        }
        profiles.forEach(
                (name, draft) -> {
                    DraftYaml profile = new DraftYaml();
                    if (areSeveral) {
                        profile.text("extends", BASE);
                    }
                    Map<String, DraftedLevel> own = byConsumer(draft);
                    if (areSeveral) {
                        own = without(own, common);
                    }
                    all.block(
                            name,
                            levels(profile, own),
                            areSeveral
                                    ? draft.conditions().toArray(String[]::new)
                                    : new String[] {"what " + from + " does"});
                });
        DraftYaml file =
                new DraftYaml()
                        .text("patient-harbor", "1", "A draft, read from " + from + ": check it.")
                        .text("title", "Draft")
                        .list("code", code)
                        .list("packages", List.copyOf(packages), "where short names are looked up")
                        .list("entry", List.copyOf(entries), "what is made, and handed to nobody");
        if (!mayBeEmpty.isEmpty()) {
            file.list(
                    "may-be-empty",
                    List.copyOf(mayBeEmpty),
                    "collections of these are handed over without a member");
        }
        return file.block("profiles", all, "").text();
    }

    private static Map<String, DraftedLevel> byConsumer(WiringDraft draft) {
        Map<String, DraftedLevel> levels = new LinkedHashMap<>();
        draft.levels().forEach(level -> levels.put(level.consumer(), level));
        return levels;
    }

    private Map<String, DraftedLevel> common() {
        List<Map<String, DraftedLevel>> all =
                profiles.values().stream().map(HandWiringText::byConsumer).toList();
        Map<String, DraftedLevel> common = new LinkedHashMap<>(all.get(0));
        for (Map<String, DraftedLevel> each : all.subList(1, all.size())) {
            common.keySet().retainAll(each.keySet());
            common.replaceAll((consumer, level) -> level.inCommonWith(each.get(consumer)));
        }
        return common;
    }

    private static Map<String, DraftedLevel> without(
            Map<String, DraftedLevel> levels, Map<String, DraftedLevel> common) {
        Map<String, DraftedLevel> left = new LinkedHashMap<>(levels);
        common.forEach(
                (consumer, known) ->
                        left.computeIfPresent(consumer, (name, level) -> level.without(known)));
        return left;
    }

    private DraftYaml levels(DraftYaml profile, Map<String, DraftedLevel> levels) {
        DraftYaml within = new DraftYaml();
        levels.forEach(
                (consumer, level) -> {
                    if (consumer.isEmpty()) {
                        level(profile, level);
                    } else if (!level.isEmpty()) {
                        within.block(consumer, level(new DraftYaml(), level));
                    }
                });
        return within.isEmpty() ? profile : profile.block("within", within);
    }

    private DraftYaml level(DraftYaml into, DraftedLevel level) {
        DraftYaml bindings = new DraftYaml();
        level.bindings().forEach((slot, binding) -> add(bindings, slot, binding));
        DraftYaml decorators = new DraftYaml();
        level.decorators()
                .forEach(
                        (slot, each) ->
                                decorators.value(
                                        slot, each.stream().map(HandWiringText::supply).toList()));
        if (!bindings.isEmpty()) {
            into.block("bindings", bindings);
        }
        if (!decorators.isEmpty()) {
            into.block("decorators", decorators);
        }
        DraftYaml reach = new DraftYaml();
        level.outside().forEach(slot -> reach.text(slot, "outside"));
        return reach.isEmpty() ? into : into.block("reach", reach);
    }

    private void add(DraftYaml to, String slot, DraftedBinding binding) {
        String[] comments =
                binding.comment().isEmpty() ? new String[0] : new String[] {binding.comment()};
        if (binding.form() == DraftedBinding.Form.TO_FILL) {
            toFill.add(slot);
        }
        Object value =
                switch (binding.form()) {
                    case CLASS, FACTORY -> supply(binding);
                    case SAME_AS -> Map.of("same-as", binding.supply());
                    case MEMBERS -> Map.of("members", binding.members());
                    case ABSENT -> "none";
                    case TO_FILL -> "to-fill";
                };
        to.value(slot, value, comments);
    }

    /** The name of a class where that says all; else a mapping. */
    private static Object supply(DraftedBinding binding) {
        boolean isFactory = binding.form() == DraftedBinding.Form.FACTORY;
        Map<String, Object> entries = new LinkedHashMap<>();
        entries.put(isFactory ? "factory" : "class", binding.supply());
        binding.constructor().ifPresent(types -> entries.put("constructor", types));
        if (!binding.values().isEmpty()) {
            boolean areNamed =
                    binding.values().keySet().stream().noneMatch(name -> name.matches("arg\\d+"));
            entries.put(
                    "with",
                    areNamed ? binding.values() : new ArrayList<>(binding.values().values()));
        }
        if (binding.isFresh()) {
            entries.put("lifetime", "fresh");
        }
        return entries.size() == 1 && !isFactory ? binding.supply() : entries;
    }
}
