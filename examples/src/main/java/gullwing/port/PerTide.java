package gullwing.port;

import jakarta.inject.Scope;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;

/** Lives from one turn of the tide to the next. */
@Scope
@Retention(RetentionPolicy.RUNTIME)
public @interface PerTide {}
