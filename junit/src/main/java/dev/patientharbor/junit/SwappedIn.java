package dev.patientharbor.junit;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A field whose object fills a slot for this test, for whoever asks for it: the slot of the type of
 * the field, or the one that is named. A field without an object, and a parameter of a test, is
 * given a mock that does. Fields are read when the rig is first asked for something: before each
 * test where the class has fields marked with {@link FromRig}, else when a parameter is asked for,
 * or before the test method runs.
 */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target({ElementType.FIELD, ElementType.PARAMETER})
public @interface SwappedIn {

    /** The key of the slot; blank for the plain one. */
    String value() default "";

    /**
     * The contract of the slot, as the profile file writes it, such as {@code TideGauge}; blank for
     * the type of the field. So a field can have the type of a fake of one's own.
     */
    String slot() default "";
}
