package app.tychon.core.simulation.difference;

import app.tychon.core.schedule.Successors;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.tally.Samples;
import java.util.List;

/** A plan and variations of it, ready to be compared in any batch; shared by all who do. */
public final class Compared {
    final CompiledPlan plan;
    /** In the order in which they were asked for. */
    final List<Varied> varied;

    private final Draws draws;
    private final Successors successors;

    private Compared(CompiledPlan plan, RunSettings settings, List<Varied> varied) {
        this.plan = plan;
        draws = new Draws(settings.seed(), settings.sampling());
        this.varied = varied;
        successors = new Successors(plan.network());
    }

    /** @param variations of this plan */
    public static Compared of(CompiledPlan plan, RunSettings settings, List<Variation> variations) {
        return new Compared(
                plan,
                settings,
                variations.parallelStream()
                        .map(variation -> new Varied(plan, plan.with(variation)))
                        .toList());
    }

    /** What one thread compares with. */
    final class Hand {
        private final BatchWorker worker = new BatchWorker(plan, draws);
        private final Asker asker = new Asker(plan, worker, successors);

        /**
         * Compares a batch.
         *
         * @param samples gets the plan's own futures
         * @param offset  future that stands first there
         * @param patches gets where variations come out otherwise, in the order of {@link #varied}
         */
        void batch(int first, int count, Samples samples, int offset, List<Patches> patches) {
            worker.strips(first, count, (from, some) -> strip(from, some, samples, offset, patches));
        }

        private void strip(int first, int count, Samples samples, int offset, List<Patches> patches) {
            asker.simulate(worker.batch(first, count));
            samples.add(worker, first - offset, count);
            for (int v = 0; v < varied.size(); v++) {
                asker.ask(varied.get(v), patches.get(v));
            }
        }
    }
}
