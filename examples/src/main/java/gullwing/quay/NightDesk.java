package gullwing.quay;

import gullwing.port.PilotPager;
import gullwing.port.PilotRota;
import gullwing.port.WeatherFeed;
import jakarta.inject.Named;
import java.util.Optional;

/** Keeps the port at night: wakes a pilot, and says why if it knows. */
public final class NightDesk {

    private final PilotRota rota;
    private final PilotPager pager;
    private final Optional<WeatherFeed> estuary;

    public NightDesk(
            PilotRota rota, PilotPager pager, @Named("estuary") Optional<WeatherFeed> estuary) {
        this.rota = rota;
        this.pager = pager;
        this.estuary = estuary;
    }

    /** Looks out once. */
    public void look() {
        pager.page(rota.onDuty(), estuary.map(WeatherFeed::outlook).orElse("come and see"));
    }
}
