package gullwing.tours;

import static dev.patientharbor.profiles.Supplies.mock;
import static dev.patientharbor.profiles.Supplies.real;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.ProfileDefinition;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import gullwing.port.CardTerminal;
import gullwing.port.FeeSchedule;
import gullwing.quay.FeeBooth;
import gullwing.works.HarbourLevy;
import gullwing.works.NightSurcharge;
import gullwing.works.TonnageFee;
import java.util.List;
import java.util.function.Consumer;

/** The same two decorators in another order make another fee. */
public final class FeesInOrder {

    private FeesInOrder() {}

    static ProfileSet profiles() {
        return ProfileSet.define(
                "fees",
                set -> {
                    set.entry(FeeBooth.class);
                    set.profile("by-day", plain());
                    set.profile("levy-doubled", decorated(NightSurcharge.class, HarbourLevy.class));
                    set.profile("levy-added", decorated(HarbourLevy.class, NightSurcharge.class));
                });
    }

    private static Consumer<ProfileDefinition> plain() {
        return profile -> {
            profile.fill(FeeSchedule.class, real(TonnageFee.class));
            profile.fill(CardTerminal.class, mock());
        };
    }

    private static Consumer<ProfileDefinition> decorated(Class<?>... outermostFirst) {
        return plain().andThen(it -> it.decorate(FeeSchedule.class, outermostFirst));
    }

    public static void main(String[] args) {
        ProfileSet fees = profiles();
        for (String profile : List.of("by-day", "levy-doubled", "levy-added")) {
            Plan plan = fees.plan(profile);
            try (Rig rig = Rigs.build(plan)) {
                rig.get(FeeBooth.class).charge("Petrel");
                System.out.println(
                        profile
                                + ": "
                                + plan.roster().of(FeeBooth.class).need("fees").received()
                                + ", "
                                + rig.calls(CardTerminal.class));
            }
        }
    }
}
