package app.tychon.server.runs;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Steadiness;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.fellows.Fellows;
import app.tychon.server.machines.Machines;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/** Simulates recorded runs, one at a time, and tells of their progress. */
@Service
class RunService {
    private static final Logger LOG = LoggerFactory.getLogger(RunService.class);
    /** What may be done to a run at work, as servers tell each other. */
    private static final String STOP = "stop";

    private static final String PAUSE = "pause";
    private static final String GO_ON = "resume";
    private static final int SECONDS_TO_STORE = 30;

    private static final String NOT_KEPT = "The run could not be simulated or stored; nothing of it was kept.";
    private static final String NOT_BELIEVABLE =
            "Some futures finish after the year 9999, or cost more than can be counted: a range or a risk is far too wide.";
    private static final double LAST_DATE = Instants.of(LocalDateTime.of(9999, 1, 1, 0, 0));
    private static final Duration LEFT_BEHIND = Duration.ofMinutes(1);

    private final PlanStore plans;
    private final RunArchive archive;
    private final ProjectEvents events;
    private final EnginePool pool;
    private final Machines machines;
    private final Fellows fellows;
    private final Storing storing;
    private final RunQueue queue = new RunQueue();
    private final RunRoom room = new RunRoom(queue);
    private final Map<UUID, ActiveRun> active = new ConcurrentHashMap<>();
    private volatile boolean closing;

    @Autowired
    RunService(
            PlanStore plans,
            RunArchive archive,
            ProjectEvents events,
            EnginePool pool,
            Machines machines,
            Fellows fellows) {
        this(plans, archive, events, pool, machines, fellows, Duration.ofSeconds(2));
    }

    /** @param breath how long to wait for a database that does not answer before it is tried again */
    RunService(
            PlanStore plans,
            RunArchive archive,
            ProjectEvents events,
            EnginePool pool,
            Machines machines,
            Fellows fellows,
            Duration breath) {
        this.pool = pool;
        this.fellows = fellows;
        fellows.hear(
                "run",
                (server, told) -> obey(
                        UUID.fromString(told.get("run").asText()),
                        told.get("act").asText()));
        fellows.whenGone(this::takeOver);
        this.machines = machines;
        this.plans = plans;
        this.archive = archive;
        this.events = events;
        storing = new Storing(breath, () -> closing);
    }

    @EventListener(ApplicationReadyEvent.class)
    void afterStart() {
        archive.markInterrupted();
        archive.sweep();
    }

    /** Begins a run of the project as it stands and returns at once. */
    RunView start(UUID project, RunRequest request, String person) {
        LoadedPlan plan = plans.find(project);
        RunSettings settings = request.settings(plan.plan().project().targets().level());
        room.check(project, plan, settings);
        archive.checkRoom(project, person);
        RunEntity run = archive.begin(project, plan, settings, new RunWords(request.name(), request.note(), person));
        return work(run, plan, settings, request.isDrawn(), person);
    }

    /** Begins a run of the inputs another run was made from, with its settings: the numbers are the same. */
    RunView again(UUID id, String person) {
        RunArchive.Begun begun = archive.begun(id);
        RunSettings settings = begun.run().settings(Runtime.getRuntime().availableProcessors());
        room.check(begun.run().projectId(), begun.plan(), settings);
        archive.checkRoom(begun.run().projectId(), person);
        String name = "Run " + begun.run().view().number() + " again";
        RunEntity run =
                archive.begin(begun.run().projectId(), begun.plan(), settings, new RunWords(name, null, person));
        return work(run, begun.plan(), settings, true, person);
    }

    private RunView work(RunEntity run, LoadedPlan plan, RunSettings settings, boolean drawn, String person) {
        ActiveRun watched = watched(run, plan, settings, drawn);
        active.put(run.id(), watched);
        queue.add(run.projectId(), () -> simulate(run, plan, settings, watched));
        return run.view(person, null);
    }

    private ActiveRun watched(RunEntity run, LoadedPlan plan, RunSettings settings, boolean drawn) {
        double certainty = settings.until().map(Steadiness::certainty).orElse(Steadiness.USUAL_CERTAINTY);
        Sighting sighting = drawn ? Sighting.of(plan, run.level(), certainty) : Sighting.NONE;
        return new ActiveRun(
                settings.iterations(),
                sighting,
                progress -> publish(run.projectId(), run, progress),
                pool::standAside,
                () -> machines.at(run.id()));
    }

    private void publish(UUID project, RunEntity run, RunView.Progress progress) {
        events.publish(project, "run", run.view().withProgress(progress));
    }

    private void simulate(RunEntity run, LoadedPlan plan, RunSettings settings, ActiveRun watched) {
        UUID id = run.id();
        try {
            watched.begin();
            RunResult result = pool.await(
                    Urgency.RECORDED,
                    run.projectId(),
                    RunNeeds.of(plan.plan(), settings).bytes(),
                    turns -> Simulation.run(
                            CompiledPlan.of(plan.network(), plan.schedule()),
                            settings,
                            pool.watched(turns, watched),
                            machines.helpers(
                                    id, new Machines.Work(run.projectId(), "run " + run.number()), watched::isHeld)));
            if (!isBelievable(result)) {
                end(id, RunState.FAILED, NOT_BELIEVABLE);
                return;
            }
            PackedRun packed = PackedRun.of(id, plan.plan(), result, run.level() / 100.0);
            RunState how = how(result, watched);
            storing.store(() -> archive.finish(id, packed, how));
        } catch (CancellationException e) {
            if (closing) {
                end(id, RunState.INTERRUPTED, "The server was stopped before this began.");
            } else {
                end(id, RunState.FAILED, "Stopped before anything was simulated.");
            }
        } catch (InvalidPlanException e) {
            end(
                    id,
                    RunState.FAILED,
                    "The plan cannot be simulated: " + e.problems().get(0).message());
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.error("Run {} failed", id, e);
            end(id, RunState.FAILED, NOT_KEPT);
        } finally {
            active.remove(id);
            announceEnd(run);
        }
    }

    /** Whether every date and amount of it can be told and kept. */
    private static boolean isBelievable(RunResult result) {
        return Arrays.stream(result.finish()).allMatch(finish -> finish < LAST_DATE)
                && Arrays.stream(result.cost().totals()).allMatch(Double::isFinite);
    }

    private RunState how(RunResult result, ActiveRun watched) {
        if (!watched.isStopped() || result.iterations() == result.settings().iterations()) {
            return RunState.DONE;
        }
        return closing ? RunState.INTERRUPTED : RunState.STOPPED;
    }

    private void end(UUID id, RunState how, String why) {
        try {
            storing.store(() -> archive.end(id, how, why));
        } catch (RuntimeException e) {
            LOG.error("The end of run {} could not be stored", id, e);
        }
    }

    private void announceEnd(RunEntity run) {
        try {
            events.publish(run.projectId(), "run", archive.view(run.id()));
        } catch (RuntimeException e) {
            LOG.error("The end of run {} could not be told", run.id(), e);
        }
    }

    /** Asks a run to stop; what it has simulated is kept. Does nothing when it has ended already. */
    RunView stop(UUID id) {
        return act(id, STOP);
    }

    /** Holds a run where it is; does nothing when it has ended already. */
    RunView pause(UUID id) {
        return act(id, PAUSE);
    }

    /** Does something to a run that is at work, here or at another server. */
    private RunView act(UUID id, String act) {
        if (!obey(id, act)) {
            fellows.tell("run", Map.of("run", id, "act", act));
        }
        return view(id);
    }

    /** Whether it is at work here. */
    private boolean obey(UUID id, String act) {
        ActiveRun watched = active.get(id);
        if (watched != null) {
            switch (act) {
                case STOP -> watched.stop();
                case PAUSE -> watched.pause(true);
                default -> watched.pause(false);
            }
        }
        return watched != null;
    }

    /** What a server worked at that is gone goes on at one of those that are left. */
    private void takeOver(String gone) {
        if (closing || !fellows.isFirst()) {
            return;
        }
        for (UUID run : archive.leftBy(gone)) {
            try {
                resume(run);
            } catch (RuntimeException e) {
                LOG.warn("Run {} of a server that is gone does not go on: {}", run, e.getMessage());
            }
        }
    }

    /**
     * Lets a run that is held go on. One that was cut short, by somebody or by the end of the server, is simulated to where
     * it was to end: the same seed gives the iterations it had, and the others after them.
     *
     * @throws ConflictException where there is nothing to go on with
     */
    RunView resume(UUID id) {
        if (obey(id, GO_ON)) {
            return view(id);
        }
        if (archive.isElsewhere(id)) {
            return act(id, GO_ON);
        }
        RunArchive.Begun begun = archive.begun(id);
        RunEntity run = begun.run();
        RunSettings settings = run.settings(Runtime.getRuntime().availableProcessors());
        room.check(run.projectId(), begun.plan(), settings);
        ActiveRun mine = watched(run, begun.plan(), settings, true);
        // Known to be at work before it is said to be, so that nobody finds it left behind in between.
        ActiveRun other = active.putIfAbsent(id, mine);
        if (other != null) {
            return view(id);
        }
        try {
            archive.resume(id);
        } catch (RuntimeException e) {
            active.remove(id, mine);
            throw e;
        }
        queue.add(run.projectId(), () -> simulate(run, begun.plan(), settings, mine));
        return view(id);
    }

    RunView view(UUID id) {
        return seen(archive.view(id));
    }

    /** @param reader who asks, to be told which runs are theirs */
    List<RunView> list(UUID project, String reader) {
        return archive.list(project, reader).stream().map(this::seen).toList();
    }

    /** A run with its progress. One that nobody works on any more is said to be interrupted, since its end was not stored. */
    private RunView seen(RunView stored) {
        ActiveRun watched = active.get(stored.id());
        if (watched != null) {
            return stored.withProgress(watched.progress());
        }
        boolean running = stored.state().equals(RunState.RUNNING.word());
        if (running
                && stored.startedAt().isBefore(Instant.now().minus(LEFT_BEHIND))
                && !archive.isElsewhere(stored.id())) {
            archive.end(stored.id(), RunState.INTERRUPTED, NOT_KEPT);
            return archive.view(stored.id());
        }
        return stored;
    }

    /** Runs at work stop and are stored with what they have, while the database is still there. */
    @PreDestroy
    void close() throws InterruptedException {
        closing = true;
        active.values().forEach(ActiveRun::stop);
        if (!queue.close(SECONDS_TO_STORE)) {
            LOG.warn("A run was not stored in time; it will be shown as interrupted.");
        }
    }
}
