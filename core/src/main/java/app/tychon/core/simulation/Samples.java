package app.tychon.core.simulation;

import app.tychon.core.simulation.RunResult.CostSamples;
import java.util.Arrays;

/** The project's own values of every iteration, filled by batches. */
final class Samples {
    final double[] start;
    final double[] finish;
    final double[] duration;
    final double[] spread;
    final double[] timeDriven;
    final double[] risk;

    Samples(int iterations) {
        start = new double[iterations];
        finish = new double[iterations];
        duration = new double[iterations];
        spread = new double[iterations];
        timeDriven = new double[iterations];
        risk = new double[iterations];
    }

    void add(BatchWorker worker, int first, int count) {
        for (int k = 0; k < count; k++) {
            start[first + k] = worker.start(k);
            finish[first + k] = worker.finish(k);
            duration[first + k] = worker.duration(k);
        }
        System.arraycopy(worker.money.spread, 0, spread, first, count);
        System.arraycopy(worker.money.timeDriven, 0, timeDriven, first, count);
        System.arraycopy(worker.money.risk, 0, risk, first, count);
    }

    CostSamples cost(CompiledPlan plan, int iterations) {
        return new CostSamples(
                plan.plannedCost(),
                Arrays.copyOf(spread, iterations),
                Arrays.copyOf(timeDriven, iterations),
                Arrays.copyOf(risk, iterations),
                plan.costs().actions());
    }
}
