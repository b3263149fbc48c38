package app.tychon.server.plan;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.server.database.Ids;
import app.tychon.server.memory.Recent;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.rights.Rights;
import java.util.Collections;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Plans in and out of the database. The last revision of each plan in use is kept warm in memory. */
@Service
public class PlanStore {
    private static final int MOST_WARM = 20;

    private final ProjectRepository projects;
    private final PlanRecords records;
    private final PlanTables tables;
    private final Rights rights;
    private final Map<UUID, LoadedPlan> warm = Collections.synchronizedMap(new Recent<>(MOST_WARM));

    PlanStore(ProjectRepository projects, PlanRecords records, PlanTables tables, Rights rights) {
        this.projects = projects;
        this.records = records;
        this.tables = tables;
        this.rights = rights;
    }

    /** The plan of a project as it stands. */
    @Transactional(readOnly = true)
    public LoadedPlan find(UUID project) {
        long revision =
                projects.findRevision(project).orElseThrow(() -> new NotFoundException("There is no such project."));
        LoadedPlan known = warm.get(project);
        if (known != null && known.revision() == revision) {
            return known;
        }
        LoadedPlan loaded = load(project);
        return mayBeTakenBack() ? loaded : keepWarm(project, loaded);
    }

    /** Within a transaction that changes something: what is read in it may never be kept, and another plan get its revision. */
    private static boolean mayBeTakenBack() {
        return TransactionSynchronizationManager.isActualTransactionActive()
                && !TransactionSynchronizationManager.isCurrentTransactionReadOnly();
    }

    @TransactionalEventListener
    void keepWarm(PlanChanged change) {
        keepWarm(change.project(), change.plan());
    }

    private LoadedPlan keepWarm(UUID project, LoadedPlan plan) {
        warm.put(project, plan);
        return plan;
    }

    private LoadedPlan load(UUID id) {
        ProjectEntity project =
                projects.findById(id).orElseThrow(() -> new NotFoundException("There is no such project."));
        return LoadedPlan.of(project.revision(), tables.read(id, project.toCore()));
    }

    /** Keeps a sound plan as a new project, which belongs to whoever asks, and returns its key. */
    @Transactional
    public UUID insert(Plan plan) {
        return insert(plan, Ids.next());
    }

    /** The same under an id that no other project has. */
    @Transactional
    public UUID insert(Plan plan, UUID id) {
        keep(plan, id);
        rights.begun(id);
        return id;
    }

    private void keep(Plan plan, UUID id) {
        ProjectEntity project = new ProjectEntity(plan.project(), id);
        project.setPlannedFinish(
                Instants.toCivil(Scheduler.schedule(Network.of(plan)).finish()));
        records.insert(project);
        records.flush();
        tables.write(project.id(), PlanTables.empty(plan.project()), plan);
    }

    /** Keeps the plan of a scenario as a project of its own, in which the scenario is worked in. */
    @Transactional
    public UUID insertScenario(Plan plan, UUID of, String scenario, String name) {
        UUID place = Ids.next();
        keep(plan, place);
        projects.findById(place).orElseThrow().becomeScenario(of, scenario, name);
        return place;
    }

    /** Gives the place of a scenario the name that the scenario has now. */
    @Transactional
    public void callScenario(UUID place, String name) {
        projects.findById(place)
                .filter(project -> !name.equals(project.scenarioName()))
                .ifPresent(project ->
                        project.becomeScenario(project.scenarioOf().orElseThrow(), project.scenario(), name));
    }

    /** Brings what is stored of a project to another version of its plan. */
    @Transactional
    public void change(ProjectEntity project, LoadedPlan before, LoadedPlan after) {
        project.update(after.plan().project());
        project.setPlannedFinish(Instants.toCivil(after.schedule().finish()));
        tables.write(project.id(), before.plan(), after.plan());
    }
}
