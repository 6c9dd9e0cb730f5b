package gullwing.tours;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.Mockito.verify;

import dev.patientharbor.junit.Harbor;
import dev.patientharbor.junit.UnderProfile;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.HeldObject;
import dev.patientharbor.rig.Rig;
import gullwing.port.CardTerminal;
import gullwing.quay.FeeBooth;
import gullwing.works.HarbourLevy;
import gullwing.works.TonnageFee;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

/** What the booth charges, by the order of the decorators. */
@Harbor(from = FeesInOrderTest.Fees.class)
class FeesInOrderTest {

    static final class Fees implements Supplier<ProfileSet> {
        @Override
        public ProfileSet get() {
            return FeesInOrder.profiles();
        }
    }

    @Test
    @UnderProfile("levy-doubled")
    void by_night_the_levy_is_doubled_too(FeeBooth booth, CardTerminal terminal) {
        booth.charge("Petrel");
        verify(terminal).charge(2500);
    }

    @Test
    @UnderProfile("levy-added")
    void or_it_is_added_once(FeeBooth booth, CardTerminal terminal, Rig rig) {
        booth.charge("Petrel");
        verify(terminal).charge(2250);
        HeldObject fees = rig.received(FeeBooth.class, "fees");
        assertEquals(HarbourLevy.class, fees.outermost().getClass());
        assertEquals(TonnageFee.class, fees.innermost().getClass());
    }
}
