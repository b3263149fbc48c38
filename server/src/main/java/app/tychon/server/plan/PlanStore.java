package app.tychon.server.plan;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.model.WbsNode;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import java.util.ArrayList;
import java.util.HashMap;
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
    private final Map<UUID, LoadedPlan> warm = new ConcurrentHashMap<>();

    PlanStore(ProjectRepository projects, PlanRecords records) {
        this.projects = projects;
        this.records = records;
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
        UUID id = project.id();
        records.insert(project);
        Map<String, UUID> calendars = insertParts(id, plan.calendars(), CalendarEntity::new);
        Map<String, UUID> branches = insertBranches(id, plan.wbs());
        records.flush();
        Map<String, UUID> activities = new HashMap<>();
        for (int i = 0; i < plan.activities().size(); i++) {
            Activity a = plan.activities().get(i);
            ActivityEntity row = new ActivityEntity(id, i, branches.get(a.wbs()), calendars.get(a.calendar()), a);
            activities.put(a.id(), row.id());
            records.insert(row);
        }
        for (int i = 0; i < plan.links().size(); i++) {
            Link link = plan.links().get(i);
            records.insert(new LinkEntity(id, i, activities.get(link.from()), activities.get(link.to()), link));
        }
        for (int i = 0; i < plan.costs().size(); i++) {
            CostLine line = plan.costs().get(i);
            records.insert(new CostLineEntity(id, i, activities.get(line.on()), branches.get(line.on()), line));
        }
        insertParts(id, plan.grades(), GradeEntity::new);
        insertParts(id, plan.correlations(), CorrelationEntity::new);
        insertParts(id, plan.risks(), RiskEntity::new);
        Map<String, UUID> resources = insertParts(id, plan.resources(), ResourceEntity::new);
        records.flush();
        for (int i = 0; i < plan.assignments().size(); i++) {
            Assignment one = plan.assignments().get(i);
            records.insert(new AssignmentEntity(
                    id, i, activities.get(one.activity()), resources.get(one.resource()), one.units()));
        }
        return id;
    }

    /** Makes an entity of a part of a plan. */
    @FunctionalInterface
    private interface Part<T> {
        PartEntity of(UUID project, int position, T part);
    }

    private <T> Map<String, UUID> insertParts(UUID project, List<T> parts, Part<T> entity) {
        Map<String, UUID> keys = new HashMap<>();
        for (int i = 0; i < parts.size(); i++) {
            PartEntity row = entity.of(project, i, parts.get(i));
            keys.put(row.code(), row.id());
            records.insert(row);
        }
        return keys;
    }

    private Map<String, UUID> insertBranches(UUID project, List<WbsNode> nodes) {
        Map<String, BranchEntity> rows = new HashMap<>();
        List<BranchEntity> inOrder = new ArrayList<>();
        for (int i = 0; i < nodes.size(); i++) {
            BranchEntity row = new BranchEntity(project, i, nodes.get(i));
            rows.put(row.code(), row);
            inOrder.add(row);
        }
        inOrder.forEach(records::insert);
        // A parent may come after its child in a file; it is named once all are there.
        records.flush();
        for (WbsNode node : nodes) {
            node.parent().ifPresent(parent -> rows.get(node.id())
                    .setParent(rows.get(parent).id()));
        }
        return rows.values().stream().collect(Collectors.toMap(BranchEntity::code, BranchEntity::id));
    }
}
