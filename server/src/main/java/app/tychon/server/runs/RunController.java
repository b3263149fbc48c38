package app.tychon.server.runs;

import app.tychon.server.project.ProjectService;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class RunController {
    private final RunService runs;
    private final RunArchive archive;
    private final ProjectService projects;

    RunController(RunService runs, RunArchive archive, ProjectService projects) {
        this.runs = runs;
        this.archive = archive;
        this.projects = projects;
    }

    @GetMapping("/projects/{id}/runs")
    List<RunView> listRuns(@PathVariable UUID id) {
        projects.find(id);
        return runs.list(id);
    }

    @PostMapping("/projects/{id}/runs")
    @ResponseStatus(HttpStatus.ACCEPTED)
    RunView startRun(@PathVariable UUID id, @Valid @RequestBody RunRequest request) {
        return runs.start(id, request);
    }

    @GetMapping("/runs/{run}")
    RunView getRun(@PathVariable UUID run) {
        return runs.view(run);
    }

    @PostMapping("/runs/{run}/stop")
    RunView stopRun(@PathVariable UUID run) {
        return runs.stop(run);
    }

    @DeleteMapping("/runs/{run}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteRun(@PathVariable UUID run) {
        runs.stop(run);
        archive.delete(run);
    }
}
