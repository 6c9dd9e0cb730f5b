package gullwing.quay;

import gullwing.port.Locator;
import gullwing.port.TicketMaker;
import gullwing.port.WeatherFeed;

/** Sells what people ask for; looks up what it needs while it works. */
public final class QuaysideKiosk {

    private final Locator locator;

    public QuaysideKiosk(Locator locator) {
        this.locator = locator;
    }

    public String serve(String passenger) {
        WeatherFeed weather = locator.find(WeatherFeed.class);
        return "an umbrella for " + passenger + ", for it will be " + weather.outlook();
    }

    public boolean sellsTickets() {
        return TicketMaker.class.isInstance(locator);
    }
}
