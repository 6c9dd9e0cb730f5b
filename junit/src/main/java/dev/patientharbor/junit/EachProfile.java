package dev.patientharbor.junit;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.TestTemplate;
import org.junit.jupiter.api.extension.ExtendWith;

/** A test that runs once under each profile, each time with a rig of its own. */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
@TestTemplate
@ExtendWith(EachProfileExtension.class)
public @interface EachProfile {

    /** The profiles; all that are not partial if none is named. */
    String[] value() default {};
}
