package app.tychon.server.odds;

import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.LiveRun;
import app.tychon.server.machines.Machines;
import app.tychon.server.memory.Recent;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import app.tychon.server.rights.ProjectOfRun;
import app.tychon.server.runs.RecordedRun;
import app.tychon.server.runs.RunArchive;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** Simulations to be read, recorded or live, by their keys. The last few stay open. */
@Service
public class Simulations implements ProjectOfRun {
    private static final int MOST_OPEN = 4;
    private static final long MOST_BYTES = Recent.shareOfMemory(0.15);

    /** @param source what it was opened from: a run that is simulated on has another */
    private record Open(Object source, Opened opened) {}

    private final RunArchive archive;
    private final LiveOdds live;
    private final EnginePool pool;
    private final Machines machines;
    private final Map<UUID, Open> open =
            new Recent<>(MOST_OPEN, MOST_BYTES, one -> one.opened().bytes());

    Simulations(RunArchive archive, LiveOdds live, EnginePool pool, Machines machines) {
        this.machines = machines;
        this.pool = pool;
        this.archive = archive;
        this.live = live;
    }

    /**
     * A simulation by its key.
     *
     * @throws app.tychon.server.problems.NotFoundException where there is none, or no longer
     * @throws app.tychon.server.problems.ConflictException where it has no results
     */
    public Opened open(UUID id) {
        Optional<LiveRun> now = live.run(id);
        if (now.isPresent()) {
            LiveRun run = now.get();
            return keep(
                    id,
                    run,
                    () -> new Opened(
                            run.plan().network().plan(), run.result(), run::plan, run.result()::output, awaited(id)));
        }
        RecordedRun run = archive.open(id);
        return keep(
                id,
                run,
                () -> new Opened(
                        run.plan(),
                        run.result(),
                        () -> CompiledPlan.of(run.plan()),
                        item -> archive.output(id, item),
                        awaited(id)));
    }

    @Override
    public Optional<UUID> of(UUID run) {
        return live.projectOf(run).or(() -> archive.projectOf(run));
    }

    /**
     * Help of other machines with what is asked of a simulation.
     *
     * @param what such as "a repeat of a run"
     */
    public Helpers helpers(UUID run, String what) {
        return machines.helpers(new Machines.Work(of(run).orElseThrow(), what));
    }

    private Opened.Calculator awaited(UUID id) {
        return new Opened.Calculator() {
            @Override
            public <T> T calculate(long bytes, Function<RunMonitor, T> work) {
                return pool.await(Urgency.AWAITED, id, bytes, work);
            }
        };
    }

    private Opened keep(UUID id, Object source, Supplier<Opened> opening) {
        synchronized (open) {
            Open known = open.get(id);
            if (known == null || known.source() != source) {
                known = new Open(source, opening.get());
                open.put(id, known);
            }
            return known.opened();
        }
    }
}
