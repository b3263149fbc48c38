package app.tychon.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.RandomPlans;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.Blocks;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.engine.Task;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Steadiness;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
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

    /** As soon as there are any. */
    private static Block begin(Blocks blocks, int batches) {
        Optional<Block> block = blocks.take(batches);
        while (block.isEmpty()) {
            Thread.yield();
            block = blocks.take(batches);
        }
        return block.get();
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
                    Block first = begin(blocks, 3);
                    Block second = begin(blocks, 2);
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
                long end = System.nanoTime() + 60_000_000_000L;
                while (what.get() < many) {
                    assertThat(System.nanoTime()).as("waited too long").isLessThan(end);
                    Thread.yield();
                }
            }
        };
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

    @Test
    void aRunThatGoesOnUntilItIsSteadyStopsWhereItWouldAlone() {
        RunSettings settings = new RunSettings(20_000, 11, Sampling.LATIN, 1, Optional.of(new Steadiness(0.05, 0.8)));
        RunResult alone = alone(settings);
        assertThat(alone.iterations()).isLessThan(20_000);
        same(helped(settings, RunMonitor.NONE, (blocks, work) -> workOff(blocks, work, 2)), alone);
    }

    /** Works off what there is, two batches at a time. @param kept how many blocks it has given */
    private static Helpers working(AtomicInteger kept) {
        return (task, blocks) -> {
            Thread thread = new Thread(() -> {
                RunBlocks work = RunBlocks.of(task);
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
    }

    @Test
    void finishAndCostAloneAreHelpedWithToo() {
        CompiledPlan plan = CompiledPlan.of(plan());
        AtomicInteger kept = new AtomicInteger();
        Helpers helper = working(kept);
        Outcomes helped = Simulation.outcomes(plan, SETTINGS, waitingFor(kept, 1), helper);
        Outcomes alone = Simulation.outcomes(plan, SETTINGS, RunMonitor.NONE);
        same(helped, alone);
    }

    @Test
    void differencesAreHelpedWithTooAndAreTheSame() {
        CompiledPlan plan = CompiledPlan.of(plan()).with(Variation.CURRENT.withRisk("R1", RiskSetting.OFF));
        Map<String, Variation> asked = new LinkedHashMap<>();
        plan.network().plan().risks().forEach(risk -> {
            asked.put("off " + risk.id(), plan.variation().withRisk(risk.id(), RiskSetting.OFF));
            asked.put("answered " + risk.id(), plan.variation().withRisk(risk.id(), RiskSetting.AFTER_RESPONSE));
        });
        AtomicInteger kept = new AtomicInteger();
        Helpers helper = working(kept);
        List<Integer> early = new CopyOnWriteArrayList<>();
        Differences<String> helped = Differences.of(
                plan, SETTINGS, asked, waitingFor(kept, 1), helper, some -> early.add(some.iterations()));
        Differences<String> alone = Differences.of(plan, SETTINGS, asked, RunMonitor.NONE, some -> {});
        same(helped.own(), alone.own());
        assertThat(helped.keys()).containsExactlyElementsOf(alone.keys()).isNotEmpty();
        helped.keys().forEach(key -> {
            same(helped.of(key), alone.of(key));
            assertThat(helped.differing(key)).as(key).isEqualTo(alone.differing(key));
        });
        assertThat(early).isSorted().allMatch(n -> n < N);
    }

    private static void same(Outcomes helped, Outcomes alone) {
        assertThat(helped.finish()).isEqualTo(alone.finish());
        assertThat(helped.duration()).isEqualTo(alone.duration());
        assertThat(helped.cost()).isEqualTo(alone.cost());
        assertThat(helped.risk()).isEqualTo(alone.risk());
        assertThat(helped.certain()).isEqualTo(alone.certain());
    }

    @Test
    void whatGivesDifferencesOfNoSuchBlockIsRefused() {
        CompiledPlan plan = CompiledPlan.of(plan());
        Map<String, Variation> asked = Map.of("none", Variation.CURRENT.withRisks(RiskSetting.OFF));
        for (byte[] wrong : List.of(new byte[] {1, 2, 3}, new byte[100_000])) {
            AtomicInteger given = new AtomicInteger();
            Helpers helper = (task, blocks) -> {
                Thread thread = new Thread(() -> {
                    blocks.finish(begin(blocks, 1), wrong);
                    given.incrementAndGet();
                });
                thread.start();
                return () -> joined(thread);
            };
            assertThatThrownBy(() -> Differences.of(plan, SETTINGS, asked, waitingFor(given, 1), helper, some -> {}))
                    .isInstanceOf(RuntimeException.class);
        }
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
