package app.tychon.core.simulation.tally;

import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import java.util.Arrays;

/** The project's own values of every iteration, filled by batches. */
public final class Samples {
    public final double[] start;
    public final double[] finish;
    public final double[] duration;
    public final double[] spread;
    public final double[] timeDriven;
    public final double[] risk;

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

    public void pack(Packer out, int count) {
        for (double[] values : all()) {
            out.reals(values, count);
        }
    }

    public void merge(Unpacker in, int first, int count) {
        for (double[] values : all()) {
            in.reals(values, first, count);
        }
    }

    private double[][] all() {
        return new double[][] {start, finish, duration, spread, timeDriven, risk};
    }

    /** Another with the values of the first {@code iterations}. */
    public Samples copy(int iterations) {
        Samples other = new Samples(iterations);
        for (int i = 0; i < all().length; i++) {
            System.arraycopy(all()[i], 0, other.all()[i], 0, iterations);
        }
        return other;
    }

    /** Finish and cost of the first {@code iterations}. */
    public Outcomes outcomes(CompiledPlan plan, int iterations) {
        CostSamples cost = cost(plan, iterations);
        return new Outcomes(
                Arrays.copyOf(finish, iterations),
                Arrays.copyOf(duration, iterations),
                cost.totals(),
                cost.risk(),
                cost.planned() + cost.actions());
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
