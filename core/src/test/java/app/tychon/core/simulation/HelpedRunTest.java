package app.tychon.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.RandomPlans;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.Blocks;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Steadiness;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** Others may help with a run, die over it, dawdle or do a block twice: no bit of it changes. */
class HelpedRunTest {
    private static final int N = 6250;
    private static final RunSettings SETTINGS = new RunSettings(N, 11, Sampling.LATIN, 2);

    /** What a helper does with the blocks of a run, each time in a thread of its own. */
    private interface Helper {
        void help(Blocks blocks, RunBlocks work) throws InterruptedException;
    }

    /** Risks of every kind, money, branches, correlation; a few outputs are watched. */
    private static Plan plan() {
        Plan plan = RandomPlans.risky(5, 40);
        return plan.edit()
                .activities(plan.activities().stream()
                        .map(a -> a.id().endsWith("7") ? a.withWatch(true) : a)
                        .toList())
                .done();
    }

    private static RunResult alone(RunSettings settings) {
        return Simulation.run(CompiledPlan.of(plan()), settings, RunMonitor.NONE);
    }

    private static RunResult helped(RunSettings settings, RunMonitor monitor, Helper... helpers) {
        List<Thread> threads = new ArrayList<>();
        Helpers all = blocks -> {
            for (Helper helper : helpers) {
                Thread thread = new Thread(() -> {
                    try {
                        helper.help(blocks, RunBlocks.of(CompiledPlan.of(plan()), settings));
                    } catch (InterruptedException e) {
                        // The run has ended without it.
                    }
                });
                threads.add(thread);
                thread.start();
            }
            return () -> threads.forEach(Thread::interrupt);
        };
        return Simulation.run(CompiledPlan.of(plan()), settings, monitor, all);
    }

    private static void same(RunResult helped, RunResult alone) {
        assertThat(helped.iterations()).isEqualTo(alone.iterations());
        assertThat(helped.start()).isEqualTo(alone.start());
        assertThat(helped.finish()).isEqualTo(alone.finish());
        assertThat(helped.duration()).isEqualTo(alone.duration());
        assertThat(helped.cost().totals()).isEqualTo(alone.cost().totals());
        assertThat(helped.cost().risk()).isEqualTo(alone.cost().risk());
        assertThat(helped.outputs()).hasSameSizeAs(alone.outputs()).isNotEmpty();
        for (int i = 0; i < alone.outputs().size(); i++) {
            assertThat(values(helped.outputs().get(i)))
                    .isDeepEqualTo(values(alone.outputs().get(i)));
        }
        assertThat(helped.activities())
                .usingRecursiveFieldByFieldElementComparator()
                .isEqualTo(alone.activities());
        assertThat(helped.branches())
                .usingRecursiveFieldByFieldElementComparator()
                .isEqualTo(alone.branches());
        assertThat(helped.risks()).isEqualTo(alone.risks());
        assertThat(helped.paths()).isEqualTo(alone.paths());
    }

    private static double[][] values(Output output) {
        return new double[][] {output.start(), output.finish(), output.duration(), output.cost()};
    }

    private static void workOff(Blocks blocks, RunBlocks work, int batches) throws InterruptedException {
        while (!Thread.currentThread().isInterrupted()) {
            Optional<Block> block = blocks.take(batches).or(blocks::takeLate);
            if (block.isPresent()) {
                blocks.finish(block.get(), work.work(block.get()));
            } else {
                blocks.await(5);
            }
        }
    }

    @Test
    void whoeverHelpsChangesNoBit() {
        AtomicInteger kept = new AtomicInteger();
        RunResult helped = helped(
                SETTINGS,
                // Nothing is worked here before others have done something.
                waitingFor(kept, 2),
                (blocks, work) -> {
                    Block first = blocks.take(3).orElseThrow();
                    Block second = blocks.take(2).orElseThrow();
                    // The later one first.
                    assertThat(blocks.finish(second, work.work(second))).isTrue();
                    kept.incrementAndGet();
                    assertThat(blocks.finish(first, work.work(first))).isTrue();
                    kept.incrementAndGet();
                    workOff(blocks, work, 1);
                },
                (blocks, work) -> workOff(blocks, work, 4));
        same(helped, alone(SETTINGS));
    }

    /** A monitor by which the run's own threads stand still until so much has happened. */
    private static RunMonitor waitingFor(AtomicInteger what, int many) {
        return new RunMonitor() {
            @Override
            public void pause() {
                while (what.get() < many) {
                    Thread.yield();
                }
            }
        };
    }

    @Test
    void oneThatDiesIsReplaced() {
        AtomicInteger dead = new AtomicInteger();
        RunResult helped = helped(SETTINGS, waitingFor(dead, 1), (blocks, work) -> {
            Block kept = blocks.take(2).orElseThrow();
            blocks.finish(kept, work.work(kept));
            Block lost = blocks.take(5).orElseThrow();
            blocks.giveBack(lost);
            assertThat(blocks.finish(lost, work.work(lost))).isFalse();
            dead.incrementAndGet();
        });
        same(helped, alone(SETTINGS));
    }

    @Test
    void oneThatDawdlesDoesNotHoldUpTheEndAndIsNotCountedTwice() {
        CountDownLatch ended = new CountDownLatch(1);
        AtomicInteger taken = new AtomicInteger();
        AtomicInteger kept = new AtomicInteger();
        Thread[] dawdler = new Thread[1];
        RunResult helped = helped(SETTINGS, waitingFor(taken, 1), (blocks, work) -> {
            dawdler[0] = Thread.currentThread();
            Block block = blocks.take(4).orElseThrow();
            taken.incrementAndGet();
            byte[] packed = work.work(block);
            // Until the run has ended without it, which it is told by being interrupted.
            try {
                ended.await();
            } catch (InterruptedException e) {
                kept.set(blocks.finish(block, packed) ? 1 : -1);
            }
        });
        same(helped, alone(SETTINGS));
        joined(dawdler[0]);
        assertThat(kept).hasValue(-1);
    }

    private static void joined(Thread thread) {
        try {
            thread.join();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aRunThatIsStoppedHasNoGap() {
        AtomicInteger taken = new AtomicInteger();
        RunMonitor stopped = new RunMonitor() {
            private volatile int done;

            @Override
            public void progress(int now, int total) {
                done = now;
            }

            @Override
            public void pause() {
                waitingFor(taken, 1).pause();
            }

            @Override
            public boolean stopRequested() {
                return done >= 2500;
            }
        };
        RunResult helped = helped(SETTINGS, stopped, (blocks, work) -> {
            // Takes the beginning and gives it back only once the others have been stopped.
            Block first = blocks.take(2).orElseThrow();
            taken.incrementAndGet();
            while (!stopped.stopRequested()) {
                blocks.await(5);
            }
            blocks.giveBack(first);
        });
        assertThat(helped.iterations()).isBetween(2500, N - 1);
        RunResult as = alone(new RunSettings(helped.iterations(), 11, Sampling.LATIN, 1));
        assertThat(helped.finish()).isEqualTo(as.finish());
        assertThat(helped.activities())
                .usingRecursiveFieldByFieldElementComparator()
                .isEqualTo(as.activities());
    }

    @Test
    void aRunThatGoesOnUntilItIsSteadyStopsWhereItWouldAlone() {
        RunSettings settings = new RunSettings(20_000, 11, Sampling.LATIN, 1, Optional.of(new Steadiness(0.05, 0.8)));
        RunResult alone = alone(settings);
        assertThat(alone.iterations()).isLessThan(20_000);
        same(helped(settings, RunMonitor.NONE, (blocks, work) -> workOff(blocks, work, 2)), alone);
    }

    @Test
    void finishAndCostAloneAreHelpedWithToo() {
        CompiledPlan plan = CompiledPlan.of(plan());
        AtomicInteger kept = new AtomicInteger();
        Helpers helper = blocks -> {
            Thread thread = new Thread(() -> {
                RunBlocks work = RunBlocks.outcomes(CompiledPlan.of(plan()), SETTINGS);
                for (Block block = blocks.take(2).orElse(null);
                        block != null || kept.get() == 0;
                        block = blocks.take(2).orElse(null)) {
                    if (block != null && blocks.finish(block, work.work(block))) {
                        kept.incrementAndGet();
                    }
                }
            });
            thread.start();
            return () -> joined(thread);
        };
        Outcomes helped = Simulation.outcomes(plan, SETTINGS, waitingFor(kept, 1), helper);
        Outcomes alone = Simulation.outcomes(plan, SETTINGS, RunMonitor.NONE);
        assertThat(helped.finish()).isEqualTo(alone.finish());
        assertThat(helped.duration()).isEqualTo(alone.duration());
        assertThat(helped.cost()).isEqualTo(alone.cost());
        assertThat(helped.risk()).isEqualTo(alone.risk());
    }

    @Test
    void whatIsNoBlockOfTheRunIsRefused() {
        RunBlocks work = RunBlocks.of(CompiledPlan.of(plan()), SETTINGS);
        assertThatThrownBy(() -> work.work(new Block(6000, 500))).hasMessageContaining("of a run of 6250");
        assertThatThrownBy(() -> new Block(250, 500)).hasMessageContaining("from 250");
        assertThatThrownBy(() -> helped(SETTINGS, RunMonitor.NONE, (blocks, own) -> {
                    Block block = blocks.take(1).orElseThrow();
                    blocks.finish(block, new byte[] {1, 2, 3});
                }))
                .isInstanceOf(RuntimeException.class);
    }
}
