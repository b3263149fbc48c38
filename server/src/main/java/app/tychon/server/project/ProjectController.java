package app.tychon.server.project;

import app.tychon.exchange.ProjectFileWriter;
import app.tychon.server.plan.PlanStore;
import jakarta.servlet.http.HttpServletRequest;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/projects")
class ProjectController {
    private final ProjectService projects;
    private final PlanStore plans;

    ProjectController(ProjectService projects, PlanStore plans) {
        this.projects = projects;
        this.plans = plans;
    }

    @GetMapping
    List<ProjectView> listProjects() {
        return projects.list();
    }

    /** The body is a project file; it is read as a stream and kept whole or not at all. */
    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    ProjectView bringInProject(HttpServletRequest request) throws IOException {
        return projects.find(projects.bringIn(request.getInputStream()));
    }

    @GetMapping("/{id}")
    ProjectView getProject(@PathVariable UUID id) {
        return projects.find(id);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteProject(@PathVariable UUID id) {
        projects.delete(id);
    }

    @GetMapping("/{id}/file")
    ResponseEntity<byte[]> downloadProject(@PathVariable UUID id) throws IOException {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        ProjectFileWriter.write(plans.find(id).plan(), file);
        String name = projects.find(id).code() + ".tychon.json";
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(file.toByteArray());
    }
}
