package app.tychon.server.web;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * What the JSON of a request body looks like. It is read as a tree all the same, so that every problem of it can be told
 * at once, by field, and what is absent can be told from what is taken away.
 */
@Target(ElementType.PARAMETER)
@Retention(RetentionPolicy.RUNTIME)
public @interface Words {
    /** A record with the fields of the body, or of each element of it. */
    Class<?> value();

    /** Whether the body is a list of them. */
    boolean list() default false;
}
