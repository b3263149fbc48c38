package app.tychon.core.simulation;

import app.tychon.core.schedule.Frame;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PathTrace;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.Batches;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.result.DatedPath;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.tally.DatedPaths;
import java.util.Arrays;
import java.util.List;

/**
 * Which path drove in which future, towards the project's finish or what the plan aims at ({@link CompiledPlan#towards}).
 *
 * @param paths  the most frequent first
 * @param pathOf by iteration: which of {@code paths} drove, from 0; -1 for one that is not among them
 * @param length by iteration: working minutes of the project's calendar from the project's start to the end of the path
 */
public record DrivingFutures(List<DatedPath> paths, int[] pathOf, double[] length) {
    /** Paths that are told one by one. */
    public static final int MOST = 50;

    /** @throws java.util.concurrent.CancellationException when stopped before anything was done, or interrupted */
    public static DrivingFutures of(CompiledPlan plan, RunSettings settings, RunMonitor monitor) {
        Network network = plan.network();
        DatedPaths paths = new DatedPaths(network, settings.iterations());
        double[] length = new double[settings.iterations()];
        Draws draws = new Draws(settings.seed(), settings.sampling());
        Batches batches = new Batches(settings, monitor);
        Frame frame = network.frame();
        batches.run(
                () -> {
                    BatchWorker worker = new BatchWorker(plan, draws);
                    PathTrace trace = new PathTrace(network.size(), worker.lanes.width, worker.trace);
                    return (batch, all) -> worker.strips(batch, all, (first, count) -> {
                        worker.iterate(worker.batch(first, count), Witness.NONE);
                        worker.trace.run(worker.lanes, count);
                        trace.run(worker.lanes, count);
                        paths.add(trace, worker.lanes, first, count);
                        for (int k = 0; k < count; k++) {
                            double end = worker.lanes.finish[worker.lanes.last[k]][k];
                            length[first + k] = frame.work(end);
                        }
                    });
                },
                done -> false);
        int[] pathOf = new int[batches.done()];
        List<DatedPath> frequent = paths.result(pathOf.length, MOST, pathOf);
        return new DrivingFutures(frequent, pathOf, Arrays.copyOf(length, pathOf.length));
    }

    /** Futures in which a path drove. */
    public boolean[] drove(int path) {
        boolean[] drove = new boolean[pathOf.length];
        for (int i = 0; i < drove.length; i++) {
            drove[i] = pathOf[i] == path;
        }
        return drove;
    }
}
