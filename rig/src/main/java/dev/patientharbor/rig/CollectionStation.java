package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.live.UserClasses;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.types.Carrier;
import java.lang.reflect.Array;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;

/** Hands out every variant, in order: a new collection each time, which cannot be changed. */
final class CollectionStation extends ObjectStation {

    private final AssemblyPart.Several several;
    private final StationTable stations;
    private final UserClasses classes;

    private CollectionStation(AssemblyPart.Several part, StationTable stations) {
        super(part);
        several = part;
        this.stations = stations;
        classes = stations.classes();
    }

    static ObjectStation of(AssemblyPart.Several part, StationTable stations) {
        return new CollectionStation(part, stations);
    }

    @Override
    Object get(InstanceStore at) {
        Carrier carrier = Carrier.of(several.type()).orElseThrow();
        if (carrier.kind() == Carrier.Kind.MAP) {
            return map(carrier, at);
        }
        List<Object> members = new ArrayList<>();
        several.members().forEach(member -> members.add(stations.at(member.part()).get(at)));
        if (several.type() instanceof ArrayType array) {
            Object all = Array.newInstance(classes.erased(array.element()), members.size());
            for (int i = 0; i < members.size(); i++) {
                Array.set(all, i, members.get(i));
            }
            return all;
        }
        return carrier.word().equals("Set")
                ? Collections.unmodifiableSet(new LinkedHashSet<>(members))
                : Collections.unmodifiableList(members);
    }

    private Map<Object, Object> map(Carrier carrier, InstanceStore at) {
        Class<?> keys = classes.erased(carrier.key().orElseThrow());
        Map<Object, Object> all = new LinkedHashMap<>();
        for (AssemblyPart.Member member : several.members()) {
            all.put(key(member.key().orElseThrow(), keys), stations.at(member.part()).get(at));
        }
        return Collections.unmodifiableMap(all);
    }

    private static Object key(Key key, Class<?> type) {
        return type.isEnum()
                ? Arrays.stream(type.getEnumConstants())
                        .filter(constant -> ((Enum<?>) constant).name().equals(key.text()))
                        .findFirst()
                        .orElseThrow()
                : key.text();
    }

    @Override
    List<ObjectStation> asks() {
        return several.members().stream().map(member -> stations.at(member.part())).toList();
    }
}
