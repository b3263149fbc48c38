package app.tychon.core.simulation;

import app.tychon.core.schedule.CriticalTrace;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Lanes;
import app.tychon.core.schedule.Network;
import java.util.function.IntConsumer;

/** One thread's working space for batches of iterations, and the order of an iteration. */
final class BatchWorker {
    final Lanes lanes;
    final BranchSpans spans;
    final Strikes strikes;
    final CostLanes money;
    final CriticalTrace trace;
    private final CompiledPlan plan;
    private final Network network;
    private final ForwardPass pass;
    private final Draws draws;
    private final Scratch scratch = new Scratch();

    /** @param width most iterations at a time */
    BatchWorker(CompiledPlan plan, Draws draws, int width) {
        this.plan = plan;
        this.draws = draws;
        network = plan.network();
        pass = plan.pass();
        lanes = new Lanes(network.size(), width);
        spans = new BranchSpans(network, width);
        strikes = plan.risks().space();
        money = plan.costs().space();
        trace = new CriticalTrace(network, pass, plan.target());
    }

    /**
     * Let risks strike; draw a duration, bend it and place the activity, one after the other; trace what was critical; add
     * up the money.
     *
     * @param first  a multiple of four; all {@code count} iterations lie within one block
     * @param placed is told of each activity while its row is still in the processor's cache
     * @param spending is told of money item by item
     */
    void iterate(int first, int count, IntConsumer placed, CostModel.Spending spending) {
        lanes.begin(count);
        spans.begin(count);
        plan.risks().strike(draws, first, count, plan::duration, strikes, scratch);
        for (int i = 0; i < network.size(); i++) {
            double[] duration = lanes.duration[i];
            plan.duration(i).sample(draws, first, count, duration, scratch);
            plan.risks().bend(i, draws, first, count, strikes, duration, scratch);
            addHistory(network.work(i).done(), duration, count);
            pass.place(i, lanes, count);
            spans.add(i, lanes, count);
            placed.accept(i);
        }
        spans.rollUp(count);
        trace.run(lanes, count);
        plan.costs().run(draws, first, count, lanes, spans, strikes, money, spending);
    }

    private static void addHistory(double done, double[] duration, int count) {
        for (int k = 0; done > 0 && k < count; k++) {
            duration[k] += done;
        }
    }

    /** Instant of the project's finish in a lane. */
    double finish(int lane) {
        return lanes.end[lane];
    }

    /** Working minutes of the project calendar from the project's start to its finish in a lane. */
    double duration(int lane) {
        return pass.projectWork(lanes.end[lane]);
    }

    /** Instant at which the first activity of the project starts in a lane. */
    double start(int lane) {
        return spans.start[spans.start.length - 1][lane];
    }
}
