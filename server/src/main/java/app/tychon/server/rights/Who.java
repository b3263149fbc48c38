package app.tychon.server.rights;

import jakarta.annotation.Nullable;
import java.io.Serializable;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.AuthenticatedPrincipal;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/**
 * Who asks.
 *
 * @param account of a person who has signed in
 * @param scope how far a token reaches; everything in a browser
 * @param project the only one that a token is for
 */
public record Who(Kind kind, @Nullable UUID account, Scope scope, @Nullable UUID project)
        implements AuthenticatedPrincipal, Serializable {
    private static final long serialVersionUID = 1L;

    /** Where a request comes from. */
    public enum Kind {
        /** The one person of a machine on which nobody has an account. */
        ALONE,
        /** Somebody with an account. */
        PERSON,
        /** Whoever may read the data folder of the server, by the key in it: for the people alone where there are accounts. */
        MACHINE
    }

    /** How far somebody reaches. */
    public enum Scope {
        READING,
        EVERYTHING
    }

    public static final Who ALONE = new Who(Kind.ALONE, null, Scope.EVERYTHING, null);
    public static final Who MACHINE = new Who(Kind.MACHINE, null, Scope.EVERYTHING, null);

    public static Who person(UUID account) {
        return new Who(Kind.PERSON, account, Scope.EVERYTHING, null);
    }

    /** Who makes the request that is being answered; nobody outside one, or where nobody has signed in. */
    public static Optional<Who> now() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof Who who
                ? Optional.of(who)
                : Optional.empty();
    }

    /** The account of whoever makes the request that is being answered. */
    public static Optional<UUID> accountNow() {
        return now().map(Who::account);
    }

    @Override
    public String getName() {
        return account == null ? kind.name() : account.toString();
    }
}
