package app.tychon.server.scenarios;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Scenario;
import app.tychon.core.scenario.ScenarioOdds;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.exchange.changes.Laid;
import app.tychon.exchange.changes.ScenarioPlan;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.Outlook;
import app.tychon.server.machines.Machines;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import app.tychon.server.problems.BusyException;
import app.tychon.server.problems.NotFoundException;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Works the odds of scenarios out when somebody asks for them: the plan itself and what is on screen first, a short simulation of
 * each, then a longer one, told as the event {@code scenarios}. What an edit does not touch stays. All share their random numbers
 * with live odds.
 */
@Service
class Board {
    /** What the plan itself is asked for by. */
    static final String PLAN = "";

    private static final int MOST_PROJECTS = 8;
    private static final Logger LOG = LoggerFactory.getLogger(Board.class);

    private final PlanStore plans;
    private final ProjectEvents events;
    private final EnginePool pool;
    private final Machines machines;
    /** A compiled version of each plan, from which others are made. */
    private final Map<UUID, CompiledPlan> roots = Collections.synchronizedMap(new Recent<>(MOST_PROJECTS));

    private final Map<UUID, Map<String, Slot>> slots = Collections.synchronizedMap(new Recent<>(MOST_PROJECTS));

    Board(PlanStore plans, ProjectEvents events, EnginePool pool, Machines machines) {
        this.machines = machines;
        this.plans = plans;
        this.events = events;
        this.pool = pool;
    }

    /**
     * The scenarios of a plan with what is known of each; what is not known yet is begun.
     *
     * @param watched those on screen, which go first
     */
    Map<String, Slot> now(UUID project, LoadedPlan plan, Set<String> watched) {
        Map<String, Slot> known = slots.computeIfAbsent(project, id -> new HashMap<>());
        Map<String, Slot> now = new LinkedHashMap<>();
        Map<String, Slot> begun = new LinkedHashMap<>();
        synchronized (known) {
            keys(plan).forEach((id, key) -> {
                Slot slot = known.get(id);
                if (slot == null || !slot.key().equals(key)) {
                    slot = new Slot(key);
                    begun.put(id, slot);
                }
                now.put(id, slot);
            });
            known.clear();
            known.putAll(now);
        }
        begun.entrySet().stream()
                .sorted((one, other) -> Boolean.compare(isFirst(other, watched), isFirst(one, watched)))
                .forEach(entry -> begin(
                        isFirst(entry, watched) ? Urgency.FIRST_ODDS : Urgency.REFINEMENT,
                        new Work(project, entry.getKey(), plan, entry.getValue()),
                        LiveOdds.FIRST));
        refine(project, plan);
        return now;
    }

    private static boolean isFirst(Map.Entry<String, Slot> entry, Set<String> watched) {
        return entry.getKey().equals(PLAN) || watched.contains(entry.getKey());
    }

    private static Map<String, Slot.Key> keys(LoadedPlan plan) {
        Map<String, Slot.Key> keys = new LinkedHashMap<>();
        keys.put(PLAN, Slot.Key.of(plan.network(), Optional.empty()));
        plan.plan().scenarios().stream()
                .filter(scenario -> !scenario.putAway())
                .forEach(scenario -> keys.put(scenario.id(), Slot.Key.of(plan.network(), Optional.of(scenario))));
        return keys;
    }

    /** One scenario to be worked out. */
    private record Work(UUID project, String id, LoadedPlan plan, Slot slot) {}

    private boolean isOld(Work work) {
        Map<String, Slot> known = slots.get(work.project());
        if (known == null) {
            return true;
        }
        synchronized (known) {
            return known.get(work.id()) != work.slot();
        }
    }

    private void begin(Urgency urgency, Work work, int iterations) {
        long bytes =
                RunNeeds.of(work.plan().plan(), Outlook.settings(iterations)).bytes();
        try {
            pool.submit(urgency, work.project(), bytes, turns -> {
                simulate(work, iterations, pool.watched(turns, RunMonitor.until(() -> isOld(work))));
                return null;
            });
        } catch (BusyException e) {
            turnedAway(work);
        }
    }

    /** Too much is being calculated: it is begun again when it is asked for next. */
    private void turnedAway(Work work) {
        work.slot().refineLater();
        Map<String, Slot> known = slots.getOrDefault(work.project(), new HashMap<>());
        synchronized (known) {
            if (work.slot().odds().isEmpty()) {
                known.remove(work.id(), work.slot());
            }
        }
    }

    private void simulate(Work work, int iterations, RunMonitor monitor) {
        if (isOld(work)) {
            return;
        }
        boolean last = iterations > LiveOdds.FIRST;
        try {
            CompiledPlan compiled = last ? work.slot().compiled() : compile(work);
            work.slot()
                    .odds(
                            ScenarioOdds.of(
                                    compiled,
                                    Outlook.settings(iterations),
                                    monitor,
                                    machines.helpers(new Machines.Work(work.project(), "a scenario"))),
                            last);
        } catch (CancellationException newer) {
            return;
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.error("Scenario {} of {} could not be worked out", work.id(), work.project(), e);
            work.slot().refuse("it could not be simulated; nothing of it is lost");
        }
        if (!last) {
            refine(work.project(), work.plan());
        }
        events.publish(work.project(), "scenarios", Map.of("id", work.id()));
    }

    /** Once all are known by few futures, each of them is worked out by more. */
    private void refine(UUID project, LoadedPlan plan) {
        Map<String, Slot> known = slots.getOrDefault(project, Map.of());
        Map<String, Slot> all;
        synchronized (known) {
            all = new LinkedHashMap<>(known);
        }
        if (all.values().stream().allMatch(Slot::isSettled)) {
            all.forEach((id, slot) -> {
                if (slot.startsRefining()) {
                    begin(Urgency.REFINEMENT, new Work(project, id, plan, slot), Outlook.REFINED);
                }
            });
        }
    }

    private CompiledPlan compile(Work work) {
        Slot slot = work.slot();
        Plan plan = work.plan().plan();
        Optional<Scenario> scenario = slot.key().scenario();
        slot.laid(
                scenario.map(one -> ScenarioPlan.of(plan, one)).orElseGet(() -> new Laid(plan, List.of(), List.of())));
        Network network = scenario.isEmpty()
                ? work.plan().network()
                : Network.of(slot.laid().orElseThrow().plan());
        // What shapes are made of is shared with what was compiled before, as far as they are the same.
        CompiledPlan root = roots.get(work.project());
        CompiledPlan compiled = root == null
                ? CompiledPlan.of(network, Scheduler.schedule(network))
                : root.next(network, Scheduler.schedule(network));
        if (root == null || scenario.isEmpty()) {
            roots.put(work.project(), compiled);
        }
        slot.compiled(compiled);
        return compiled;
    }

    /** A scenario that is worked out, or the plan itself. */
    Slot ready(UUID project, String id) {
        Slot slot = now(project, plans.find(project), Set.of(id)).get(id);
        if (slot == null) {
            throw new NotFoundException("There is no such scenario, or it is put away.");
        }
        if (slot.odds().isEmpty()) {
            throw new BusyException("This scenario is still being worked out; ask again in a moment.");
        }
        return slot;
    }

    /** Calculates something of a scenario, where all that simulates takes its turn. */
    <T> T calculate(UUID project, Slot slot, int iterations, Function<RunMonitor, T> work) {
        long bytes = RunNeeds.of(slot.laid().orElseThrow().plan(), Outlook.settings(iterations))
                .bytes();
        return pool.await(Urgency.AWAITED, project, bytes, work);
    }
}
