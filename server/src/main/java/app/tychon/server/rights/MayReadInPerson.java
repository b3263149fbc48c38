package app.tychon.server.rights;

import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.security.access.prepost.PreAuthorize;

/** For whoever takes part in the project of the address, asking themselves: by no token for reading or for one project. */
@Target({ElementType.METHOD, ElementType.TYPE})
@Retention(RetentionPolicy.RUNTIME)
@Inherited
@PreAuthorize("@rights.begins() and @rights.may('READ')")
public @interface MayReadInPerson {}
