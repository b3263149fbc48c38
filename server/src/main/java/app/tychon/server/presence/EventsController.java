package app.tychon.server.presence;

import app.tychon.server.events.ProjectEvents;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.rights.MayRead;
import app.tychon.server.rights.Who;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * The stream of a project's events: {@code plan} when its inputs changed, {@code edit} who changed what, {@code run} when a run
 * got on, {@code presence} who else has it open. Whoever listens is here.
 */
@RestController
@MayRead
class EventsController {
    private final ProjectEvents events;
    private final Presence presence;
    private final ProjectRepository projects;

    EventsController(ProjectEvents events, Presence presence, ProjectRepository projects) {
        this.events = events;
        this.presence = presence;
        this.projects = projects;
    }

    /** @param window a key of the window that listens, so that it is told apart from others of the same person */
    @Hidden
    @GetMapping(path = "/api/projects/{id}/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events(@PathVariable UUID id, @RequestParam Optional<String> window) {
        projects.view(id);
        SseEmitter emitter = events.listen(
                id,
                Who.accountNow().orElse(null),
                window.orElse(null),
                () -> projects.view(id).revision(),
                () -> window.ifPresent(key -> presence.leave(id, key)));
        window.ifPresent(key -> presence.enter(id, key));
        return emitter;
    }

    /**
     * Where somebody is.
     *
     * @param window the key by which it listens
     * @param stage such as {@code risks}
     * @param row the key of the row, or empty
     */
    record PlaceWords(
            @NotNull @Size(max = 60) String window,
            @NotNull @Size(max = 30) String stage,
            @NotNull @Size(max = 140) String row) {}

    @PostMapping("/api/projects/{id}/presence")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void beAt(@PathVariable UUID id, @RequestBody @Valid PlaceWords words) {
        presence.at(id, words.window(), words.stage(), words.row());
    }

    @EventListener
    void closing(ContextClosedEvent event) {
        events.close();
    }
}
