package dev.patientharbor.junit;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.TestTemplate;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A test that runs once for each implementation of a contract that any profile uses, so that all of
 * them keep the same behaviour; the parameter of that contract is the implementation itself,
 * without decorators. Each is taken from the first profile that uses it. Mocks are left out. What
 * is not reached is reported in the report of the test: implementations in the code that no profile
 * uses. Contracts that have no such test are reported by {@link EveryImplementationTested}.
 */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
@TestTemplate
@ExtendWith(EachImplementationExtension.class)
public @interface EachImplementation {

    /** The contract. */
    Class<?> value();

    /** The profiles that are looked at; all that are not partial if none is named. */
    String[] profiles() default {};
}
