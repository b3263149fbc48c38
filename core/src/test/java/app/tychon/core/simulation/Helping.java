package app.tychon.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.RandomPlans;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.Blocks;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;

/** What is helped with in tests, and how helpers and a run's own threads wait for each other. */
final class Helping {
    static final int N = 6250;
    static final RunSettings SETTINGS = new RunSettings(N, 11, Sampling.LATIN, 2);

    private Helping() {}

    /** Risks of every kind, money, branches, correlation; a few outputs are watched. */
    static Plan plan() {
        Plan plan = RandomPlans.risky(5, 40);
        return plan.edit()
                .activities(plan.activities().stream()
                        .map(a -> a.id().endsWith("7") ? a.withWatch(true) : a)
                        .toList())
                .done();
    }

    /** As soon as there are any. */
    static Block begin(Blocks blocks, int batches) {
        Optional<Block> block = blocks.take(batches);
        long end = System.nanoTime() + 60_000_000_000L;
        while (block.isEmpty()) {
            assertThat(System.nanoTime()).as("nothing to begin with").isLessThan(end);
            Thread.yield();
            block = blocks.take(batches);
        }
        return block.get();
    }

    /** A monitor by which the run's own threads stand still until so much has happened. */
    static RunMonitor waitingFor(AtomicInteger what, int many) {
        return new RunMonitor() {
            @Override
            public void pause() {
                long end = System.nanoTime() + 60_000_000_000L;
                while (what.get() < many) {
                    assertThat(System.nanoTime()).as("waited too long").isLessThan(end);
                    Thread.yield();
                }
            }
        };
    }

    static void joined(Thread thread) {
        try {
            thread.join();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
