package app.tychon.server.scenarios;

import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import jakarta.validation.Valid;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What to fund: asked again and again while it is worked out. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}/fund")
class FundController {
    private final FundJobs jobs;
    private final Edits edits;

    FundController(FundJobs jobs, Edits edits) {
        this.jobs = jobs;
        this.edits = edits;
    }

    /**
     * The best sets of responses, and of scenarios, as far as they are known.
     *
     * @param goal      what is to get better: finish, cost, or both (how often target and budget are both kept)
     * @param level     percent
     * @param scenarios ids of scenarios that are options, too
     */
    @GetMapping
    FundView fund(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "finish") String goal,
            @RequestParam(defaultValue = "80") int level,
            @RequestParam(defaultValue = "") List<String> scenarios) {
        return jobs.now(id, FundJobs.question(goal, ScenarioController.level(level), Set.copyOf(scenarios)));
    }

    /** Stops it; what is done by then stays. */
    @PostMapping("/stop")
    FundView stopFund(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "finish") String goal,
            @RequestParam(defaultValue = "80") int level,
            @RequestParam(defaultValue = "") List<String> scenarios) {
        return jobs.stop(id, FundJobs.question(goal, ScenarioController.level(level), Set.copyOf(scenarios)));
    }

    /** Responses and scenarios decided on together, in one edit. */
    @MayEdit
    @PostMapping("/decide")
    EditResult decide(Editor editor, @RequestBody @Valid Decision body) {
        return edits.edit(editor, body);
    }
}
