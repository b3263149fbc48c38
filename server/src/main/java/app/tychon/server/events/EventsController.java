package app.tychon.server.events;

import app.tychon.server.project.ProjectRepository;
import app.tychon.server.rights.MayRead;
import io.swagger.v3.oas.annotations.Hidden;
import java.util.UUID;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The stream of a project's events: {@code plan} when its inputs changed, {@code run} when a run got on. */
@RestController
@MayRead
class EventsController {
    private final ProjectEvents events;
    private final ProjectRepository projects;

    EventsController(ProjectEvents events, ProjectRepository projects) {
        this.events = events;
        this.projects = projects;
    }

    @Hidden
    @GetMapping(path = "/api/projects/{id}/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events(@PathVariable UUID id) {
        projects.view(id);
        return events.listen(id);
    }

    @EventListener
    void closing(ContextClosedEvent event) {
        events.close();
    }
}
