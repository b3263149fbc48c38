package app.tychon.server.people;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * How often one may try to come in. After {@value #FREE} tries in vain on an account, or {@value #FREE_OF_ADDRESS} from an
 * address, each further one has to wait, twice as long as the one before, up to a quarter of an hour. A quiet day forgets all.
 */
@Component
class Tries {
    static final int FREE = 5;
    static final int FREE_OF_ADDRESS = 30;
    private static final Duration FIRST_WAIT = Duration.ofSeconds(15);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final Duration FORGOTTEN = Duration.ofDays(1);
    private static final int LONGEST = 300;

    private final EntityManager entities;
    private final Clock clock;

    Tries(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** @throws TooManyTries where somebody has to wait first */
    @Transactional(readOnly = true)
    void check(String email, String address) {
        Duration wait = max(left(account(email), FREE), left(address(address), FREE_OF_ADDRESS));
        if (!wait.isZero()) {
            throw new TooManyTries(wait);
        }
    }

    /** Counts, whatever becomes of the request. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    void failed(String email, String address) {
        count(account(email));
        count(address(address));
    }

    /** Forgets what somebody tried before they came in, and everything that nobody tried again for long. */
    @Transactional
    void cameIn(String email) {
        entities.createQuery("delete from FailedTryEntity t where t.tried = :tried or t.lastAt < :forgotten")
                .setParameter("tried", account(email))
                .setParameter("forgotten", now().minus(FORGOTTEN))
                .executeUpdate();
    }

    private static String account(String email) {
        return cut("account " + email);
    }

    private static String address(String address) {
        return cut("address " + address);
    }

    private static String cut(String tried) {
        return tried.length() > LONGEST ? tried.substring(0, LONGEST) : tried;
    }

    private Duration left(String tried, int free) {
        FailedTryEntity known = entities.find(FailedTryEntity.class, tried);
        if (known == null || known.times() < free) {
            return Duration.ZERO;
        }
        int doublings = Math.min(known.times() - free, 10);
        Duration whole = FIRST_WAIT.multipliedBy(1L << doublings);
        Duration wait = whole.compareTo(LONGEST_WAIT) < 0 ? whole : LONGEST_WAIT;
        Duration left = Duration.between(now(), known.lastAt().plus(wait));
        return left.isNegative() ? Duration.ZERO : left;
    }

    /** In one statement, so that of many at once each counts. */
    private void count(String tried) {
        entities.createNativeQuery(
                        "insert into failed_try (tried, times, last_at) values (:tried, 1, :now) on duplicate key"
                                + " update times = if(last_at < :forgotten, 1, times + 1), last_at = :now")
                .setParameter("tried", tried)
                .setParameter("now", now())
                .setParameter("forgotten", now().minus(FORGOTTEN))
                .executeUpdate();
    }

    private LocalDateTime now() {
        return LocalDateTime.now(clock.withZone(ZoneOffset.UTC));
    }

    private static Duration max(Duration one, Duration other) {
        return one.compareTo(other) > 0 ? one : other;
    }
}
