package dev.patientharbor.junit;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.ClassTemplate;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A class whose tests all run under each profile: plain, repeated and parameterized ones, each time
 * with a rig of its own. Needs JUnit 5.13 or later; {@link EachProfile} on a method does not.
 */
@Documented
@Inherited
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE)
@ClassTemplate
@ExtendWith(UnderEachProfileExtension.class)
public @interface UnderEachProfile {

    /** The profiles; all that are not partial if none is named. */
    String[] value() default {};
}
