package app.tychon.server.projects;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Project;
import app.tychon.core.model.Targets;
import app.tychon.core.model.WbsNode;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.exchange.schedule.PlainWeek;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.DemoProject;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectHolder;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.project.ProjectRepository.LastOdds;
import app.tychon.server.project.ProjectRepository.Size;
import app.tychon.server.project.ProjectView;
import app.tychon.server.project.Shelf;
import app.tychon.server.projects.ProjectSummary.KeptFinish;
import app.tychon.server.rights.Rights;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Projects as a whole: listed, brought in from a file. */
@Service
public class ProjectService {
    /** How long a deleted project can be brought back. */
    private static final int DAYS_TO_REPENT = 30;

    private static final int FIRST_HOUR = 8;

    private final ProjectRepository projects;
    private final PlanStore plans;
    private final Examples examples;
    private final Rights rights;
    private final List<ProjectHolder> holders;

    ProjectService(
            ProjectRepository projects,
            PlanStore plans,
            Examples examples,
            Rights rights,
            List<ProjectHolder> holders) {
        this.projects = projects;
        this.plans = plans;
        this.examples = examples;
        this.rights = rights;
        this.holders = holders;
    }

    /** The projects on a shelf that whoever asks may read, last edited first. */
    @Transactional(readOnly = true)
    public List<ProjectSummary> list(Shelf shelf) {
        Map<UUID, KeptFinish> odds = projects.findLastOdds().stream()
                .collect(Collectors.toMap(
                        LastOdds::getProject, last -> new KeptFinish(last.getLevel(), last.getFinish())));
        Map<UUID, Long> sizes =
                projects.countActivities().stream().collect(Collectors.toMap(Size::getProject, Size::getActivities));
        Optional<Set<UUID>> readable = rights.readable();
        return projects.findAllByScenarioOfIsNullOrderByEditedAtDesc().stream()
                .filter(project -> project.shelf() == shelf)
                .filter(project -> readable.isEmpty() || readable.get().contains(project.id()))
                .map(project -> new ProjectSummary(
                        ProjectView.of(project),
                        finish(project),
                        odds.get(project.id()),
                        sizes.getOrDefault(project.id(), 0L)))
                .toList();
    }

    /** Projects kept by an earlier version know their planned finish only once they are calculated. */
    private LocalDateTime finish(ProjectEntity project) {
        return project.plannedFinish()
                .orElseGet(() ->
                        Instants.toCivil(plans.find(project.id()).schedule().finish()));
    }

    @Transactional(readOnly = true)
    public ProjectView find(UUID id) {
        return projects.view(id);
    }

    @Transactional(readOnly = true)
    public Optional<UUID> findByCode(String code) {
        return projects.findFirstByCodeAndScenarioOfIsNullOrderByCreatedAt(code).map(ProjectEntity::id);
    }

    /**
     * Reads a project file and keeps it as a new project. Only what has been read whole and found sound waits for the
     * database.
     *
     * @throws app.tychon.core.model.InvalidPlanException with every problem of the file; then nothing is kept
     */
    public UUID bringIn(InputStream file) throws IOException {
        return plans.insert(ProjectFileReader.read(file));
    }

    /** Brings the demo in, under the id by which the examples of the interface speak of it, unless something else has that. */
    @Transactional
    public UUID bringInDemo(InputStream file) throws IOException {
        Plan plan = ProjectFileReader.read(file);
        return projects.findById(DemoProject.ID).isPresent() ? plans.insert(plan) : plans.insert(plan, DemoProject.ID);
    }

    /** Begins a project with nothing in it but a branch and an ordinary week. */
    @Transactional
    public UUID begin(NewProject wanted) {
        CalendarDefinition week = PlainWeek.of("std", "Five-day week");
        Project project = new Project(
                "new",
                wanted.name().strip(),
                wanted.currency() == null ? "EUR" : wanted.currency(),
                wanted.start().atTime(FIRST_HOUR, 0),
                Optional.empty(),
                week.id(),
                LagCalendar.PREDECESSOR,
                Targets.NONE);
        WbsNode branch = new WbsNode("W1", Optional.empty(), "1", "All work", Optional.empty());
        return plans.insert(Plan.of(project, List.of(week), List.of(branch), List.of(), List.of()));
    }

    public UUID beginFromExample(String example) throws IOException {
        return plans.insert(examples.read(example));
    }

    /** A second project with the same plan. */
    @Transactional
    public UUID duplicate(UUID id) {
        Plan plan = plans.find(id).plan();
        Project own = plan.project();
        Project copy = own.withName("Copy of " + own.name());
        return plans.insert(plan.edit().project(copy).done());
    }

    @Transactional
    public void putOn(UUID id, Shelf shelf) {
        if (shelf == Shelf.DELETED) {
            holders.stream()
                    .flatMap(holder -> holder.holds(id).stream())
                    .findFirst()
                    .ifPresent(why -> {
                        throw new ConflictException(why);
                    });
        }
        projects.findForEditing(id)
                .orElseThrow(() -> new NotFoundException("There is no such project."))
                .putOn(shelf);
    }

    /** Removes what was deleted long enough ago, for good: at the start, and every night. */
    @Scheduled(cron = "0 13 3 * * *")
    @EventListener(ApplicationReadyEvent.class)
    @Transactional
    public void sweep() {
        projects.findDeletedBefore(LocalDateTime.now(ZoneOffset.UTC).minusDays(DAYS_TO_REPENT))
                .forEach(projects::deleteById);
    }
}
