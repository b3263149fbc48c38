package app.tychon.server.events;

import app.tychon.server.fellows.Fellows;
import app.tychon.server.plan.PlanChanged;
import app.tychon.server.plan.PlanChangedElsewhere;
import app.tychon.server.plan.PlanLookedUp;
import app.tychon.server.problems.BusyException;
import app.tychon.server.rights.RightsChanged;
import com.fasterxml.jackson.databind.JsonNode;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.binder.MeterBinder;
import jakarta.annotation.Nullable;
import jakarta.annotation.PostConstruct;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Bean;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells everyone who has a project open what happens to it, as server-sent events. */
@Component
public class ProjectEvents {
    private static final long FOR_EVER = 0L;
    private static final int BEAT_SECONDS = 20;
    private static final int MOST_WINDOWS = 40;
    private static final String PLAN = "plan";

    /** Somebody who listens; by no account where there are none, and in a window that is told apart where it has said which. */
    private record Listener(@Nullable UUID account, @Nullable String window, SseEmitter emitter) {
        boolean follows(Listener before) {
            return window != null && window.equals(before.window) && Objects.equals(account, before.account);
        }
    }

    private final ScheduledExecutorService pulse = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "events-pulse");
        thread.setDaemon(true);
        return thread;
    });

    private final Map<UUID, List<Listener>> listeners = new ConcurrentHashMap<>();
    private final Fellows fellows;
    private final ApplicationEventPublisher here;

    /** As other servers are told. */
    private record Told(UUID project, String name, Object data) {}

    ProjectEvents(Fellows fellows, ApplicationEventPublisher here) {
        this.fellows = fellows;
        this.here = here;
        fellows.whenTogetherAgain(this::endAll);
        fellows.hear(
                "event",
                (server, told) -> heard(
                        UUID.fromString(told.get("project").asText()),
                        told.get("name").asText(),
                        told.get("data")));
        fellows.hear(
                "rights",
                (server, told) -> end(
                        UUID.fromString(told.get("account").asText()),
                        told.hasNonNull("project")
                                ? UUID.fromString(told.get("project").asText())
                                : null));
    }

    /** Whoever has missed something while servers were cut off from each other asks anew as soon as their stream has ended. */
    private void endAll() {
        listeners.values().forEach(all -> all.forEach(one -> one.emitter().complete()));
    }

    private void heard(UUID project, String name, JsonNode data) {
        publishHere(project, name, data);
        if (name.equals(PLAN)) {
            here.publishEvent(new PlanChangedElsewhere(project));
        }
    }

    /**
     * A stream of what happens to a project. It begins with the revision of the plan at a moment from which on nothing is missed.
     *
     * @param account whose it is, so that it ends with their rights; null where there are no accounts
     * @param window where it is listened; what it listened to before ends, which may not have been found out yet; null for any
     * @param revision asked once it listens
     * @param gone done once it has ended and nothing follows in its window
     */
    public SseEmitter listen(
            UUID project, @Nullable UUID account, @Nullable String window, LongSupplier revision, Runnable gone) {
        SseEmitter emitter = new SseEmitter(FOR_EVER);
        Listener listener = new Listener(account, window, emitter);
        if (account != null && othersOf(listener) >= MOST_WINDOWS) {
            throw new BusyException("You have " + MOST_WINDOWS + " windows open already; close some first.");
        }
        List<Listener> all = listeners.computeIfAbsent(project, id -> new CopyOnWriteArrayList<>());
        all.stream().filter(listener::follows).forEach(before -> {
            all.remove(before);
            before.emitter().complete();
        });
        all.add(listener);
        Runnable forget = () -> {
            if (all.remove(listener)) {
                gone.run();
            }
        };
        emitter.onCompletion(forget);
        emitter.onTimeout(forget);
        emitter.onError(e -> forget.run());
        send(listener, SseEmitter.event().name("standing").data(Map.of("revision", revision.getAsLong())));
        return emitter;
    }

    @TransactionalEventListener
    void planChanged(PlanChanged change) {
        publish(change.project(), PLAN, Map.of("revision", change.plan().revision(), "simulated", change.simulated()));
    }

    @EventListener
    void planLookedUp(PlanLookedUp found) {
        publish(found.project(), PLAN, Map.of("revision", found.revision(), "simulated", true));
    }

    /** How many windows of the same account listen, but for the one that it follows. */
    private long othersOf(Listener listener) {
        return listeners.values().stream()
                .flatMap(List::stream)
                .filter(one -> Objects.equals(one.account(), listener.account()) && !listener.follows(one))
                .count();
    }

    /** How many windows listen. */
    @Bean
    MeterBinder windows() {
        return meters -> Gauge.builder("tychon.windows", listeners, all -> all.values().stream()
                        .mapToInt(List::size)
                        .sum())
                .description("windows that have a project open")
                .register(meters);
    }

    @PostConstruct
    void listenForSilence() {
        pulse.scheduleAtFixedRate(this::beat, BEAT_SECONDS, BEAT_SECONDS, TimeUnit.SECONDS);
    }

    /** Says nothing to everybody, so that it is found out who is gone, and nothing between cuts a silent line. */
    private void beat() {
        listeners
                .values()
                .forEach(all -> all.forEach(
                        listener -> send(listener, SseEmitter.event().comment("here"))));
    }

    /** Sends an event, as JSON, to all who listen to a project, at whichever server. */
    public void publish(UUID project, String name, Object data) {
        publishHere(project, name, data);
        fellows.tell("event", new Told(project, name, data));
    }

    /** The same to those at this server alone, of what each server works out for itself. */
    public void publishHere(UUID project, String name, Object data) {
        for (Listener listener : listeners.getOrDefault(project, List.of())) {
            send(listener, SseEmitter.event().name(name).data(data));
        }
    }

    /** Nobody hears of a project any more who may not read it. */
    @TransactionalEventListener(fallbackExecution = true)
    void rightsChanged(RightsChanged change) {
        end(change.account(), change.project());
        fellows.tell("rights", change);
    }

    private void end(UUID account, @Nullable UUID of) {
        listeners.forEach((project, all) -> {
            if (of == null || of.equals(project)) {
                all.stream()
                        .filter(listener -> account.equals(listener.account()))
                        .forEach(listener -> listener.emitter().complete());
            }
        });
    }

    private static void send(Listener listener, SseEmitter.SseEventBuilder event) {
        try {
            listener.emitter().send(event);
        } catch (IOException | IllegalStateException gone) {
            // Whoever has closed their window is told no more; that is no fault of anybody's.
            listener.emitter().complete();
        }
    }

    /** Ends all streams, so that the server can stop without waiting for them. */
    public void close() {
        pulse.shutdownNow();
        endAll();
    }
}
