package app.tychon.server.people;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Problem;
import app.tychon.server.audit.Audit;
import app.tychon.server.people.PeopleController.PersonChange;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.rights.Memberships;
import app.tychon.server.rights.Role;
import app.tychon.server.rights.Who;
import jakarta.persistence.EntityManager;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Everybody who has an account. As soon as there is one, nobody comes in without; the first is an administrator and owns the
 * projects that are there.
 */
@Service("people")
public class People {
    private static final int DAYS_OF_ENDED_TOKENS = 90;
    private static final Pattern ACCOUNT = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");
    private static final String EMAIL = "[^\\s@<>\"]{1,64}@[^\\s@<>\"]{1,180}";

    private final AccountRepository accounts;
    private final Memberships memberships;
    private final BrowserSessions sessions;
    private final EntityManager entities;
    private final AccountLinks links;
    private final Letters letters;
    private final Audit audit;
    /** Whether those who look after people must come in with one-time codes. */
    private final boolean codesWanted;

    private volatile boolean shared;

    People(
            AccountRepository accounts,
            Memberships memberships,
            BrowserSessions sessions,
            EntityManager entities,
            AccountLinks links,
            Letters letters,
            Audit audit,
            @Value("${tychon.administrators-use-codes:false}") boolean codesWanted) {
        this.accounts = accounts;
        this.memberships = memberships;
        this.sessions = sessions;
        this.entities = entities;
        this.links = links;
        this.letters = letters;
        this.audit = audit;
        this.codesWanted = codesWanted;
    }

    /** Whether anybody has an account, so that one must sign in. */
    public boolean areHere() {
        if (!shared) {
            shared = accounts.count() > 0;
        }
        return shared;
    }

    /** What the register of a project calls whoever asks, where they keep only risks of their own in it. */
    public Optional<String> keepsOnlyRisksOf(UUID project) {
        return Who.accountNow()
                .flatMap(account -> memberships.find(project, account))
                .filter(member -> member.role() == Role.RISK_OWNER)
                .map(member -> member.ownerName().orElse(""));
    }

    /** Gives projects that nobody owns to the administrator who has been here longest. */
    @Transactional
    public void adopt() {
        accounts.findFirstByAdministratorTrueAndDisabledAtIsNullOrderByCreatedAt()
                .ifPresent(account -> memberships.takeOver(account.id()));
    }

    /** Whether whoever asks looks after people: an administrator, or whoever has the machine. */
    public boolean administer() {
        return Who.now()
                .filter(who -> who.account() == null
                        || who.scope() == Who.Scope.EVERYTHING
                                && who.project() == null
                                && find(who.account())
                                        .filter(account -> account.administrator() && !lacksCodes(account))
                                        .isPresent())
                .isPresent();
    }

    /** Whether somebody looks after people only once they have turned on one-time codes. */
    boolean lacksCodes(AccountEntity account) {
        return codesWanted && account.administrator() && !account.codesOn();
    }

    /** Whether somebody with an account asks, in a browser or by a token that reaches everything. */
    public boolean signedIn() {
        return Who.now()
                .filter(who -> who.account() != null && who.scope() == Who.Scope.EVERYTHING && who.project() == null)
                .isPresent();
    }

    Optional<AccountEntity> find(UUID account) {
        return accounts.findById(account);
    }

    AccountEntity get(UUID account) {
        return find(account).orElseThrow(() -> new NotFoundException("There is no such person."));
    }

    Optional<AccountEntity> byEmail(String email) {
        return accounts.findByEmail(normal(email));
    }

    static String normal(String email) {
        return email.strip().toLowerCase(Locale.ROOT);
    }

    /** Somebody by what they sign in with, who can come in. */
    public Optional<UUID> accountOf(String email) {
        return byEmail(email).filter(account -> !account.disabled()).map(AccountEntity::id);
    }

    /**
     * Somebody as a provider of single sign-on knows them: by their address the first time, by what it calls them from then on.
     *
     * @param subject the provider and what it calls them
     * @param email which the provider has verified
     * @return nothing where there is no such account, it is shut out, or somebody else came in by it before
     */
    @Transactional
    public Optional<UUID> bySubject(String subject, String email) {
        return byEmail(email)
                .filter(account -> !account.disabled())
                .filter(account ->
                        account.subject().isEmpty() || account.subject().get().equals(subject))
                .map(account -> {
                    if (account.subject().isEmpty()) {
                        letters.changed(account, "somebody came in as you by single sign-on, for the first time.");
                    }
                    account.setSubject(subject);
                    return account.id();
                });
    }

    /** What people are called, by their accounts; those who are gone are not among them. */
    public Map<UUID, String> names(Collection<UUID> ids) {
        return accounts.findAllByIdIn(ids).stream().collect(Collectors.toMap(AccountEntity::id, AccountEntity::name));
    }

    /**
     * The same by the keys under which records keep who made them; whoever had no account is not among them.
     *
     * @param keys accounts, or keys of browsers; some may be null
     */
    public Map<String, String> namesByKey(Stream<String> keys) {
        Set<UUID> ids = keys.filter(key -> key != null && ACCOUNT.matcher(key).matches())
                .map(UUID::fromString)
                .collect(Collectors.toSet());
        return ids.isEmpty()
                ? Map.of()
                : names(ids).entrySet().stream()
                        .collect(Collectors.toMap(one -> one.getKey().toString(), Map.Entry::getValue));
    }

    /** What somebody is called and signs in with. */
    public record PersonNamed(UUID id, String name, String email) {}

    public Optional<PersonNamed> called(UUID account) {
        return Optional.ofNullable(called(List.of(account)).get(account));
    }

    /** The same of several, by their accounts. */
    public Map<UUID, PersonNamed> called(Collection<UUID> ids) {
        return accounts.findAllByIdIn(ids).stream()
                .map(People::named)
                .collect(Collectors.toMap(PersonNamed::id, Function.identity()));
    }

    private static PersonNamed named(AccountEntity account) {
        return new PersonNamed(account.id(), account.name(), account.email());
    }

    /** All who can come in. */
    public List<PersonNamed> everybody() {
        return all().stream().filter(one -> !one.disabled()).map(People::named).toList();
    }

    List<AccountEntity> all() {
        return accounts.findAllByOrderByName();
    }

    /**
     * A new account, which is opened by the link.
     *
     * @throws InvalidPlanException by field, where something is missing or taken
     */
    @Transactional
    public String add(String email, String name, boolean administrator) {
        if (!normal(email).matches(EMAIL)) {
            throw new InvalidPlanException(List.of(new Problem(
                    "/email", "An e-mail address is needed, such as ada@example.org, not \"" + email + "\".")));
        }
        if (byEmail(email).isPresent()) {
            throw new InvalidPlanException(List.of(
                    new Problem("/email", "There is already somebody with the address " + normal(email) + ".")));
        }
        boolean first = accounts.count() == 0;
        AccountEntity account = accounts.save(new AccountEntity(normal(email), checked(name), administrator || first));
        if (first) {
            entities.flush();
            memberships.takeOver(account.id());
        }
        audit.note("person-added", "person", account.id(), "email", account.email());
        return links.make(account);
    }

    static String checked(String name) {
        String stripped = name.strip();
        if (stripped.isEmpty() || stripped.length() > 200) {
            throw new InvalidPlanException(List.of(new Problem("/name", "A name of 1 to 200 letters is needed.")));
        }
        return stripped;
    }

    /** A link by which the person sets another password; those before it are no longer good. */
    @Transactional
    String reset(UUID person) {
        AccountEntity account = get(person);
        audit.note("reset-link", "person", person);
        return links.make(account);
    }

    @Transactional
    void change(UUID person, PersonChange change) {
        AccountEntity account = get(person);
        if (change.administrator() != null && change.administrator() != account.administrator()) {
            letters.changed(
                    account,
                    change.administrator()
                            ? "you look after the people of this server from now on."
                            : "you no longer look after the people of this server.");
        }
        if (Boolean.FALSE.equals(change.codes()) && account.codesOn()) {
            letters.changed(account, "one-time codes were turned off for you; your password alone lets you in.");
        }
        if (change.name() != null) {
            account.call(checked(change.name()));
        }
        if (change.administrator() != null) {
            account.setAdministrator(change.administrator());
        }
        if (change.disabled() != null) {
            account.setDisabled(change.disabled());
        }
        if (Boolean.FALSE.equals(change.codes())) {
            account.turnCodesOff();
        }
        entities.flush();
        keepOneAdministrator();
        if (account.disabled()) {
            sessions.endAll(person);
        }
        audit.note(
                "person-changed",
                "person",
                person,
                "administrator",
                account.administrator(),
                "disabled",
                account.disabled());
    }

    /** Takes an account away for good. What the person did stays; their name goes; what nobody else owns is looked after. */
    @Transactional
    void remove(UUID person) {
        AccountEntity account = get(person);
        accounts.delete(account);
        entities.flush();
        keepOneAdministrator();
        adopt();
        sessions.endAll(person);
        audit.note("person-removed", "person", person);
    }

    /** Every night: tokens that ended long ago. */
    @Scheduled(cron = "0 11 3 * * *")
    @Transactional
    public void sweep() {
        entities.createQuery("delete from ApiTokenEntity t where t.expiresAt < :long")
                .setParameter("long", LocalDateTime.now(ZoneOffset.UTC).minusDays(DAYS_OF_ENDED_TOKENS))
                .executeUpdate();
    }

    private void keepOneAdministrator() {
        if (accounts.countByAdministratorTrueAndDisabledAtIsNull() == 0) {
            throw new ConflictException("Somebody must look after people: make another person administrator first.");
        }
    }
}
