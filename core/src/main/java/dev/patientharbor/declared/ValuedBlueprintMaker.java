package dev.patientharbor.declared;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.GivenArguments;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.BlueprintMaker;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.SlotParser;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.types.ValueTypes;
import dev.patientharbor.values.ConversionCheck;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Makes blueprints of classes for which a constructor is named, or values are given. */
public final class ValuedBlueprintMaker {

    private final BlueprintMaker blueprints;
    private final ClassNames names;
    private final SlotTable slots;
    private final ValueTypes types;
    private final ConversionCheck conversion;

    public ValuedBlueprintMaker(
            BlueprintMaker blueprints,
            ClassNames names,
            SlotTable slots,
            ValueTypes types,
            ConversionCheck conversion) {
        this.blueprints = blueprints;
        this.names = names;
        this.slots = slots;
        this.types = types;
        this.conversion = conversion;
    }

    /**
     * How an object of a class is made. Where nothing else chooses a constructor, it is the only
     * one that takes just the given values.
     *
     * @param constructor the parameter types as written, if a constructor is named
     */
    ValuedBlueprint of(
            ClassFacts facts,
            ClassType type,
            Optional<List<String>> constructor,
            GivenArguments with) {
        Blueprint plain =
                constructor.isPresent()
                        ? blueprints.of(facts, type, constructor.map(this::erased))
                        : blueprints.of(facts, type);
        if (constructor.isEmpty() && !with.isEmpty() && plain.isUndecided()) {
            List<ValuedBlueprint> fit = new ArrayList<>();
            for (ExecutableFacts executable : plain.fault().orElseThrow().constructors()) {
                ValuedBlueprint valued =
                        given(
                                blueprints.of(
                                        facts,
                                        type,
                                        Optional.of(executable.erasedParameterTypes())),
                                with);
                if (valued.faults().isEmpty() && !lacksValues(valued.blueprint())) {
                    fit.add(valued);
                }
            }
            if (fit.size() == 1) {
                return fit.get(0);
            }
        }
        return given(plain, with);
    }

    /** Returns a blueprint with values given to some of its parameters. */
    ValuedBlueprint given(Blueprint plain, GivenArguments with) {
        return with.isEmpty()
                ? new ValuedBlueprint(plain, List.of())
                : ValuedBlueprint.of(plain, with, slots, types, conversion);
    }

    private boolean lacksValues(Blueprint blueprint) {
        return blueprint.needs().stream()
                .filter(need -> need.place().kind() == NeedPlace.Kind.CONSTRUCTOR)
                .anyMatch(need -> types.isValue(slots.slot(need.slot()).contract()));
    }

    private List<String> erased(List<String> written) {
        return written.stream().map(this::erased).toList();
    }

    /** A parameter type as class files name it; what is no type stays as it is. */
    private String erased(String written) {
        return SlotParser.slot(written).map(Slot::contract).map(this::erased).orElse(written);
    }

    private String erased(TypeRef type) {
        if (type instanceof ArrayType array) {
            return erased(array.element()) + "[]";
        }
        String name = ((ClassType) type).name();
        return TypeRef.Primitive.isName(name)
                ? name
                : names.full(new WrittenName(name, SourcePosition.classNamed(name))).text();
    }
}
