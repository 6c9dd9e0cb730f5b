package dev.patientharbor.declared;

import dev.patientharbor.model.DecoratorStatement;
import dev.patientharbor.names.NameLookup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What one profile says about the decorators of a slot, names looked up.
 *
 * @param declared what was declared
 * @param owner the number of the profile
 * @param names the class names of the slot, looked up
 * @param slot the number of the slot; empty if the contract is not known
 * @param whole the whole list, if there is one
 * @param drop what is dropped
 * @param innermost what is added inside
 * @param outermost what is added outside
 */
public record ResolvedDecoratorStatement(
        DecoratorStatement declared,
        int owner,
        List<NameLookup> names,
        Optional<Integer> slot,
        Optional<List<ResolvedDecorator>> whole,
        List<ResolvedDecorator> drop,
        List<ResolvedDecorator> innermost,
        List<ResolvedDecorator> outermost) {

    /** The list that it makes of an inherited one: drops first, then innermost, then outermost. */
    public List<ResolvedDecorator> applyTo(List<ResolvedDecorator> inherited) {
        if (whole.isPresent()) {
            return whole.get();
        }
        List<ResolvedDecorator> list = new ArrayList<>(outermost);
        inherited.stream()
                .filter(decorator -> drop.stream().noneMatch(decorator::isNamedAs))
                .forEach(list::add);
        list.addAll(innermost);
        return list;
    }

    /** What it drops that the inherited list does not have. */
    public List<ResolvedDecorator> dropsNothing(List<ResolvedDecorator> inherited) {
        return drop.stream()
                .filter(
                        decorator ->
                                decorator.dropName().isPresent()
                                        && inherited.stream().noneMatch(decorator::isNamedAs))
                .toList();
    }

    /** Every decorator that it names. */
    public List<ResolvedDecorator> all() {
        List<ResolvedDecorator> all = new ArrayList<>(whole.orElse(List.of()));
        all.addAll(drop);
        all.addAll(outermost);
        all.addAll(innermost);
        return all;
    }
}
