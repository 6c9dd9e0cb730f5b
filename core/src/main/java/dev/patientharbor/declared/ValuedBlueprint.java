package dev.patientharbor.declared;

import dev.patientharbor.model.GivenArguments;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.types.ValueTypes;
import dev.patientharbor.values.ConversionCheck;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A blueprint whose values are given: their parameters are no needs any more.
 *
 * @param blueprint what is left to be supplied
 * @param faults what is wrong with the values
 */
record ValuedBlueprint(Blueprint blueprint, List<ValueFault> faults) {

    /** Gives values to the constructor or the factory of a blueprint. */
    static ValuedBlueprint of(
            Blueprint plain,
            GivenArguments with,
            SlotTable slots,
            ValueTypes types,
            ConversionCheck conversion) {
        Map<Integer, GivenValue> byIndex = new HashMap<>();
        List<ValueFault> faults = new ArrayList<>();
        List<Need> parameters =
                plain.needs().stream().filter(need -> isParameter(plain, need)).toList();
        Set<String> left = new HashSet<>(with.named().keySet());
        int position = 0;
        for (Need need : parameters) {
            TypeRef type = slots.slot(need.slot()).contract();
            GivenValue given = with.named().get(need.name());
            if (given == null && position < with.positional().size() && types.isValue(type)) {
                given = with.positional().get(position++);
            }
            if (given != null) {
                left.remove(need.name());
                byIndex.put(need.place().index(), given);
                conversion
                        .problems(given, type)
                        .forEach(problem -> faults.add(ValueFault.of(need, problem)));
            }
        }
        if (plain.fault().isEmpty()) {
            List<String> names = parameters.stream().map(Need::name).toList();
            for (Map.Entry<String, GivenValue> entry : with.named().entrySet()) {
                if (left.contains(entry.getKey())) {
                    faults.add(ValueFault.unknown(entry.getKey(), entry.getValue(), names));
                }
            }
            for (GivenValue tooMany :
                    with.positional().subList(position, with.positional().size())) {
                faults.add(ValueFault.unknown("one more", tooMany, names));
            }
        }
        List<Need> needs =
                plain.needs().stream()
                        .filter(
                                need ->
                                        !isParameter(plain, need)
                                                || !byIndex.containsKey(need.place().index()))
                        .toList();
        return new ValuedBlueprint(plain.given(byIndex, needs), faults);
    }

    /** Whether a need is a parameter of what makes the object. */
    private static boolean isParameter(Blueprint blueprint, Need need) {
        NeedPlace.Kind wanted =
                blueprint.method().isPresent() ? NeedPlace.Kind.METHOD : NeedPlace.Kind.CONSTRUCTOR;
        return need.place().kind() == wanted;
    }

    /** A value for a contract of a value type. */
    static List<ValueFault> ofContract(GivenValue given, Slot slot, ConversionCheck conversion) {
        return conversion.problems(given, slot.contract()).stream()
                .map(problem -> new ValueFault(Optional.empty(), "", List.of(), problem))
                .toList();
    }
}
