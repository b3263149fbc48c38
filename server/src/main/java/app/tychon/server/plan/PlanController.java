package app.tychon.server.plan;

import app.tychon.server.project.ProjectRepository;
import app.tychon.server.rights.MayRead;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@MayRead
@RequestMapping("/api/projects/{id}")
class PlanController {
    private final ProjectRepository projects;
    private final PlanStore plans;

    PlanController(ProjectRepository projects, PlanStore plans) {
        this.projects = projects;
        this.plans = plans;
    }

    /** What hangs together with an activity. */
    @GetMapping("/activities/{activity}")
    ActivitySheet getActivity(@PathVariable UUID id, @PathVariable String activity) {
        return ActivitySheet.of(plans.find(id), activity);
    }

    @GetMapping("/plan")
    ResponseEntity<PlanView> getPlan(@PathVariable UUID id) {
        LoadedPlan plan = plans.find(id);
        PlanView view = new PlanMapping(plan).view(projects.view(id).atRevision(plan.revision()));
        return ResponseEntity.ok().eTag(Long.toString(plan.revision())).body(view);
    }
}
