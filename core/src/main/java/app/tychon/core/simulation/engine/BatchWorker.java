package app.tychon.core.simulation.engine;

import app.tychon.core.schedule.BranchSpans;
import app.tychon.core.schedule.CriticalTrace;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Frame;
import app.tychon.core.schedule.Lanes;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.draws.Scratch;
import app.tychon.core.simulation.money.CostLanes;
import app.tychon.core.simulation.risk.Strikes;
import java.util.Arrays;
import java.util.stream.IntStream;

/** One thread's working space for batches of iterations, and the order of an iteration. */
public final class BatchWorker {
    /** Activities from which on lanes are so many that fewer at a time save memory, and nothing else comes of it. */
    private static final int LARGE = 20_000;

    private static final int NARROW = 100;

    /** Works at iterations of a batch. */
    @FunctionalInterface
    public interface Strip {
        void work(int first, int count);
    }

    public final Lanes lanes;
    public final BranchSpans spans;
    public final Strikes strikes;
    public final CostLanes money;
    public final CriticalTrace trace;
    private final CompiledPlan plan;
    private final Network network;
    private final ForwardPass pass;
    private final Frame frame;
    private final Batch none;
    /** Whether there is no activity that could end the project. */
    private final boolean isEmpty;

    /** As many iterations at a time as the plan has room for. */
    public BatchWorker(CompiledPlan plan, Draws draws) {
        this(plan, draws, width(plan.network().size()));
    }

    /** @param width most iterations at a time */
    public BatchWorker(CompiledPlan plan, Draws draws, int width) {
        this.plan = plan;
        none = new Batch(draws, 0, 0, new Scratch());
        network = plan.network();
        pass = plan.pass();
        frame = plan.network().frame();
        lanes = new Lanes(network.size(), width);
        spans = new BranchSpans(network, width);
        strikes = plan.risks().space();
        money = plan.costs().space();
        trace = new CriticalTrace(network, pass, plan.target());
        isEmpty = IntStream.range(0, network.size()).allMatch(network::isHammock);
    }

    /** Iterations at a time of a plan of so many activities. */
    public static int width(int activities) {
        return activities > LARGE ? NARROW : Batch.WIDTH;
    }

    /** Parts a batch into as many iterations as are worked at at a time, in their order. */
    public void strips(int first, int count, Strip strip) {
        int width = lanes.width;
        for (int from = first; from < first + count; from += width) {
            strip.work(from, Math.min(width, first + count - from));
        }
    }

    /** Iterations for this thread, as in {@link Batch}. */
    public Batch batch(int first, int count) {
        return none.at(first, count);
    }

    /**
     * Let risks strike; draw a duration, bend it and place the activity, one after the other; add
     * up the money. What was critical is for {@link #trace} to find, where it is wanted.
     *
     * @param witness is told of it as it goes
     */
    public void iterate(Batch batch, Witness witness) {
        int count = batch.count();
        lanes.begin(count);
        spans.begin(count);
        plan.risks().strike(batch, plan::duration, strikes);
        for (int i = 0; i < network.size(); i++) {
            double[] duration = lanes.duration[i];
            plan.duration(i).sample(batch, duration);
            witness.drawn(i);
            plan.risks().bend(i, batch, strikes, duration);
            addHistory(i, duration, count);
            pass.place(i, lanes, count);
            spans.add(i, lanes, count);
            witness.placed(i);
        }
        if (isEmpty) {
            // Of nothing but hammocks, or of nothing, a project begins and ends at its start.
            Arrays.fill(lanes.end, 0, count, frame.start());
        }
        spans.rollUp(count);
        plan.costs().run(batch, lanes, spans, strikes, money, witness);
        witness.ended();
    }

    /** Adds what lies behind an activity to what is still to be worked. */
    public void addHistory(int position, double[] duration, int count) {
        double done = network.work(position).done();
        for (int k = 0; done > 0 && k < count; k++) {
            duration[k] += done;
        }
    }

    /** Instant at which the project, or what the plan aims at, finishes in a lane. */
    public double finish(int lane) {
        return plan.target() == CriticalTrace.PROJECT ? lanes.end[lane] : lanes.finish[plan.target()][lane];
    }

    /** Working minutes of the project calendar from the project's start to that. */
    public double duration(int lane) {
        return frame.work(finish(lane));
    }

    /** Instant at which the first activity of the project starts in a lane. */
    public double start(int lane) {
        return isEmpty ? frame.start() : spans.start[spans.start.length - 1][lane];
    }
}
