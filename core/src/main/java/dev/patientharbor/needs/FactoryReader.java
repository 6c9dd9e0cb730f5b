package dev.patientharbor.needs;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads what a factory method asks for: its parameters, and the object whose method it is. */
public final class FactoryReader {

    private final NeedReader needs;
    private final SlotTable slots;

    public FactoryReader(NeedReader needs, SlotTable slots) {
        this.needs = needs;
        this.slots = slots;
    }

    /** How a method of a class makes an object. */
    public Blueprint of(ClassFacts holder, String method) {
        List<ExecutableFacts> found =
                holder.methods().stream()
                        .filter(
                                executable ->
                                        executable.name().equals(method) && !executable.isPrivate())
                        .toList();
        if (found.size() != 1) {
            return Blueprint.ofNoMethod(holder, method, found);
        }
        List<Need> all = new ArrayList<>();
        if (!Modifier.isStatic(found.get(0).access())) {
            all.add(object(holder));
        }
        all.addAll(needs.parameters(found.get(0)));
        return Blueprint.byMethod(holder, method, Optional.of(found.get(0)), all, Optional.empty())
                .making(returned(holder, method));
    }

    /** What the method of a class returns; empty if there is not just one of that name. */
    public static Optional<ClassType> returned(ClassFacts holder, String method) {
        List<TypeRef> types =
                holder.methods().stream()
                        .filter(
                                executable ->
                                        executable.name().equals(method) && !executable.isPrivate())
                        .map(ExecutableFacts::returnType)
                        .toList();
        return types.size() == 1 && types.get(0) instanceof ClassType type
                ? Optional.of(type)
                : Optional.empty();
    }

    /** The object whose method makes another one. */
    public Need object(ClassFacts holder) {
        String simple = holder.name().substring(holder.name().lastIndexOf('.') + 1);
        String name = Character.toLowerCase(simple.charAt(0)) + simple.substring(1);
        return new Need(NeedPlace.declared(name), name, slots.number(Slot.of(holder.name())));
    }
}
