package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.behaviours.CallRecord;
import dev.patientharbor.behaviours.StandIns;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.locks.ReentrantLock;

/** What the objects of one rig have in common while they are made and used. */
final class RigState {

    private final StationTable stations;
    private final InstanceStore wholeRig;
    private final ReentrantLock lock = new ReentrantLock();
    private int depth;

    private volatile RigExtras extras;

    RigState(StationTable stations) {
        this.stations = stations;
        wholeRig = InstanceStore.ofRig(this);
    }

    StationTable stations() {
        return stations;
    }

    InstanceStore wholeRig() {
        return wholeRig;
    }

    /** One lock for all: no two threads can wait for each other's objects. */
    ReentrantLock lock() {
        return lock;
    }

    /** What most rigs never need; made when it is. */
    RigExtras extras() {
        RigExtras known = extras;
        if (known == null) {
            synchronized (this) {
                known = extras == null ? new RigExtras(stations.objects()) : extras;
                extras = known;
            }
        }
        return known;
    }

    /** The calls that stand-ins and spies saw. */
    CallRecord calls() {
        return extras().calls();
    }

    /**
     * What makes stand-ins for a part, whose calls are kept here.
     *
     * @param layer how many layers are outside
     */
    StandIns standIns(AssemblyPart.Made part, int layer) {
        String level = part.seat().within().orElse("");
        CallRecord record = calls().at(new CallRecord.Place(part.slot(), level, layer));
        return new StandIns(record, stations::values, stations::makers);
    }

    String profile() {
        return stations.profile();
    }

    /** The innermost scope that this thread has opened and nobody has closed, or the whole. */
    InstanceStore here() {
        Scope scope = extras == null ? null : scopes().innermost();
        return scope == null ? wholeRig : scope.surroundings();
    }

    ScopeTable scopes() {
        return extras().scopes();
    }

    /** The scopes that are open, the last one first. */
    List<Scope> openScopes() {
        return extras == null ? List.of() : scopes().open();
    }

    /** Counts one more object of a station that the rig does not keep. */
    void count(MadeStation station) {
        extras().notKept().incrementAndGet(station.number());
    }

    /** How many objects of a part were made so far. */
    int made(int part) {
        int number = stations.number(part);
        int kept = wholeRig.kept(number) == null ? 0 : 1;
        return kept + (extras == null ? 0 : extras.notKept().get(number));
    }

    /** What is in an object that a rig or a scope keeps, from itself to its core. */
    List<Object> layers(Object object, InstanceStore home) {
        return home.memory()
                .layers(object)
                .or(() -> wholeRig.memory().layers(object))
                .orElseGet(() -> Collections.singletonList(object));
    }

    /** Goes one object deeper; the lock is held. */
    void deeper(MadeStation station, InstanceStore at) {
        depth++;
        if (depth == ConstructionChains.DEEP) {
            ConstructionChains.makeAhead(station, at);
        }
    }

    /** Whether an object is being made; the lock is held. */
    boolean isMaking() {
        return depth > 0;
    }

    void higher() {
        depth--;
    }
}
