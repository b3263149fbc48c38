package app.tychon.core.simulation.tally;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.schedule.PathTrace;
import app.tychon.core.simulation.Replay;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Witness;
import app.tychon.core.simulation.result.RunResult.DrivingPath;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class DrivingPathsTest {
    private static final int N = 400;

    @Test
    void pathsThatWereNotKeptAreWorkedOutAgain() {
        CompiledPlan plan = CompiledPlan.of(layers());
        List<DrivingPath> kept = paths(plan, Long.MAX_VALUE, new ArrayList<>());
        List<Integer> again = new ArrayList<>();
        assertThat(paths(plan, 0, again)).isEqualTo(kept);
        assertThat(again).hasSameSizeAs(kept).hasSize(9);
        assertThat(paths(plan, 7, new ArrayList<>())).isEqualTo(kept);
    }

    /** Three activities, any of which may be the last before three others: nine paths. */
    private static Plan layers() {
        PlanBuilder plan = new PlanBuilder();
        for (int i = 0; i < 3; i++) {
            plan.task("P" + i, 10, new Shape.Uniform(5, 15)).task("Q" + i, 10, new Shape.Uniform(5, 15));
        }
        for (int i = 0; i < 9; i++) {
            plan.link("P" + i / 3, "Q" + i % 3);
        }
        return plan.build();
    }

    private static List<DrivingPath> paths(CompiledPlan plan, long room, List<Integer> again) {
        RunSettings settings = new RunSettings(N, 5, Sampling.LATIN, 1);
        BatchWorker worker = new BatchWorker(plan, new Draws(settings.seed(), settings.sampling()), N);
        worker.iterate(worker.batch(0, N), Witness.NONE);
        worker.trace.run(worker.lanes, N);
        PathTrace trace = new PathTrace(plan.network().size(), N, worker.trace);
        trace.run(worker.lanes, N);
        DrivingPaths paths = new DrivingPaths(plan.network(), N, room);
        paths.add(trace, 0, N);
        double[] duration = new double[N];
        for (int k = 0; k < N; k++) {
            duration[k] = worker.duration(k);
        }
        return paths.result(N, duration, i -> {
            again.add(i);
            return Replay.of(plan, settings, i).path();
        });
    }
}
