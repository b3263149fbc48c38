package app.tychon.server.plan;

import app.tychon.server.problems.ConflictException;
import app.tychon.server.project.ProjectService;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/projects/{id}")
class PlanController {
    private final ProjectService projects;
    private final PlanStore plans;
    private final EditService edits;

    PlanController(ProjectService projects, PlanStore plans, EditService edits) {
        this.projects = projects;
        this.plans = plans;
        this.edits = edits;
    }

    @GetMapping("/plan")
    ResponseEntity<PlanView> getPlan(@PathVariable UUID id) {
        LoadedPlan plan = plans.find(id);
        PlanView view = new PlanMapping(plan).view(projects.find(id).atRevision(plan.revision()));
        return ResponseEntity.ok().eTag(Long.toString(plan.revision())).body(view);
    }

    /** If-Match carries the revision the editor saw, as the ETag of the plan gave it. */
    @PatchMapping("/activities")
    EditResult editActivities(
            @PathVariable UUID id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String ifMatch,
            @RequestBody @Size(min = 1, max = 20_000) List<ActivityEdit> body) {
        return edits.edit(id, revision(ifMatch), body);
    }

    private static Optional<Long> revision(String ifMatch) {
        if (ifMatch == null) {
            return Optional.empty();
        }
        String tag = ifMatch.replace("\"", "");
        if (!tag.matches("\\d{1,18}")) {
            throw new ConflictException("If-Match must carry the revision of the plan, not " + ifMatch + ".");
        }
        return Optional.of(Long.parseLong(tag));
    }
}
