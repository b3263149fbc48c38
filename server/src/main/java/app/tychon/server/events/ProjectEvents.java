package app.tychon.server.events;

import app.tychon.server.plan.PlanChanged;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells everyone who has a project open what happens to it, as server-sent events. */
@Component
public class ProjectEvents {
    private static final long FOR_EVER = 0L;

    private final Map<UUID, List<SseEmitter>> listeners = new ConcurrentHashMap<>();

    SseEmitter listen(UUID project) {
        SseEmitter emitter = new SseEmitter(FOR_EVER);
        List<SseEmitter> all = listeners.computeIfAbsent(project, id -> new CopyOnWriteArrayList<>());
        all.add(emitter);
        Runnable forget = () -> all.remove(emitter);
        emitter.onCompletion(forget);
        emitter.onTimeout(forget);
        emitter.onError(e -> forget.run());
        send(all, emitter, SseEmitter.event().name("open").data(Map.of()));
        return emitter;
    }

    @TransactionalEventListener
    void planChanged(PlanChanged change) {
        publish(
                change.project(),
                "plan",
                Map.of("revision", change.plan().revision(), "simulated", change.simulated()));
    }

    /** Sends an event, as JSON, to all who listen to a project. */
    public void publish(UUID project, String name, Object data) {
        List<SseEmitter> all = listeners.getOrDefault(project, List.of());
        for (SseEmitter emitter : all) {
            send(all, emitter, SseEmitter.event().name(name).data(data));
        }
    }

    private static void send(List<SseEmitter> all, SseEmitter emitter, SseEmitter.SseEventBuilder event) {
        try {
            emitter.send(event);
        } catch (IOException | IllegalStateException gone) {
            all.remove(emitter);
        }
    }

    /** Ends all streams, so that the server can stop without waiting for them. */
    void close() {
        listeners.values().forEach(all -> all.forEach(SseEmitter::complete));
    }
}
