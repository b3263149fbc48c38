package app.tychon.server.people;

import app.tychon.server.audit.Audit;
import app.tychon.server.database.Keys;
import app.tychon.server.problems.ConflictException;
import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Links by which people set a password: the first, or another after the old one was lost. Each is good once. */
@Service
class AccountLinks {
    private static final Duration LASTS = Duration.ofDays(3);

    private final AccountRepository accounts;
    private final EntityManager entities;
    private final Tries tries;
    private final Letters letters;
    private final Audit audit;

    AccountLinks(AccountRepository accounts, EntityManager entities, Tries tries, Letters letters, Audit audit) {
        this.accounts = accounts;
        this.entities = entities;
        this.tries = tries;
        this.letters = letters;
        this.audit = audit;
    }

    /** A link for somebody, which follows the server's address; those before it are no longer good. */
    @Transactional
    public String make(AccountEntity account) {
        forget(account.id());
        String key = Keys.fresh();
        entities.persist(new AccountLinkEntity(
                account.id(),
                Keys.digest(key),
                LocalDateTime.now(ZoneOffset.UTC).plus(LASTS)));
        String path = JoinController.PAGE + "/" + key;
        letters.link(account, path);
        return path;
    }

    /** Whether links are sent to those whom they are for. */
    boolean areSent() {
        return letters.areSent();
    }

    /**
     * Sends somebody who forgot their password a link, if there is such a person. How often that may be asked is limited as tries
     * to come in are.
     *
     * @throws ConflictException where no mail can be sent
     * @throws TooManyTries where it was asked too often
     */
    @Transactional
    public void lost(String email, String address) {
        if (!letters.areSent()) {
            throw new ConflictException(
                    "This server sends no mail. Whoever looks after it makes you a link for another password.");
        }
        String asked = "lost " + People.normal(email);
        tries.check(asked, address);
        tries.failed(asked, address);
        audit.note("password-lost", "email", People.normal(email));
        accounts.findByEmail(People.normal(email))
                .filter(account -> !account.disabled())
                .ifPresent(this::make);
    }

    /** Whom a link is for, as long as it is good. */
    @Transactional(readOnly = true)
    public Optional<AccountEntity> of(String key) {
        return entities.createQuery(
                        "select l from AccountLinkEntity l where l.digest = :digest and l.expiresAt > :now",
                        AccountLinkEntity.class)
                .setParameter("digest", Keys.digest(key))
                .setParameter("now", LocalDateTime.now(ZoneOffset.UTC))
                .getResultStream()
                .findFirst()
                .flatMap(link -> accounts.findById(link.accountId()))
                .filter(account -> !account.disabled());
    }

    @Transactional
    public void forget(UUID account) {
        entities.createQuery("delete from AccountLinkEntity l where l.accountId = :account")
                .setParameter("account", account)
                .executeUpdate();
    }

    /** Every night: those that are no longer good. */
    @Scheduled(cron = "0 10 3 * * *")
    @Transactional
    public void sweep() {
        entities.createQuery("delete from AccountLinkEntity l where l.expiresAt < :now")
                .setParameter("now", LocalDateTime.now(ZoneOffset.UTC))
                .executeUpdate();
    }
}
