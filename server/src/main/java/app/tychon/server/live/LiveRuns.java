package app.tychon.server.live;

import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.server.database.Ids;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.LoadedPlan;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.function.Function;

/**
 * The last simulations behind live odds, to be read like recorded runs while they are the newest. Those of odds that another
 * server has told are made here when somebody reads them, by the same random numbers.
 */
final class LiveRuns {
    /** Simulations kept whole; of a large plan one may take 100 MB. */
    private static final int MOST = 6;

    private static final int MOST_TOLD = 50;

    /** Of which plan a simulation is that another server has. */
    record Told(UUID project, long revision) {}

    private final Recent<UUID, LiveRun> here;
    private final Recent<UUID, Told> elsewhere = new Recent<>(MOST_TOLD);
    /** The last compiled version of each project, from which the next is made. */
    private final Map<UUID, CompiledPlan> compiled;

    /** @param mostBytes that simulations may take, and compiled plans as much again */
    LiveRuns(long mostBytes) {
        here = new Recent<>(MOST, mostBytes, LiveRun::bytes);
        compiled = Collections.synchronizedMap(new Recent<>(
                MOST, mostBytes, plan -> RunNeeds.ofPlan(plan.network().plan())));
    }

    CompiledPlan compile(UUID project, LoadedPlan plan) {
        CompiledPlan before = compiled.get(project);
        if (before != null && before.network() == plan.network()) {
            return before;
        }
        CompiledPlan now = before == null
                ? CompiledPlan.of(plan.network(), plan.schedule())
                : before.next(plan.network(), plan.schedule());
        compiled.put(project, now);
        return now;
    }

    /** @throws CancellationException where it is stopped before its end */
    LiveRun simulate(UUID project, LoadedPlan plan, RunMonitor monitor) {
        CompiledPlan ready = compile(project, plan);
        RunResult result = Simulation.run(ready, Outlook.settings(Outlook.REFINED), monitor);
        if (result.iterations() < Outlook.REFINED) {
            throw new CancellationException("a newer plan is there");
        }
        return new LiveRun(project, plan.revision(), ready, result);
    }

    synchronized UUID keep(LiveRun run) {
        UUID id = Ids.next();
        here.put(id, run);
        return id;
    }

    /** @param revision the last one of which it is: edits of scenarios change nothing that is simulated */
    synchronized void told(UUID id, UUID project, long revision) {
        if (!here.containsKey(id)) {
            elsewhere.put(id, new Told(project, revision));
        }
    }

    /** Whether it can be read. */
    synchronized boolean isKnown(UUID id) {
        return here.containsKey(id) || elsewhere.containsKey(id);
    }

    synchronized Optional<UUID> projectOf(UUID id) {
        LiveRun run = here.get(id);
        return Optional.ofNullable(run).map(LiveRun::project).or(() -> Optional.ofNullable(elsewhere.get(id))
                .map(Told::project));
    }

    /**
     * A simulation; nothing where newer ones have taken its place.
     *
     * @param making makes what another server has told of
     */
    Optional<LiveRun> find(UUID id, Function<Told, Optional<LiveRun>> making) {
        Told told;
        synchronized (this) {
            LiveRun run = here.get(id);
            told = elsewhere.get(id);
            if (run != null || told == null) {
                return Optional.ofNullable(run);
            }
        }
        Optional<LiveRun> made = making.apply(told);
        synchronized (this) {
            made.ifPresent(run -> here.putIfAbsent(id, run));
        }
        return made;
    }
}
