package dev.patientharbor.rig;

import dev.patientharbor.live.Classes;
import dev.patientharbor.model.Key;
import dev.patientharbor.model.TypeRef.ArrayType;
import dev.patientharbor.plan.Part;
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
final class SeveralStation extends Station {

    private final Part.Several several;
    private final Stations stations;
    private final Classes classes;

    private SeveralStation(Part.Several part, Stations stations) {
        super(part);
        several = part;
        this.stations = stations;
        classes = stations.classes();
    }

    static Station of(Part.Several part, Stations stations) {
        return new SeveralStation(part, stations);
    }

    @Override
    Object get(Surroundings at) {
        Carrier carrier = Carrier.of(several.type()).orElseThrow();
        if (carrier.kind() == Carrier.Kind.MAP) {
            return map(carrier, at);
        }
        List<Object> members = new ArrayList<>();
        several.members().forEach(one -> members.add(stations.at(one.part()).get(at)));
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

    private Map<Object, Object> map(Carrier carrier, Surroundings at) {
        Class<?> keys = classes.erased(carrier.key().orElseThrow());
        Map<Object, Object> all = new LinkedHashMap<>();
        for (Part.Member one : several.members()) {
            all.put(key(one.key().orElseThrow(), keys), stations.at(one.part()).get(at));
        }
        return Collections.unmodifiableMap(all);
    }

    private static Object key(Key key, Class<?> type) {
        return type.isEnum()
                ? Arrays.stream(type.getEnumConstants())
                        .filter(one -> ((Enum<?>) one).name().equals(key.text()))
                        .findFirst()
                        .orElseThrow()
                : key.text();
    }

    @Override
    List<Station> asks() {
        return several.members().stream().map(one -> stations.at(one.part())).toList();
    }
}
