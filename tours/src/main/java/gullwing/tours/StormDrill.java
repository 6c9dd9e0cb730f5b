package gullwing.tours;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import gullwing.quay.ArrivalDesk;
import gullwing.quay.BridgeWatch;

/**
 * Things are slow and break, in each run in the same way; the trace says who met what, and the
 * usage how often.
 */
public final class StormDrill {

    private StormDrill() {}

    public static void main(String[] args) {
        Plan drill = Port.read("storm.harbor.yaml").plan("storm-drill");
        try (Rig rig = Rigs.build(drill)) {
            for (String ship : new String[] {"Petrel", "Fulmar", "Gannet", "Shag"}) {
                try {
                    System.out.println(rig.get(ArrivalDesk.class).arrive(ship));
                } catch (RuntimeException failed) {
                    System.out.println(ship + " waits: " + failed.getMessage());
                }
                try {
                    System.out.println("  from the bridge: " + rig.get(BridgeWatch.class).look());
                } catch (RuntimeException failed) {
                    System.out.println("  from the bridge: " + failed.getMessage());
                }
            }
            System.out.println("who met what, to begin with:");
            rig.trace().lines().subList(0, 6).forEach(line -> System.out.println("  " + line));
            System.out.println("what was spied on, by the plan and in the drill:");
            rig.usage().lines().stream()
                    .filter(line -> line.calls().isPresent())
                    .map(line -> line.planned() + ": " + line.calls().get() + " calls")
                    .forEach(line -> System.out.println("  " + line));
        }
    }
}
