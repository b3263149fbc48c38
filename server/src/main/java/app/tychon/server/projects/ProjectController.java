package app.tychon.server.projects;

import app.tychon.server.project.ProjectView;
import app.tychon.server.project.Shelf;
import app.tychon.server.rights.MayBegin;
import app.tychon.server.rights.MayOwn;
import app.tychon.server.rights.MayRead;
import app.tychon.server.rights.MayReadInPerson;
import app.tychon.server.rights.WorksHere;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@WorksHere
@RequestMapping("/api/projects")
class ProjectController {
    private final ProjectService projects;
    private final Examples examples;

    ProjectController(ProjectService projects, Examples examples) {
        this.projects = projects;
        this.examples = examples;
    }

    @GetMapping
    List<ProjectSummary> listProjects(@RequestParam(defaultValue = "OPEN") Shelf shelf) {
        return projects.list(shelf);
    }

    @MayBegin
    @PostMapping("/blank")
    @ResponseStatus(HttpStatus.CREATED)
    ProjectView beginProject(@RequestBody @Valid NewProject body) {
        return projects.find(projects.begin(body));
    }

    @GetMapping("/examples")
    List<Examples.Example> listExamples() {
        return examples.all();
    }

    @MayBegin
    @PostMapping("/examples/{example}")
    @ResponseStatus(HttpStatus.CREATED)
    ProjectView beginFromExample(@PathVariable String example) throws IOException {
        return projects.find(projects.beginFromExample(example));
    }

    @MayReadInPerson
    @PostMapping("/{id}/duplicate")
    @ResponseStatus(HttpStatus.CREATED)
    ProjectView duplicateProject(@PathVariable UUID id) {
        return projects.find(projects.duplicate(id));
    }

    /** Puts a project away, or brings it back. */
    @MayOwn
    @PutMapping("/{id}/shelf")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putProjectOn(@PathVariable UUID id, @RequestParam Shelf shelf) {
        projects.putOn(id, shelf);
    }

    /** The body is a project file; it is read as a stream and kept whole or not at all. */
    @MayBegin
    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    ProjectView bringInProject(HttpServletRequest request) throws IOException {
        return projects.find(projects.bringIn(request.getInputStream()));
    }

    @MayRead
    @GetMapping("/{id}")
    ProjectView getProject(@PathVariable UUID id) {
        return projects.find(id);
    }

    /** It can be brought back for 30 days. */
    @MayOwn
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteProject(@PathVariable UUID id) {
        projects.putOn(id, Shelf.DELETED);
    }
}
