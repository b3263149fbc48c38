package app.tychon.server.project;

import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.NotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Projects as a whole: listed, brought in from a file. */
@Service
public class ProjectService {
    private final ProjectRepository projects;
    private final PlanStore plans;

    ProjectService(ProjectRepository projects, PlanStore plans) {
        this.projects = projects;
        this.plans = plans;
    }

    @Transactional(readOnly = true)
    public List<ProjectView> list() {
        return projects.findAllByOrderByEditedAtDesc().stream()
                .map(ProjectView::of)
                .toList();
    }

    @Transactional(readOnly = true)
    public ProjectView find(UUID id) {
        return projects.findById(id)
                .map(ProjectView::of)
                .orElseThrow(() -> new NotFoundException("There is no such project."));
    }

    @Transactional(readOnly = true)
    public Optional<UUID> findByCode(String code) {
        return projects.findFirstByCodeOrderByCreatedAt(code).map(ProjectEntity::id);
    }

    /**
     * Reads a project file and keeps it as a new project.
     *
     * @throws app.tychon.core.model.InvalidPlanException with every problem of the file; then nothing is kept
     */
    @Transactional
    public UUID bringIn(InputStream file) throws IOException {
        Plan plan = ProjectFileReader.read(file);
        Network.of(plan);
        return plans.insert(plan);
    }

    @Transactional
    public void delete(UUID id) {
        find(id);
        projects.deleteById(id);
    }
}
