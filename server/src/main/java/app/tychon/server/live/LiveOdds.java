package app.tychon.server.live;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.server.database.Ids;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.live.LiveView.State;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanChanged;
import app.tychon.server.plan.PlanStore;
import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Keeps the odds of the projects people look at up to date: a short simulation after every edit, then a longer one while
 * nothing happens. Of a burst of edits the newest counts; the others stop at once. One project after the other has its
 * turn on one thread, so that live work takes no more than its share.
 */
@Service
public class LiveOdds {
    /** Enough to see a difference of days between two plans that share their random numbers. */
    public static final int FIRST = 1_000;

    static final int REFINED = 5_000;
    private static final int MOST_KEPT = 50;
    /** Simulations kept whole; of a large plan one may take 100 MB. */
    private static final int MOST_RUNS = 6;
    /** The answer to an edit goes out before its odds take the processor. */
    private static final int BREATH_MS = 60;

    private static final Logger LOG = LoggerFactory.getLogger(LiveOdds.class);

    private final PlanStore plans;
    private final ProjectEvents events;
    private final ScheduledExecutorService worker = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "live-odds");
        thread.setDaemon(true);
        return thread;
    });
    private final Map<UUID, LiveView> known = new ConcurrentHashMap<>();
    /** The newest revision that is wanted of each project. */
    private final Map<UUID, Long> wanted = new ConcurrentHashMap<>();

    /** The last simulations, to be read like recorded runs while they are the newest. */
    private final Map<UUID, LiveRun> runs = new Recent<>(MOST_RUNS);

    LiveOdds(PlanStore plans, ProjectEvents events) {
        this.plans = plans;
        this.events = events;
    }

    /** What is known now; where that is not of the newest plan, the newest is begun. */
    public LiveView now(UUID project) {
        LoadedPlan plan = plans.find(project);
        LiveView view = known.get(project);
        if (view != null && view.revision() == plan.revision()) {
            if (view.run() == null || run(view.run()).isPresent()) {
                return view;
            }
            // Other projects were simulated since: worked out anew, to the same numbers.
            LiveView unread =
                    new LiveView(view.revision(), view.state(), null, view.outlook(), view.first(), view.refusal());
            known.put(project, unread);
            begin(project, plan);
            return unread;
        }
        if (!Long.valueOf(plan.revision()).equals(wanted.get(project))) {
            begin(project, plan);
        }
        return new LiveView(
                plan.revision(),
                State.UPDATING,
                view == null ? null : view.run(),
                view == null ? null : view.outlook(),
                view == null ? null : view.first(),
                null);
    }

    /** What live odds were worked out from; nothing where newer ones have taken their place. */
    public Optional<LiveRun> run(UUID id) {
        synchronized (runs) {
            return Optional.ofNullable(runs.get(id));
        }
    }

    private UUID keep(CompiledPlan plan, RunResult result) {
        UUID id = Ids.next();
        synchronized (runs) {
            runs.put(id, new LiveRun(plan, result));
        }
        return id;
    }

    /** The short simulation of the plan as it is: the one that is known, or a new one. */
    public Outlook first(UUID project) {
        LoadedPlan plan = plans.find(project);
        LiveView view = known.get(project);
        return view != null && view.revision() == plan.revision() && view.first() != null
                ? view.first()
                : Outlook.of(CompiledPlan.of(plan.plan()), FIRST, RunMonitor.NONE);
    }

    /** Only of projects that somebody has asked for; the others are worked out when they are. */
    @TransactionalEventListener
    void planChanged(PlanChanged change) {
        if (wanted.containsKey(change.project())) {
            begin(change.project(), change.plan());
        }
    }

    private void begin(UUID project, LoadedPlan plan) {
        if (wanted.size() >= MOST_KEPT && !wanted.containsKey(project)) {
            wanted.clear();
            known.clear();
        }
        wanted.put(project, plan.revision());
        worker.schedule(() -> simulate(project, plan), BREATH_MS, TimeUnit.MILLISECONDS);
    }

    private void simulate(UUID project, LoadedPlan plan) {
        if (isOld(project, plan.revision())) {
            return;
        }
        try {
            CompiledPlan compiled = CompiledPlan.of(plan.plan());
            RunResult result = run(project, plan, compiled, FIRST);
            Outlook first = Outlook.of(compiled, result);
            tell(project, new LiveView(plan.revision(), State.LIVE, keep(compiled, result), first, first, null));
            worker.execute(() -> refine(project, plan, compiled, first));
        } catch (CancellationException newer) {
            LOG.debug("Live odds of {} gave way to a newer edit", project);
        } catch (InvalidPlanException e) {
            refuse(project, plan, e.problems().get(0).message());
        } catch (RuntimeException e) {
            LOG.error("Live odds of {} failed", project, e);
            refuse(project, plan, "the simulation failed; the plan itself is safe");
        }
    }

    private void refuse(UUID project, LoadedPlan plan, String why) {
        tell(project, new LiveView(plan.revision(), State.REFUSED, null, null, null, why));
    }

    private void refine(UUID project, LoadedPlan plan, CompiledPlan compiled, Outlook first) {
        try {
            RunResult result = run(project, plan, compiled, REFINED);
            Outlook refined = Outlook.of(compiled, result);
            tell(project, new LiveView(plan.revision(), State.REFINED, keep(compiled, result), refined, first, null));
        } catch (CancellationException newer) {
            LOG.debug("Refining of {} gave way to a newer edit", project);
        } catch (RuntimeException e) {
            LOG.error("Refining the odds of {} failed", project, e);
        }
    }

    /** @throws CancellationException as soon as there is a newer plan */
    private RunResult run(UUID project, LoadedPlan plan, CompiledPlan compiled, int iterations) {
        RunMonitor untilNewer = new RunMonitor() {
            @Override
            public boolean stopRequested() {
                return isOld(project, plan.revision());
            }
        };
        RunResult result = Simulation.run(compiled, Outlook.settings(iterations), untilNewer);
        if (result.iterations() < iterations) {
            throw new CancellationException("a newer plan is there");
        }
        return result;
    }

    private void tell(UUID project, LiveView view) {
        if (!isOld(project, view.revision())) {
            known.put(project, view);
            events.publish(project, "odds", view);
        }
    }

    private boolean isOld(UUID project, long revision) {
        return wanted.getOrDefault(project, 0L) > revision;
    }

    @PreDestroy
    void close() {
        worker.shutdownNow();
    }
}
