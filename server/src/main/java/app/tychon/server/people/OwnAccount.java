package app.tychon.server.people;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Problem;
import app.tychon.server.audit.Audit;
import app.tychon.server.database.Keys;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.rights.Who;
import jakarta.persistence.EntityManager;
import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What somebody does with their own account. Whatever opens it is changed only by who knows the password. */
@Service
public class OwnAccount {
    private static final int RECOVERY_CODES = 10;
    private static final String OLD = "/password";

    private final People people;
    private final AccountLinks links;
    private final PasswordRules passwords;
    private final OneTimeCodes codes;
    private final BrowserSessions sessions;
    private final Tries tries;
    private final EntityManager entities;
    private final Letters letters;
    private final Audit audit;

    OwnAccount(
            People people,
            AccountLinks links,
            PasswordRules passwords,
            OneTimeCodes codes,
            BrowserSessions sessions,
            Tries tries,
            EntityManager entities,
            Letters letters,
            Audit audit) {
        this.people = people;
        this.links = links;
        this.passwords = passwords;
        this.codes = codes;
        this.sessions = sessions;
        this.tries = tries;
        this.entities = entities;
        this.letters = letters;
        this.audit = audit;
    }

    @Transactional
    void call(UUID account, String name) {
        people.get(account).call(People.checked(name));
    }

    /** The first password of an account, or another after the old one was lost; whoever was signed in is so no longer. */
    @Transactional
    void join(String key, String password) {
        AccountEntity account = links.of(key).orElseThrow(JoinController::spent);
        account.setPassword(passwords.digest(password, account, OLD));
        links.forget(account.id());
        sessions.endAll(account.id());
        letters.changed(account, "your password was set by a link.");
        audit.note("password-set", "person", account.id(), "by", "link");
    }

    /** Another password. Other browsers are signed out. */
    @Transactional
    void changePassword(UUID id, String old, String fresh, HttpServletRequest request) {
        AccountEntity account = known(id, old, request);
        account.setPassword(passwords.digest(fresh, account, "/fresh"));
        links.forget(id);
        sessions.endOthers(id, request.getSession().getId());
        letters.changed(account, "your password was changed by somebody who knew the old one.");
        audit.note("password-set", "person", id, "by", "themselves");
    }

    /** A secret for one-time codes; they are asked for once one was typed. */
    @Transactional
    CodesView beginCodes(UUID id, String password, HttpServletRequest request) {
        AccountEntity account = known(id, password, request);
        if (account.codesOn()) {
            throw new ConflictException("One-time codes are on already; turn them off first to use another app.");
        }
        byte[] secret = codes.freshSecret();
        account.setCodesSecret(secret);
        String address = codes.address(secret, account.email());
        return new CodesView(codes.letters(secret), address, OneTimeCodes.picture(address));
    }

    /**
     * What an app for one-time codes is given.
     *
     * @param secret to be typed
     * @param address the same, for an app on this device
     * @param picture the address as a picture: a line of 0 and 1 for each row of modules, dark where 1
     */
    record CodesView(String secret, String address, String picture) {}

    /** From now on codes are asked for. Returns what lets somebody in where the app is lost, each once. */
    @Transactional
    List<String> turnCodesOn(UUID id, String code) {
        AccountEntity account = people.get(id);
        byte[] secret = account.codesSecret()
                .orElseThrow(() -> new ConflictException("Begin with a secret for your app first."));
        OptionalLong step = codes.stepOf(code, secret, account.codesStep());
        if (step.isEmpty()) {
            throw PasswordRules.refused(
                    "/code", "This is not the code that the app shows now. Is the clock of its device right?");
        }
        account.setCodesStep(step.getAsLong());
        account.turnCodesOn();
        forgetRecoveryCodes(id);
        List<String> fresh = new ArrayList<>();
        for (int i = 0; i < RECOVERY_CODES; i++) {
            String one = codes.freshRecoveryCode();
            entities.persist(new RecoveryCodeEntity(id, Keys.digest(one)));
            fresh.add(one);
        }
        letters.changed(account, "one-time codes were turned on; they are asked for when you sign in.");
        audit.note("codes-on", "person", id);
        return fresh;
    }

    @Transactional
    void turnCodesOff(UUID id, String password, HttpServletRequest request) {
        AccountEntity account = known(id, password, request);
        account.turnCodesOff();
        letters.changed(account, "one-time codes were turned off; your password alone lets you in.");
        forgetRecoveryCodes(id);
        audit.note("codes-off", "person", id);
    }

    private void forgetRecoveryCodes(UUID account) {
        entities.createQuery("delete from RecoveryCodeEntity c where c.accountId = :account")
                .setParameter("account", account)
                .executeUpdate();
    }

    private AccountEntity known(UUID id, String password, HttpServletRequest request) {
        AccountEntity account = people.get(id);
        tries.check(account.email(), request.getRemoteAddr());
        if (!passwords.matches(password, account)) {
            tries.failed(account.email(), request.getRemoteAddr());
            throw new InvalidPlanException(List.of(new Problem(OLD, "This is not your password.")));
        }
        return account;
    }

    // Tokens.

    List<ApiTokenEntity> tokens(UUID account) {
        return entities.createQuery(
                        "select t from ApiTokenEntity t where t.accountId = :account order by t.madeAt desc",
                        ApiTokenEntity.class)
                .setParameter("account", account)
                .getResultList();
    }

    /** A new token. It is told this once; only a digest of it is kept. */
    @Transactional
    String token(UUID account, String name, Who.Scope scope, UUID project, int days) {
        String key = Keys.fresh();
        entities.persist(new ApiTokenEntity(account, People.checked(name), Keys.digest(key), scope, project, days));
        letters.changed(
                people.get(account),
                "a token was made by which programs reach what you reach: \"" + name.strip() + "\".");
        audit.note("token-made", "name", name, "scope", scope, "project", project == null ? "all" : project);
        return key;
    }

    @Transactional
    void withdrawToken(UUID account, UUID token) {
        ApiTokenEntity known = entities.find(ApiTokenEntity.class, token);
        if (known == null || !known.accountId().equals(account)) {
            throw new NotFoundException("There is no such token; it may have been withdrawn already.");
        }
        entities.remove(known);
        audit.note("token-withdrawn", "name", known.name());
    }

    /** Who asks with a token; nobody where it is withdrawn, run out, or its person can no longer come in. */
    @Transactional
    public Optional<Who> byToken(String key) {
        LocalDateTime now = LocalDateTime.now(ZoneOffset.UTC);
        return entities.createQuery(
                        "select t from ApiTokenEntity t where t.digest = :digest and t.expiresAt > :now",
                        ApiTokenEntity.class)
                .setParameter("digest", Keys.digest(key))
                .setParameter("now", now)
                .getResultStream()
                .findFirst()
                .filter(token -> people.find(token.accountId())
                        .filter(one -> !one.disabled())
                        .isPresent())
                .map(token -> {
                    if (token.usedAt() == null || token.usedAt().isBefore(now.minusMinutes(1))) {
                        token.used(now);
                    }
                    return token.who();
                });
    }
}
