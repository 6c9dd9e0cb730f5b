package gullwing.works;

import gullwing.port.PilotPager;

/** Rings the bell at a pilot's bed. */
public final class BellPilotPager implements PilotPager {
    @Override
    public void page(String pilot, String reason) {
        System.out.println("bell rings for " + pilot + ": " + reason);
    }
}
