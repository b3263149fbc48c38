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
import app.tychon.server.machines.Machines;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import app.tychon.server.problems.NotFoundException;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** How a recorded run is simulated to its end, whatever that is, and stored. */
final class RunWork {
    static final String NOT_KEPT = "The run could not be simulated or stored; nothing of it was kept.";

    private static final Logger LOG = LoggerFactory.getLogger(RunWork.class);
    private static final String NOT_BELIEVABLE =
            "Some futures finish after the year 9999, or cost more than can be counted: a range or a risk is far too wide.";
    private static final double LAST_DATE = Instants.of(LocalDateTime.of(9999, 1, 1, 0, 0));

    private final RunArchive archive;
    private final ProjectEvents events;
    private final EnginePool pool;
    private final Machines machines;
    private final Storing storing;
    private final BooleanSupplier closing;

    /** @param closing whether the server is being stopped */
    RunWork(
            RunArchive archive,
            ProjectEvents events,
            EnginePool pool,
            Machines machines,
            Storing storing,
            BooleanSupplier closing) {
        this.archive = archive;
        this.events = events;
        this.pool = pool;
        this.machines = machines;
        this.storing = storing;
        this.closing = closing;
    }

    /** What becomes of a run while it is worked at. @param drawn whether what it has seen so far is drawn */
    ActiveRun watched(RunEntity run, LoadedPlan plan, RunSettings settings, boolean drawn) {
        double certainty = settings.until().map(Steadiness::certainty).orElse(Steadiness.USUAL_CERTAINTY);
        Sighting sighting = drawn ? Sighting.of(plan, run.level(), certainty) : Sighting.NONE;
        return new ActiveRun(
                settings.iterations(),
                sighting,
                progress -> events.publish(run.projectId(), "run", run.view().withProgress(progress)),
                pool::standAside,
                () -> machines.at(run.id()));
    }

    /** @param ended is done when nobody works at it any more, before that is told */
    void simulate(RunEntity run, LoadedPlan plan, RunSettings settings, ActiveRun watched, Runnable ended) {
        UUID id = run.id();
        try {
            watched.begin();
            long bytes = RunNeeds.of(plan.plan(), settings).bytes()
                    + (machines.mayHelp() ? RunNeeds.early(plan.plan(), settings) : 0);
            RunResult result = pool.await(
                    Urgency.RECORDED,
                    run.projectId(),
                    bytes,
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
            keep(id, PackedRun.of(id, plan.plan(), result, run.level() / 100.0), how(result, watched));
        } catch (CancellationException e) {
            if (closing.getAsBoolean()) {
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
            ended.run();
            announceEnd(run);
        }
    }

    private void keep(UUID id, PackedRun packed, RunState how) {
        try {
            storing.store(() -> archive.finish(id, packed, how));
        } catch (NotFoundException e) {
            // Two servers that were cut off from each other may both have worked at it; it ended as the first had it.
            LOG.info("Run {} has ended already, or is gone", id);
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
        return closing.getAsBoolean() ? RunState.INTERRUPTED : RunState.STOPPED;
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
}
