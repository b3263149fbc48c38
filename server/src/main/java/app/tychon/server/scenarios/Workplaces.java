package app.tychon.server.scenarios;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Scenario;
import app.tychon.core.scenario.Switches;
import app.tychon.exchange.changes.Laid;
import app.tychon.exchange.changes.ScenarioPlan;
import app.tychon.server.edits.Edit;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanChanged;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.project.ProjectView;
import jakarta.annotation.PreDestroy;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Where scenarios are worked in. A workplace is a project of its own that holds the scenario's plan, so that every stage works
 * in it; what is edited there is kept as edits of the scenario, in the same transaction. When the plan changes, workplaces that
 * are in use follow; the others do when somebody steps into them.
 */
@Service
class Workplaces {
    private static final int MOST_IN_USE = 20;
    private static final String SYSTEM = "scenarios";
    private static final Logger LOG = LoggerFactory.getLogger(Workplaces.class);

    private final ProjectRepository projects;
    private final PlanStore plans;
    private final Edits edits;
    /** Workplaces that somebody has stepped into. */
    private final Map<UUID, UUID> inUse = Collections.synchronizedMap(new Recent<>(MOST_IN_USE));

    private final ExecutorService following = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "scenarios-follow");
        thread.setDaemon(true);
        return thread;
    });

    Workplaces(ProjectRepository projects, PlanStore plans, Edits edits) {
        this.projects = projects;
        this.plans = plans;
        this.edits = edits;
    }

    /** The place where a scenario is worked in, as the plan is now; made where there is none. */
    ProjectView enter(UUID project, String id) {
        Scenario scenario = scenario(plans.find(project).plan(), id);
        UUID place = find(project, id).orElseGet(() -> make(project, scenario));
        inUse.put(place, project);
        follow(place, project);
        return projects.view(place);
    }

    static Scenario scenario(Plan plan, String id) {
        return find(plan, id).orElseThrow(() -> new NotFoundException("There is no such scenario."));
    }

    private Optional<UUID> find(UUID project, String id) {
        return projects.findByScenarioOfAndScenario(project, id).map(ProjectEntity::id);
    }

    private UUID make(UUID project, Scenario scenario) {
        Plan plan = ScenarioPlan.of(plans.find(project).plan(), scenario).plan();
        try {
            return plans.insertScenario(plan, project, scenario.id(), scenario.name());
        } catch (DataIntegrityViolationException e) {
            // Of two who step in for the first time at once, one has made it.
            return find(project, scenario.id()).orElseThrow(() -> e);
        }
    }

    /** Brings a workplace to what its scenario is of the plan as it is now. */
    private void follow(UUID place, UUID project) {
        Optional<String> id = projects.findById(place).map(ProjectEntity::scenario);
        if (id.flatMap(known -> find(plans.find(project).plan(), known)).isEmpty()) {
            return;
        }
        // The plan is read once the workplace is held: what was edited in it meanwhile is kept with its scenario by
        // then.
        edits.note(
                new Editor(place, SYSTEM, Optional.empty()),
                before -> followed(before, place, project, id.orElseThrow()));
    }

    private Edit.Outcome followed(Plan before, UUID place, UUID project, String id) {
        Plan plan = plans.find(project).plan();
        Optional<Scenario> scenario = find(plan, id);
        scenario.ifPresent(one -> plans.callScenario(place, one.name()));
        Plan wanted = scenario.map(one -> ScenarioPlan.of(plan, one).plan()).orElse(before);
        return new Edit.Outcome(inOrderOf(before, wanted), "The plan changed", List.of(), true);
    }

    private static Optional<Scenario> find(Plan plan, String id) {
        return plan.scenarios().stream().filter(one -> one.id().equals(id)).findFirst();
    }

    /** The plan that is there, where the other differs in nothing but the order of links. */
    private static Plan inOrderOf(Plan there, Plan wanted) {
        boolean same = there.links().size() == wanted.links().size()
                && there.withLinks(List.of()).equals(wanted.withLinks(List.of()))
                && List.copyOf(new TreeSet<>(
                                there.links().stream().map(Object::toString).toList()))
                        .equals(List.copyOf(new TreeSet<>(
                                wanted.links().stream().map(Object::toString).toList())));
        return same ? there : wanted;
    }

    /** What was edited in a workplace is kept with its scenario. */
    @EventListener
    void edited(PlanChanged change) {
        if (change.followed() || !change.simulated()) {
            return;
        }
        ProjectEntity place = projects.findById(change.project()).orElseThrow();
        place.scenarioOf().ifPresent(project -> keep(project, place.scenario(), change.plan()));
    }

    private void keep(UUID project, String id, LoadedPlan edited) {
        edits.note(new Editor(project, SYSTEM, Optional.empty()), plan -> {
            Scenario scenario = scenario(plan, id);
            Laid laid = ScenarioPlan.of(plan, scenario);
            Scenario kept = scenario.withEdits(
                    ScenarioPlan.edits(Switches.on(plan, scenario), edited.plan(), scenario.edits(), laid.idle()));
            return new Edit.Outcome(
                    plan.withScenarios(plan.scenarios().stream()
                            .map(one -> one.id().equals(id) ? kept : one)
                            .toList()),
                    "Edited in scenario “" + scenario.name() + "”");
        });
    }

    @TransactionalEventListener
    void planChanged(PlanChanged change) {
        List<UUID> places;
        synchronized (inUse) {
            places = inUse.entrySet().stream()
                    .filter(entry -> entry.getValue().equals(change.project()))
                    .map(Map.Entry::getKey)
                    .toList();
        }
        places.forEach(place -> following.execute(() -> followSafely(place, change.project())));
    }

    private void followSafely(UUID place, UUID project) {
        try {
            follow(place, project);
        } catch (RuntimeException e) {
            LOG.warn("The workplace {} could not follow its plan; it will when it is entered next", place, e);
        }
    }

    @PreDestroy
    void close() {
        following.shutdownNow();
    }
}
