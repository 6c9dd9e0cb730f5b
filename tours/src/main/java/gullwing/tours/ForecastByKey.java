package gullwing.tours;

import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import gullwing.port.WeatherFeed;
import gullwing.quay.ForecastDesk;
import java.util.List;

/** The key is known only when somebody asks: each profile says which there are. */
public final class ForecastByKey {

    private ForecastByKey() {}

    public static void main(String[] args) {
        for (String profile : List.of("dock-test", "live")) {
            try (Rig rig = Rigs.build(Port.read("port.harbor.yaml").plan(profile))) {
                System.out.println(profile + " " + rig.byKey(WeatherFeed.class).keySet());
                ForecastDesk desk = rig.get(ForecastDesk.class);
                for (String where : List.of("coast", "estuary", "harbour")) {
                    System.out.println("  " + where + ": " + desk.read(where));
                }
                try {
                    rig.get(WeatherFeed.class, "harbour");
                } catch (IllegalArgumentException unknown) {
                    System.out.println("  " + unknown.getMessage());
                }
            }
        }
    }
}
