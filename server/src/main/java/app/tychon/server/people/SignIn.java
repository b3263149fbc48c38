package app.tychon.server.people;

import app.tychon.server.audit.Audit;
import app.tychon.server.database.Keys;
import app.tychon.server.rights.Who;
import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.session.SessionAuthenticationStrategy;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.session.security.web.authentication.SpringSessionRememberMeServices;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** How somebody comes in: by password, and by a code where they asked for that. */
@Service
public class SignIn {
    private static final int LONGEST_NAME = 200;
    /** How long the browser of somebody alone on their machine stays in, from when it was used last. */
    private static final Duration ALONE = Duration.ofDays(30);

    private final People people;
    private final PasswordRules passwords;
    private final OneTimeCodes codes;
    private final Tries tries;
    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final SessionAuthenticationStrategy strategy;
    private final SecurityContextRepository contexts;
    private final Audit audit;

    SignIn(
            People people,
            PasswordRules passwords,
            OneTimeCodes codes,
            Tries tries,
            EntityManager entities,
            TransactionTemplate transaction,
            SessionAuthenticationStrategy strategy,
            SecurityContextRepository contexts,
            Audit audit) {
        this.people = people;
        this.passwords = passwords;
        this.codes = codes;
        this.tries = tries;
        this.entities = entities;
        this.transaction = transaction;
        this.strategy = strategy;
        this.contexts = contexts;
        this.audit = audit;
    }

    /**
     * Somebody by what they typed.
     *
     * @param code a one-time code, or one of those for a lost app; empty where none was typed
     * @return the account; nothing where the password holds and a code is needed that was not typed
     * @throws TooManyTries where somebody has to wait first
     * @throws NotLetIn where something does not hold; it is not told whether there is such an account
     */
    Optional<UUID> by(String email, String password, String code, String address) {
        String name = People.normal(email);
        tries.check(name, address);
        AccountEntity account = people.byEmail(name)
                .filter(one -> !one.disabled() && one.password().isPresent())
                .orElse(null);
        boolean holds = account == null ? passwords.takesAsLong(password) : passwords.matches(password, account);
        if (!holds) {
            throw refused(name, address, "password", "The e-mail address or the password is not right.");
        }
        if (account.codesOn()) {
            if (code.isBlank()) {
                return Optional.empty();
            }
            if (!spend(account.id(), code)) {
                throw refused(
                        name,
                        address,
                        "code",
                        "The code is not right, or was used already. The next one comes within 30 seconds.");
            }
        }
        tries.cameIn(name);
        return Optional.of(account.id());
    }

    private NotLetIn refused(String email, String address, String what, String sentence) {
        tries.failed(email, address);
        audit.note("sign-in-refused", "email", email, "for", what);
        return new NotLetIn(sentence);
    }

    /** Uses a code up: nobody comes in with it again. */
    private boolean spend(UUID id, String code) {
        return Boolean.TRUE.equals(transaction.execute(status -> {
            AccountEntity account = entities.find(AccountEntity.class, id, LockModeType.PESSIMISTIC_WRITE);
            OptionalLong step = codes.stepOf(code, account.codesSecret().orElseThrow(), account.codesStep());
            step.ifPresent(account::setCodesStep);
            return step.isPresent() || spendRecovery(id, code);
        }));
    }

    private boolean spendRecovery(UUID account, String code) {
        return entities.createQuery(
                                "delete from RecoveryCodeEntity c where c.accountId = :account and c.digest = :digest")
                        .setParameter("account", account)
                        .setParameter("digest", Keys.digest(code.strip().toUpperCase(Locale.ROOT)))
                        .executeUpdate()
                == 1;
    }

    /** Opens a session of whoever it is, under a key that nobody knew before. */
    public void open(Who who, HttpServletRequest request, HttpServletResponse response) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(who, null, List.of()));
        if (who.kind() == Who.Kind.ALONE) {
            // The way back is an address in a terminal that may be long closed, so the browser keeps its session.
            request.setAttribute(SpringSessionRememberMeServices.REMEMBER_ME_LOGIN_ATTR, true);
            request.getSession().setMaxInactiveInterval((int) ALONE.toSeconds());
        }
        strategy.onAuthentication(context.getAuthentication(), request, response);
        request.getSession().setAttribute(BrowserSessions.SIGNED_IN_AT, Instant.now());
        request.getSession().setAttribute(BrowserSessions.BROWSER, cut(request.getHeader(HttpHeaders.USER_AGENT)));
        request.getSession().setAttribute(BrowserSessions.ADDRESS, request.getRemoteAddr());
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        audit.note("sign-in");
    }

    /** When somebody signed in to a session. */
    public static Instant signedInAt(HttpSession session) {
        return session.getAttribute(BrowserSessions.SIGNED_IN_AT) instanceof Instant at ? at : Instant.EPOCH;
    }

    private static String cut(String text) {
        String known = text == null ? "" : text;
        return known.length() > LONGEST_NAME ? known.substring(0, LONGEST_NAME) : known;
    }
}
