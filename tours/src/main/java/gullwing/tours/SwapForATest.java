package gullwing.tours;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import gullwing.port.TideGauge;
import gullwing.quay.ArrivalDesk;
import gullwing.quay.BridgeWatch;

/** One slot of a profile is filled otherwise, for this run only: whoever asks for it meets it. */
public final class SwapForATest {

    private SwapForATest() {}

    public static void main(String[] args) {
        Plan plan = Port.read("port.harbor.yaml").plan("dock-test");
        Plan low = plan.swap(TideGauge.class, () -> 1.20);
        for (Plan one : new Plan[] {plan, low}) {
            try (Rig rig = Rigs.build(one)) {
                System.out.println(rig.profile());
                System.out.println("  " + rig.get(ArrivalDesk.class).arrive("Petrel"));
                System.out.println("  " + rig.get(BridgeWatch.class).look());
            }
        }
    }
}
