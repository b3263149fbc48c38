package app.tychon.server.plan;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;

/** Plans in and out of the database. The last revision of each plan in use is kept warm in memory. */
@Service
public class PlanStore {
    private static final int MOST_WARM = 20;

    private final ProjectRepository projects;
    private final PlanRecords records;
    private final PlanWriter writer;
    private final Map<UUID, LoadedPlan> warm = new ConcurrentHashMap<>();

    PlanStore(ProjectRepository projects, PlanRecords records, PlanWriter writer) {
        this.projects = projects;
        this.records = records;
        this.writer = writer;
    }

    /** The plan of a project as it stands. */
    @Transactional(readOnly = true)
    public LoadedPlan find(UUID project) {
        long revision =
                projects.findRevision(project).orElseThrow(() -> new NotFoundException("There is no such project."));
        LoadedPlan known = warm.get(project);
        return known != null && known.revision() == revision ? known : keepWarm(project, load(project));
    }

    @TransactionalEventListener
    void keepWarm(PlanChanged change) {
        keepWarm(change.project(), change.plan());
    }

    private LoadedPlan keepWarm(UUID project, LoadedPlan plan) {
        if (warm.size() >= MOST_WARM) {
            warm.clear();
        }
        warm.put(project, plan);
        return plan;
    }

    private LoadedPlan load(UUID id) {
        ProjectEntity project =
                projects.findById(id).orElseThrow(() -> new NotFoundException("There is no such project."));
        List<CalendarEntity> calendars = records.of(id, CalendarEntity.class);
        Map<UUID, String> calendarCodes =
                calendars.stream().collect(Collectors.toMap(CalendarEntity::id, CalendarEntity::code));
        List<BranchEntity> branches = records.of(id, BranchEntity.class);
        Map<UUID, BranchEntity> branchesById =
                branches.stream().collect(Collectors.toMap(BranchEntity::id, Function.identity()));
        List<ActivityEntity> activities = records.of(id, ActivityEntity.class);
        Map<UUID, String> activityCodes =
                activities.stream().collect(Collectors.toMap(ActivityEntity::id, ActivityEntity::code));
        List<ResourceEntity> resources = records.of(id, ResourceEntity.class);
        Map<UUID, String> resourceCodes =
                resources.stream().collect(Collectors.toMap(ResourceEntity::id, ResourceEntity::code));
        Plan plan = new Plan(
                project.toCore(),
                calendars.stream().map(CalendarEntity::toCore).toList(),
                branches.stream().map(b -> b.toCore(branchesById)).toList(),
                activities.stream()
                        .map(a -> a.toCore(branchesById.get(a.branchId()).code(), calendarCodes.get(a.calendarId())))
                        .toList(),
                records.of(id, LinkEntity.class).stream()
                        .map(l -> l.toCore(activityCodes.get(l.fromId()), activityCodes.get(l.toId())))
                        .toList(),
                records.of(id, GradeEntity.class).stream()
                        .map(GradeEntity::toCore)
                        .toList(),
                records.of(id, CorrelationEntity.class).stream()
                        .map(CorrelationEntity::toCore)
                        .toList(),
                resources.stream().map(ResourceEntity::toCore).toList(),
                records.of(id, AssignmentEntity.class).stream()
                        .map(a -> a.toCore(activityCodes.get(a.activityId()), resourceCodes.get(a.resourceId())))
                        .toList(),
                records.of(id, CostLineEntity.class).stream()
                        .map(c -> c.toCore(on(c, activityCodes, branchesById)))
                        .toList(),
                records.of(id, RiskEntity.class).stream()
                        .map(RiskEntity::toCore)
                        .toList(),
                records.of(id, AcceptanceEntity.class).stream()
                        .map(AcceptanceEntity::toCore)
                        .toList(),
                records.of(id, EvidenceEntity.class).stream()
                        .map(EvidenceEntity::toCore)
                        .toList());
        return LoadedPlan.of(project.revision(), plan);
    }

    private static String on(CostLineEntity line, Map<UUID, String> activities, Map<UUID, BranchEntity> branches) {
        if (line.activityId() != null) {
            return activities.get(line.activityId());
        }
        return line.branchId() == null
                ? Plan.PROJECT
                : branches.get(line.branchId()).code();
    }

    /** Keeps a sound plan as a new project and returns its key. */
    @Transactional
    public UUID insert(Plan plan) {
        ProjectEntity project = new ProjectEntity(plan.project());
        project.setPlannedFinish(
                Instants.toCivil(Scheduler.schedule(Network.of(plan)).finish()));
        records.insert(project);
        records.flush();
        writer.write(project.id(), Plan.of(plan.project(), List.of(), List.of(), List.of(), List.of()), plan);
        return project.id();
    }

    /** Brings what is stored of a project to another version of its plan. */
    @Transactional
    public void change(ProjectEntity project, LoadedPlan before, LoadedPlan after) {
        project.update(after.plan().project());
        project.setPlannedFinish(Instants.toCivil(after.schedule().finish()));
        writer.write(project.id(), before.plan(), after.plan());
    }
}
