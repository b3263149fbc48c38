package app.tychon.server.pool;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.server.Demo;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

@Timeout(60)
class EnginePoolTest {
    private final EnginePool pool = new EnginePool(2, 1000);
    private final CompiledPlan demo = CompiledPlan.of(Demo.plan());

    @AfterEach
    void close() {
        pool.close();
    }

    private static RunSettings settings(int iterations) {
        return new RunSettings(iterations, 4711, Sampling.LATIN, 2);
    }

    @Test
    void whatIsMoreUrgentIsDoneWhileALongRunIsAtWork() throws Exception {
        CountDownLatch begun = new CountDownLatch(2);
        AtomicBoolean stop = new AtomicBoolean();
        AtomicInteger done = new AtomicInteger();
        RunMonitor watcher = new RunMonitor() {
            @Override
            public void progress(int iterations, int total) {
                begun.countDown();
                done.set(iterations);
            }

            @Override
            public boolean stopRequested() {
                return stop.get();
            }
        };
        CompletableFuture<Outcomes> run = pool.submit(
                Urgency.RECORDED,
                "a",
                10,
                turns -> Simulation.outcomes(demo, settings(1_000_000), pool.watched(turns, watcher)));
        assertThat(begun.await(30, TimeUnit.SECONDS)).isTrue();
        Outcomes first = pool.submit(
                        Urgency.FIRST_ODDS, "b", 10, turns -> Simulation.outcomes(demo, settings(5000), turns))
                .get();
        assertThat(first.finish()).hasSize(5000);
        assertThat(run.isDone()).as("whether the long run ended before").isFalse();
        int then = done.get();
        stop.set(true);
        assertThat(run.get().finish().length).isBetween(then, 999_999);
        assertThat(first.finish())
                .as("turns change no number")
                .isEqualTo(Simulation.outcomes(demo, settings(5000), RunMonitor.NONE)
                        .finish());
    }

    @Test
    void onOneProcessorAllThreadsOfARunShareTheTurn() {
        EnginePool one = new EnginePool(1, 1000);
        Outcomes outcomes =
                one.await(Urgency.AWAITED, "a", 10, turns -> Simulation.outcomes(demo, settings(3000), turns));
        assertThat(outcomes.finish()).hasSize(3000);
        one.close();
    }

    @Test
    void whatHasNoRoomWaitsAndWhatSomebodyWaitsForFindsRoom() throws Exception {
        CountDownLatch end = new CountDownLatch(1);
        CompletableFuture<Integer> large = pool.submit(Urgency.RECORDED, "a", 600, turns -> await(end, 1));
        CompletableFuture<Integer> next = pool.submit(Urgency.RECORDED, "b", 200, turns -> 2);
        assertThat(awaited("c", 300)).isEqualTo("done");
        assertThat(next.isDone())
                .as("whether it began beyond its share of the memory")
                .isFalse();
        end.countDown();
        assertThat(large.get()).isEqualTo(1);
        assertThat(next.get()).isEqualTo(2);
        assertThat(awaited("c", 5000)).as("alone it always has room").isEqualTo("done");
    }

    private static int await(CountDownLatch latch, int value) {
        try {
            latch.await();
            return value;
        } catch (InterruptedException e) {
            throw new CancellationException();
        }
    }

    @Test
    void whatIsCancelledStopsOrIsNeverBegun() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch ended = new CountDownLatch(1);
        CompletableFuture<Outcomes> run = pool.submit(Urgency.REFINEMENT, "a", 900, turns -> {
            begun.countDown();
            try {
                return Simulation.outcomes(demo, settings(1_000_000), turns);
            } finally {
                ended.countDown();
            }
        });
        AtomicBoolean never = new AtomicBoolean();
        CompletableFuture<Boolean> waits = pool.submit(Urgency.REFINEMENT, "a", 900, turns -> never.getAndSet(true));
        assertThat(begun.await(30, TimeUnit.SECONDS)).isTrue();
        waits.cancel(true);
        run.cancel(true);
        assertThat(ended.await(30, TimeUnit.SECONDS)).isTrue();
        assertThat(awaited("b", 900)).isEqualTo("done");
        assertThat(never).isFalse();
    }

    @Test
    void whatGoesWrongIsThrownWhereItIsAwaited() {
        assertThatThrownBy(() -> pool.await(Urgency.AWAITED, "a", 1, turns -> {
                    throw new IllegalArgumentException("no such thing");
                }))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("no such thing");
        assertThat(awaited("a", 1)).isEqualTo("done");
    }

    private String awaited(String owner, long bytes) {
        return pool.await(Urgency.AWAITED, owner, bytes, turns -> "done");
    }
}
