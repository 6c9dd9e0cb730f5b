package gullwing.quay;

import gullwing.port.PilotPager;
import gullwing.port.PilotRota;
import gullwing.port.WeatherFeed;
import jakarta.inject.Named;

/** Keeps the port at night: wakes a pilot when it blows. */
public final class NightDesk {

    private final PilotRota rota;
    private final PilotPager pager;
    private final WeatherFeed estuary;

    public NightDesk(PilotRota rota, PilotPager pager, @Named("estuary") WeatherFeed estuary) {
        this.rota = rota;
        this.pager = pager;
        this.estuary = estuary;
    }

    /** Looks out once. */
    public void look() {
        pager.page(rota.onDuty(), estuary.outlook());
    }
}
