package app.tychon.core.simulation.tally;

import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import java.util.Arrays;

/** The project's own values of every iteration, filled by batches. */
public final class Samples {
    public final double[] start;
    public final double[] finish;
    public final double[] duration;
    final double[] spread;
    final double[] timeDriven;
    final double[] risk;

    public Samples(int iterations) {
        start = new double[iterations];
        finish = new double[iterations];
        duration = new double[iterations];
        spread = new double[iterations];
        timeDriven = new double[iterations];
        risk = new double[iterations];
    }

    public void add(BatchWorker worker, int first, int count) {
        for (int k = 0; k < count; k++) {
            start[first + k] = worker.start(k);
            finish[first + k] = worker.finish(k);
            duration[first + k] = worker.duration(k);
        }
        System.arraycopy(worker.money.spread, 0, spread, first, count);
        System.arraycopy(worker.money.timeDriven, 0, timeDriven, first, count);
        System.arraycopy(worker.money.risk, 0, risk, first, count);
    }

    public CostSamples cost(CompiledPlan plan, int iterations) {
        return new CostSamples(
                plan.plannedCost(),
                Arrays.copyOf(spread, iterations),
                Arrays.copyOf(timeDriven, iterations),
                Arrays.copyOf(risk, iterations),
                plan.costs().actions());
    }
}
