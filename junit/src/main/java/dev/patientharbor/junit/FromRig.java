package dev.patientharbor.junit;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A field or a parameter that the rig of the test fills: by its type, type arguments and carriers
 * ({@code Optional}, {@code Supplier}, {@code List}, {@code Map}) included; or with the {@code Rig}
 * itself. A parameter needs no mark if it has no key and the plan knows its type, unless it has a
 * mark of somebody else's or stands in a parameterized test: those are not taken from whoever else
 * resolves them.
 */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target({ElementType.FIELD, ElementType.PARAMETER})
public @interface FromRig {

    /** The key of the slot; blank for the plain one. */
    String value() default "";
}
