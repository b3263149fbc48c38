package app.tychon.server.runs;

import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.fellows.Fellows;
import app.tychon.server.machines.Machines;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
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

    private static final Duration LEFT_BEHIND = Duration.ofMinutes(1);

    private final PlanStore plans;
    private final RunArchive archive;
    private final Fellows fellows;
    private final RunWork runs;
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
        this.fellows = fellows;
        fellows.hear(
                "run",
                (server, told) -> obey(
                        UUID.fromString(told.get("run").asText()),
                        told.get("act").asText()));
        fellows.whenGone(this::takeOver);
        this.plans = plans;
        this.archive = archive;
        runs = new RunWork(archive, events, pool, machines, new Storing(breath, () -> closing), () -> closing);
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
        ActiveRun watched = runs.watched(run, plan, settings, drawn);
        active.put(run.id(), watched);
        queue.add(run.projectId(), () -> runs.simulate(run, plan, settings, watched, () -> active.remove(run.id())));
        return run.view(person, null);
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
        ActiveRun mine = runs.watched(run, begun.plan(), settings, true);
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
        queue.add(run.projectId(), () -> runs.simulate(run, begun.plan(), settings, mine, () -> active.remove(id)));
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
            archive.end(stored.id(), RunState.INTERRUPTED, RunWork.NOT_KEPT);
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
