package dev.patientharbor.junit;

import dev.patientharbor.profiles.ProfileSet;
import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.function.Supplier;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Says where the profiles of a test class are. Without it they are in the only {@code
 * *.harbor.yaml} of the working directory. Subclasses and nested classes inherit it.
 */
@Documented
@Inherited
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE)
@ExtendWith(RigExtension.class)
public @interface Harbor {

    /** The profile file, from the working directory. */
    String value() default "";

    /**
     * What gives the profiles, where they are said in Java: a class with a constructor without
     * parameters. It is asked once in a run of tests.
     */
    Class<? extends Supplier<ProfileSet>> from() default InFile.class;

    /**
     * Whether parameters come from the rig only if they are marked with {@link FromRig}: for tests
     * in which somebody else resolves parameters of types that the plan knows.
     */
    boolean onlyMarked() default false;

    /** Stands for profiles that are in a file. */
    final class InFile implements Supplier<ProfileSet> {
        private InFile() {}

        @Override
        public ProfileSet get() {
            throw new IllegalStateException("the profiles are in a file");
        }
    }
}
