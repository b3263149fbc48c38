package app.tychon.server.people;

import app.tychon.server.database.Keys;
import app.tychon.server.rights.RightsChanged;
import java.time.Instant;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where people are signed in. */
@Component
class BrowserSessions {
    static final String SIGNED_IN_AT = "signedInAt";
    static final String BROWSER = "browser";
    static final String ADDRESS = "address";

    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    private final ApplicationEventPublisher events;

    BrowserSessions(FindByIndexNameSessionRepository<? extends Session> sessions, ApplicationEventPublisher events) {
        this.sessions = sessions;
        this.events = events;
    }

    /**
     * A browser in which somebody is signed in.
     *
     * @param id tells it from others, and opens nothing
     * @param browser how it calls itself
     * @param here whether it is the one that asks
     */
    record BrowserSession(String id, Instant since, Instant used, String browser, String address, boolean here) {}

    /** Those of an account, used last first. */
    List<BrowserSession> of(UUID account, String here) {
        return byKey(account).values().stream()
                .map(session -> new BrowserSession(
                        name(session.getId()),
                        session.<Instant>getAttributeOrDefault(SIGNED_IN_AT, session.getCreationTime()),
                        session.getLastAccessedTime(),
                        session.getAttributeOrDefault(BROWSER, ""),
                        session.getAttributeOrDefault(ADDRESS, ""),
                        session.getId().equals(here)))
                .sorted(Comparator.comparing(BrowserSession::used).reversed())
                .toList();
    }

    /** Ends one by its name; nothing where there is none of that name. */
    void end(UUID account, String named) {
        byKey(account).keySet().stream().filter(key -> name(key).equals(named)).forEach(sessions::deleteById);
    }

    void endAll(UUID account) {
        byKey(account).keySet().forEach(sessions::deleteById);
        events.publishEvent(new RightsChanged(account, null));
    }

    void endOthers(UUID account, String here) {
        byKey(account).keySet().stream().filter(key -> !key.equals(here)).forEach(sessions::deleteById);
    }

    private Map<String, ? extends Session> byKey(UUID account) {
        return sessions.findByPrincipalName(account.toString());
    }

    private static String name(String key) {
        return HexFormat.of().formatHex(Keys.digest(key), 0, 8);
    }
}
