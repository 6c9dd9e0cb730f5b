package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.texts.JavaName;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Hands out an object in its layers: one for the rig, one for each scope, or a new one. */
final class MadeStation extends ObjectStation {

    private final int number;
    private final Lifetime lifetime;
    private final CoreMaker core;
    private final List<LayerMaker> layers;
    private final Class<?> contract;
    private final MakerFactory makers;

    /** Makes new objects beside the one that is kept, once one was asked for. */
    private volatile MadeStation afresh;

    /** Whether the core is known to fit; a thread that does not see it yet looks again. */
    private boolean coreFits;

    /**
     * @param number its place among the objects of a rig and of a scope
     * @param layers the layers around the core, outermost first
     * @param contract what each layer and the core must be
     */
    MadeStation(
            AssemblyPart.Made part,
            int number,
            CoreMaker core,
            List<LayerMaker> layers,
            Class<?> contract,
            MakerFactory makers) {
        super(part);
        this.number = number;
        this.core = core;
        this.layers = List.copyOf(layers);
        this.contract = contract;
        this.makers = makers;
        lifetime = part.lifetime();
    }

    AssemblyPart.Made made() {
        return (AssemblyPart.Made) part();
    }

    int number() {
        return number;
    }

    CoreMaker core() {
        return core;
    }

    /** Whether there is an object to be made of it, and the profile leads to it. */
    boolean standsForObject() {
        return made().making().standsForObject();
    }

    /** Whether an eager profile makes it at the start. */
    boolean isMadeAtStart() {
        return isShared() && standsForObject();
    }

    boolean isShared() {
        return lifetime.isOfRig();
    }

    boolean isFresh() {
        return !lifetime.isKept();
    }

    /** Where its object is kept, if it is. */
    InstanceStore home(InstanceStore at) {
        return lifetime.isOfScope() ? at.scope(this) : at.wholeRig();
    }

    @Override
    Object get(InstanceStore at) {
        if (!lifetime.isKept()) {
            return make(at);
        }
        InstanceStore home = home(at);
        Object known = home.kept(number);
        return known != null ? known : home.make(this);
    }

    @Override
    Object fresh(InstanceStore at, Map<String, Object> passed) {
        if (!passed.isEmpty()) {
            return makers.freshStation(this, passed).make(at);
        }
        if (isFresh()) {
            return make(at);
        }
        if (afresh == null) {
            afresh = makers.freshStation(this, passed);
        }
        return afresh.make(at);
    }

    /** Makes a new object in its layers. */
    Object make(InstanceStore at) {
        at.requireOpenOrLock(null);
        Object object = part(at, core);
        if (!coreFits) {
            checked(object, core);
            coreFits = core.isOfOneClass();
        }
        if (!isShared()) {
            at.live().count(this);
        }
        if (core.owns()) {
            at.closeAtTheEnd(object);
        }
        if (layers.isEmpty()) {
            return object;
        }
        List<Object> chain = new ArrayList<>(layers.size() + 1);
        chain.add(object);
        Object outermost = object;
        for (int i = layers.size() - 1; i >= 0; i--) {
            CoreMaker layer = layers.get(i).around(outermost);
            outermost = checked(part(at, layer), layer);
            if (layer.owns()) {
                at.closeAtTheEnd(outermost);
            }
            chain.add(0, outermost);
        }
        // A fresh object is remembered only while one is made that stays: somebody holds it then.
        if (lifetime.isKept() || at.live().lock().isHeldByCurrentThread()) {
            at.memory().layers(outermost, chain);
        }
        return outermost;
    }

    private Object part(InstanceStore at, CoreMaker maker) {
        try {
            return maker.make(at);
        } catch (Throwable thrown) {
            at.requireOpenOrLock(thrown);
            throw failed(maker, thrown);
        }
    }

    private RigException failed(CoreMaker maker, Throwable thrown) {
        if (thrown instanceof RigException below) {
            return below;
        }
        return thrown instanceof NotMadeException why
                ? failure(why.getMessage(), why.getCause())
                : failure(maker.words() + " threw " + ThrownText.of(thrown), thrown);
    }

    private Object checked(Object object, CoreMaker maker) {
        if (object == null) {
            throw failure(maker.words() + " gave null", null);
        }
        if (!contract.isInstance(object)) {
            throw failure(
                    maker.words()
                            + " gave an object of "
                            + JavaName.of(object.getClass())
                            + ", which is no "
                            + JavaName.of(contract),
                    null);
        }
        return object;
    }

    RigException failure(String what, Throwable cause) {
        String at =
                made().origin().map(position -> "\n  said at     " + position.text()).orElse("");
        return RigException.of(
                made(),
                what,
                "no " + slot() + " in " + makers.stations().profile() + ": " + what + at,
                cause);
    }

    @Override
    List<ObjectStation> asks() {
        List<ObjectStation> all = new ArrayList<>(core.asks());
        layers.forEach(layer -> all.addAll(layer.asks()));
        return all;
    }
}
