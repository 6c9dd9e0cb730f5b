package dev.patientharbor.junit;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Runs tests under a profile: each test method has a rig of its own, which is closed after it. What
 * is said at a method wins over what is said at its class. The system property {@code
 * patientharbor.profile}, or else the environment variable {@code PATIENT_HARBOR_PROFILE}, wins
 * over both.
 *
 * <pre>{@code
 * @Harbor("port.harbor.yaml")
 * @UnderProfile("dock-test")
 * class ArrivalDeskTest {
 *     @FromRig BerthLedger ledger;
 *
 *     @Test
 *     void an_arrival_takes_a_berth(ArrivalDesk desk) { ... }
 * }
 * }</pre>
 */
@Documented
@Inherited
@Retention(RetentionPolicy.RUNTIME)
@Target({ElementType.TYPE, ElementType.METHOD})
@ExtendWith(RigExtension.class)
public @interface UnderProfile {

    /** The name of the profile. */
    String value();

    /** Whether all tests of the class share one rig, which is closed after the last of them. */
    boolean oneRig() default false;
}
