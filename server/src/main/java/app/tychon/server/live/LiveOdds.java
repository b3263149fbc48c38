package app.tychon.server.live;

import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.live.LiveView.State;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanChanged;
import app.tychon.server.plan.PlanChangedElsewhere;
import app.tychon.server.plan.PlanLookedUp;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import app.tychon.server.problems.BusyException;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
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
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Keeps the odds of the projects people look at up to date: a short simulation of finish and cost alone after every edit,
 * then a longer one of everything while nothing happens. Of a burst of edits the newest counts; the others stop at once.
 */
@Service
public class LiveOdds {
    /** Enough to see a difference of days between two plans that share their random numbers. */
    public static final int FIRST = 1_000;

    private static final int REFINED = Outlook.REFINED;
    private static final int MOST_KEPT = 50;
    /** How long odds that another server works out are waited for; from the first to the refined ones, so many times. */
    private static final Duration GRACE = Duration.ofSeconds(2);

    private static final int TIMES = 20;

    /** The answer to an edit goes out before its odds take the processor. */
    private static final int BREATH_MS = 60;

    private static final Logger LOG = LoggerFactory.getLogger(LiveOdds.class);

    private final PlanStore plans;
    private final ProjectEvents events;
    private final EnginePool pool;
    private final FellowOdds fellows;
    private final Duration grace;
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "live-odds");
        thread.setDaemon(true);
        return thread;
    });
    private final Map<UUID, LiveView> known = new ConcurrentHashMap<>();
    /** The newest revision that is wanted of each project. */
    private final Map<UUID, Long> wanted = new ConcurrentHashMap<>();

    private final LiveRuns runs = new LiveRuns(Recent.shareOfMemory(0.15));

    @Autowired
    LiveOdds(PlanStore plans, ProjectEvents events, EnginePool pool, FellowOdds fellows) {
        this(plans, events, pool, fellows, GRACE);
    }

    /** @param grace how long odds that another server works out are waited for */
    LiveOdds(PlanStore plans, ProjectEvents events, EnginePool pool, FellowOdds fellows, Duration grace) {
        this.plans = plans;
        this.events = events;
        this.pool = pool;
        this.fellows = fellows;
        this.grace = grace;
        fellows.hear(this::heard);
    }

    /** What is known now; where that is not of the newest plan, the newest is begun. */
    public LiveView now(UUID project) {
        LoadedPlan plan = plans.find(project);
        LiveView view = known.get(project);
        if (view != null && view.revision() == plan.revision()) {
            if (view.run() == null || runs.isKnown(view.run())) {
                return view;
            }
            // Other projects were simulated since: worked out anew, to the same numbers.
            LiveView unread = new LiveView(
                    view.revision(), view.state(), null, null, view.outlook(), view.first(), view.refusal());
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
                view == null ? null : view.runRevision(),
                view == null ? null : view.outlook(),
                view == null ? null : view.first(),
                null);
    }

    /**
     * What live odds were worked out from; nothing where newer ones have taken their place. What another server has worked out is
     * simulated here first.
     */
    public Optional<LiveRun> run(UUID id) {
        return runs.find(id, told -> {
            LoadedPlan plan = plans.find(told.project());
            return plan.revision() == told.revision()
                    ? Optional.of(pool.await(
                            Urgency.AWAITED,
                            told.project(),
                            bytes(plan, REFINED),
                            monitor -> runs.simulate(told.project(), plan, monitor)))
                    : Optional.empty();
        });
    }

    /** Whose simulation it is. */
    public Optional<UUID> projectOf(UUID run) {
        return runs.projectOf(run);
    }

    /** The short simulation of the plan as it is: the one that is known, or a new one that the caller waits for. */
    public Outlook first(UUID project) {
        LoadedPlan plan = plans.find(project);
        LiveView view = known.get(project);
        return view != null && view.revision() == plan.revision() && view.first() != null
                ? view.first()
                : pool.await(
                        Urgency.AWAITED,
                        project,
                        bytes(plan, FIRST),
                        monitor -> Outlook.of(runs.compile(project, plan), FIRST, monitor));
    }

    private static long bytes(LoadedPlan plan, int iterations) {
        return RunNeeds.of(plan.plan(), Outlook.settings(iterations)).bytes();
    }

    /** Only of projects that somebody has asked for; the others are worked out when they are. */
    @TransactionalEventListener
    void planChanged(PlanChanged change) {
        if (!wanted.containsKey(change.project())) {
            return;
        }
        if (change.simulated() || !tellAgain(change.project(), change.plan().revision())) {
            begin(change.project(), change.plan());
        }
    }

    @EventListener
    void planLookedUp(PlanLookedUp found) {
        if (wanted.containsKey(found.project())) {
            begin(found.project(), plans.find(found.project()));
        }
    }

    @EventListener
    void planChanged(PlanChangedElsewhere change) {
        UUID project = change.project();
        if (wanted.containsKey(project)) {
            LoadedPlan plan = plans.find(project);
            wanted.merge(project, plan.revision(), Math::max);
            await(project, plan, TIMES);
        }
    }

    /** Where it was edited its odds are worked out; where that server says nothing in time, they are here. */
    private void await(UUID project, LoadedPlan plan, int times) {
        clock.schedule(() -> look(project, plan, times), grace.toMillis(), TimeUnit.MILLISECONDS);
    }

    private void look(UUID project, LoadedPlan plan, int times) {
        LiveView view = known.get(project);
        boolean told = view != null && view.revision() >= plan.revision();
        if (isOld(project, plan.revision()) || told && view.state() != State.LIVE) {
            return;
        }
        if (told && times > 0) {
            await(project, plan, times - 1);
        } else {
            begin(project, plan);
        }
    }

    private void heard(UUID project, LiveView view) {
        if (wanted.containsKey(project) && !isOld(project, view.revision())) {
            // What is worked out here of an older plan stops.
            wanted.merge(project, view.revision(), Math::max);
            if (view.run() != null) {
                runs.told(view.run(), project, view.runRevision());
            }
            known.put(project, view);
            events.publishHere(project, "odds", view);
        }
    }

    /** The odds of a plan of which only scenarios were edited stay; tells whether there are any of the plan before. */
    private boolean tellAgain(UUID project, long revision) {
        LiveView view = known.get(project);
        boolean newest = view != null && view.state() == State.REFINED && view.revision() == revision - 1;
        if (newest) {
            wanted.put(project, revision);
            tell(
                    project,
                    new LiveView(revision, view.state(), view.run(), revision, view.outlook(), view.first(), null));
        }
        return newest;
    }

    private void begin(UUID project, LoadedPlan plan) {
        if (wanted.size() >= MOST_KEPT && !wanted.containsKey(project)) {
            wanted.clear();
            known.clear();
        }
        wanted.put(project, plan.revision());
        clock.schedule(() -> work(Urgency.FIRST_ODDS, project, plan, FIRST), BREATH_MS, TimeUnit.MILLISECONDS);
    }

    private void work(Urgency urgency, UUID project, LoadedPlan plan, int iterations) {
        if (isOld(project, plan.revision())) {
            return;
        }
        try {
            pool.submit(urgency, project, bytes(plan, iterations), turns -> {
                simulate(
                        urgency,
                        project,
                        plan,
                        pool.watched(turns, RunMonitor.until(() -> isOld(project, plan.revision()))));
                return null;
            });
        } catch (BusyException e) {
            giveUp(urgency, project, plan, e.getMessage());
        }
    }

    private void simulate(Urgency urgency, UUID project, LoadedPlan plan, RunMonitor monitor) {
        try {
            if (urgency == Urgency.FIRST_ODDS) {
                tellFirst(project, plan, monitor);
            } else {
                refine(project, plan, monitor);
            }
        } catch (CancellationException newer) {
            LOG.debug("Live odds of {} gave way to a newer edit", project);
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.error("Live odds of {} failed", project, e);
            giveUp(urgency, project, plan, "the simulation failed; the plan itself is safe");
        }
    }

    private void tellFirst(UUID project, LoadedPlan plan, RunMonitor monitor) {
        Outlook first = Outlook.of(runs.compile(project, plan), FIRST, monitor);
        LiveView before = known.get(project);
        tell(
                project,
                new LiveView(
                        plan.revision(),
                        State.LIVE,
                        before == null ? null : before.run(),
                        before == null ? null : before.runRevision(),
                        first,
                        first,
                        null));
        work(Urgency.REFINEMENT, project, plan, REFINED);
    }

    /** First odds that were told stay, where they cannot be refined. */
    private void giveUp(Urgency urgency, UUID project, LoadedPlan plan, String why) {
        if (urgency == Urgency.FIRST_ODDS) {
            refuse(project, plan, why);
        }
    }

    private void refuse(UUID project, LoadedPlan plan, String why) {
        tell(project, new LiveView(plan.revision(), State.REFUSED, null, null, null, null, why));
    }

    private void refine(UUID project, LoadedPlan plan, RunMonitor monitor) {
        LiveRun whole = runs.simulate(project, plan, monitor);
        Outlook refined = Outlook.of(whole.plan(), whole.result());
        LiveView before = known.get(project);
        Outlook first = before == null || before.revision() != plan.revision() ? null : before.first();
        UUID run = runs.keep(whole);
        tell(project, new LiveView(plan.revision(), State.REFINED, run, plan.revision(), refined, first, null));
    }

    private void tell(UUID project, LiveView view) {
        if (!isOld(project, view.revision())) {
            known.put(project, view);
            events.publishHere(project, "odds", view);
            fellows.tell(project, view);
        }
    }

    private boolean isOld(UUID project, long revision) {
        return wanted.getOrDefault(project, 0L) > revision;
    }

    @PreDestroy
    void close() {
        clock.shutdownNow();
    }
}
