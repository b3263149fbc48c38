package app.tychon.server.edits;

import app.tychon.core.model.Plan;
import app.tychon.exchange.changes.Change;
import app.tychon.exchange.changes.ChangeSet;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectRepository;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a plan has been, found by taking back its edits one after the other. */
@Service
public class PastPlans {
    private static final int PAGE = 200;

    private final ProjectRepository projects;
    private final ChangeLog log;

    PastPlans(ProjectRepository projects, ChangeLog log) {
        this.projects = projects;
        this.log = log;
    }

    /**
     * Goes back from what a plan is now to what it was first.
     *
     * @param goesOn is told of each; whether to go on
     */
    @Transactional(readOnly = true)
    public void backwards(LoadedPlan now, UUID project, Predicate<PastPlan> goesOn) {
        Plan plan = now.plan();
        Set<String> touched = Set.of();
        long until = now.revision();
        List<ChangeSetEntity> some = log.until(project, until, PAGE);
        while (!some.isEmpty()) {
            for (ChangeSetEntity edit : some) {
                if (!goesOn.test(new PastPlan(plan, edit.madeAt(), touched))) {
                    return;
                }
                ChangeSet changes = log.changes(edit);
                plan = changes.turned().applyTo(plan);
                touched = changes.changes().stream().map(Change::key).collect(Collectors.toSet());
                until = edit.revision() - 1;
            }
            some = log.until(project, until, PAGE);
        }
        Instant began = projects.findById(project)
                .orElseThrow(() -> new NotFoundException("There is no such project."))
                .createdAt();
        goesOn.test(new PastPlan(plan, began, touched));
    }
}
