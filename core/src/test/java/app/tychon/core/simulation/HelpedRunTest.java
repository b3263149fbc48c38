package app.tychon.core.simulation;

import static app.tychon.core.simulation.Helping.N;
import static app.tychon.core.simulation.Helping.SETTINGS;
import static app.tychon.core.simulation.Helping.begin;
import static app.tychon.core.simulation.Helping.joined;
import static app.tychon.core.simulation.Helping.plan;
import static app.tychon.core.simulation.Helping.waitingFor;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.Blocks;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.engine.Task;
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
    /** What a helper does with the blocks of a run, each time in a thread of its own. */
    private interface Helper {
        void help(Blocks blocks, RunBlocks work) throws InterruptedException;
    }

    private static RunResult alone(RunSettings settings) {
        return Simulation.run(CompiledPlan.of(plan()), settings, RunMonitor.NONE);
    }

    private static RunResult helped(RunSettings settings, RunMonitor monitor, Helper... helpers) {
        List<Thread> threads = new ArrayList<>();
        Helpers all = (task, blocks) -> {
            for (Helper helper : helpers) {
                Thread thread = new Thread(() -> {
                    try {
                        helper.help(blocks, RunBlocks.of(task));
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
        CountDownLatch taken = new CountDownLatch(1);
        RunResult helped = helped(
                SETTINGS,
                // Nothing is worked here before others have done something.
                waitingFor(kept, 2),
                (blocks, work) -> {
                    Block first = begin(blocks, 3);
                    Block second = begin(blocks, 2);
                    taken.countDown();
                    // The later one first.
                    assertThat(blocks.finish(second, work.work(second))).isTrue();
                    kept.incrementAndGet();
                    assertThat(blocks.finish(first, work.work(first))).isTrue();
                    kept.incrementAndGet();
                    workOff(blocks, work, 1);
                },
                (blocks, work) -> {
                    // It would take them all, were it first.
                    taken.await();
                    workOff(blocks, work, 4);
                });
        same(helped, alone(SETTINGS));
    }

    @Test
    void oneThatDiesIsReplaced() {
        AtomicInteger dead = new AtomicInteger();
        RunResult helped = helped(SETTINGS, waitingFor(dead, 1), (blocks, work) -> {
            Block kept = begin(blocks, 2);
            blocks.finish(kept, work.work(kept));
            Block lost = begin(blocks, 5);
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
            Block block = begin(blocks, 4);
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

    /** A monitor by which the run's own threads wait for a helper once, and stop when so many iterations are done. */
    private static RunMonitor stoppedFrom(int enough, AtomicInteger helped) {
        return new RunMonitor() {
            private volatile int done;

            @Override
            public void progress(int now, int total) {
                done = now;
            }

            @Override
            public void pause() {
                waitingFor(helped, 1).pause();
            }

            @Override
            public boolean stopRequested() {
                return done >= enough;
            }
        };
    }

    @Test
    void aRunThatIsStoppedHasNoGap() {
        AtomicInteger taken = new AtomicInteger();
        RunMonitor stopped = stoppedFrom(2500, taken);
        RunResult helped = helped(SETTINGS, stopped, (blocks, work) -> {
            // Takes the beginning and gives it back only once the others have been stopped.
            Block first = begin(blocks, 2);
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

    private static RunSettings untilSteady(int threads) {
        return new RunSettings(20_000, 11, Sampling.LATIN, threads, Optional.of(new Steadiness(0.05, 0.8)));
    }

    @Test
    void aRunThatGoesOnUntilItIsSteadyStopsWhereItWouldAlone() {
        RunResult alone = alone(untilSteady(1));
        assertThat(alone.iterations()).isBetween(2000, 19_000);
        AtomicInteger early = new AtomicInteger();
        // Two rounds to come are done, the later one first, before the first one is begun with.
        RunResult helped = helped(untilSteady(1), waitingFor(early, 1), (blocks, work) -> {
            Block second = begin(blocks, 8);
            Block third = begin(blocks, 8);
            assertThat(List.of(second, third)).containsExactly(new Block(1000, 1000), new Block(2000, 1000));
            blocks.finish(third, work.work(third));
            blocks.finish(second, work.work(second));
            assertThat(blocks.done()).isZero();
            early.incrementAndGet();
            workOff(blocks, work, 2);
        });
        same(helped, alone);
    }

    @Test
    void moreThreadsThanARoundHasBatchesChangeNoBit() {
        same(alone(untilSteady(5)), alone(untilSteady(1)));
    }

    @Test
    void aRunUntilItIsSteadyThatIsStoppedHasNoGap() {
        AtomicInteger early = new AtomicInteger();
        RunMonitor stopped = stoppedFrom(1, early);
        RunResult helped = helped(untilSteady(2), stopped, (blocks, work) -> {
            Block second = begin(blocks, 2);
            blocks.finish(second, work.work(second));
            early.incrementAndGet();
        });
        assertThat(helped.iterations()).as("the round under way alone").isBetween(500, 1000);
        same(helped, alone(new RunSettings(helped.iterations(), 11, Sampling.LATIN, 1)));
    }

    @Test
    void whatIsNoBlockOfTheRunIsRefused() {
        RunBlocks work = RunBlocks.of(Task.all(CompiledPlan.of(plan()), SETTINGS));
        assertThatThrownBy(() -> work.work(new Block(6000, 500))).hasMessageContaining("of a run of 6250");
        assertThatThrownBy(() -> new Block(250, 500)).hasMessageContaining("from 250");
        AtomicInteger given = new AtomicInteger();
        assertThatThrownBy(() -> helped(SETTINGS, waitingFor(given, 1), (blocks, own) -> {
                    Block block = begin(blocks, 1);
                    blocks.finish(block, new byte[] {1, 2, 3});
                    given.incrementAndGet();
                }))
                .isInstanceOf(RuntimeException.class);
    }
}
