package dev.patientharbor.junit;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A field whose object fills a slot for this test, for whoever asks for it: the slot of the type of
 * the field. A field without an object is given a mock that does.
 */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.FIELD)
public @interface SwappedIn {

    /** The key of the slot; blank for the plain one. */
    String value() default "";
}
