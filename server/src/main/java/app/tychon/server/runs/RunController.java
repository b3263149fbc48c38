package app.tychon.server.runs;

import app.tychon.core.model.Plan;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.InputChange;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@MayRead
@RequestMapping("/api")
class RunController {
    private final RunService runs;
    private final RunArchive archive;
    private final ProjectRepository projects;
    private final PlanStore plans;
    private final List<RunHolder> holders;

    RunController(
            RunService runs, RunArchive archive, ProjectRepository projects, PlanStore plans, List<RunHolder> holders) {
        this.holders = holders;
        this.runs = runs;
        this.archive = archive;
        this.projects = projects;
        this.plans = plans;
    }

    @GetMapping("/projects/{id}/runs")
    List<RunView> listRuns(
            @PathVariable UUID id,
            @Parameter(hidden = true) @RequestHeader(name = Editor.PERSON, required = false) String key) {
        projects.view(id);
        return runs.list(id, Editor.person(key));
    }

    @MayEdit
    @PostMapping("/projects/{id}/runs")
    @ResponseStatus(HttpStatus.ACCEPTED)
    RunView startRun(
            @PathVariable UUID id,
            @Valid @RequestBody RunRequest request,
            @Parameter(hidden = true) @RequestHeader(name = Editor.PERSON, required = false) String key) {
        return runs.start(id, request, Editor.person(key));
    }

    @GetMapping("/runs/{run}")
    RunView getRun(@PathVariable UUID run) {
        return runs.view(run);
    }

    @MayEdit
    @PostMapping("/runs/{run}/stop")
    RunView stopRun(@PathVariable UUID run) {
        return runs.stop(run);
    }

    @MayEdit
    @PostMapping("/runs/{run}/pause")
    RunView pauseRun(@PathVariable UUID run) {
        return runs.pause(run);
    }

    /** Lets a run that is held go on, or one that was stopped or interrupted. */
    @MayEdit
    @PostMapping("/runs/{run}/resume")
    RunView resumeRun(@PathVariable UUID run) {
        return runs.resume(run);
    }

    /** A new run of the same inputs with the same settings, which gives the same numbers. */
    @MayEdit
    @PostMapping("/runs/{run}/again")
    @ResponseStatus(HttpStatus.ACCEPTED)
    RunView runAgain(
            @PathVariable UUID run,
            @Parameter(hidden = true) @RequestHeader(name = Editor.PERSON, required = false) String key) {
        return runs.again(run, Editor.person(key));
    }

    /** What a run is called and why it was made. */
    record Called(
            @Nullable @Size(max = 120, message = "a name has at most 120 characters") String name,
            @Nullable @Size(max = 2000, message = "a note has at most 2,000 characters") String note) {}

    @MayEdit
    @PatchMapping("/runs/{run}")
    RunView callRun(@PathVariable UUID run, @Valid @RequestBody Called body) {
        return archive.call(run, body.name(), body.note());
    }

    @MayEdit
    @PostMapping("/runs/{run}/restore")
    RunView restoreRun(@PathVariable UUID run) {
        return archive.bringBack(run);
    }

    /** What has changed in the inputs since a run, object by object: until another run, or until now. */
    @GetMapping("/runs/{run}/changes")
    List<InputChange> changesSince(@PathVariable UUID run, @RequestParam Optional<UUID> to) {
        RunArchive.Begun begun = archive.begun(run);
        Plan later = to.map(other -> archive.begun(other).plan().plan())
                .orElseGet(() -> plans.find(begun.run().projectId()).plan());
        return InputChange.between(begun.plan().plan(), later);
    }

    /** Takes a run off the list, unless something rests on it. */
    @MayEdit
    @DeleteMapping("/runs/{run}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteRun(@PathVariable UUID run) {
        holders.stream()
                .flatMap(holder -> holder.holds(run).stream())
                .findFirst()
                .ifPresent(why -> {
                    throw new ConflictException(why);
                });
        runs.stop(run);
        archive.delete(run);
    }
}
