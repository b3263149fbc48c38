package app.tychon.machines;

import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.Blocks;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.engine.Task;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import org.apache.ignite.IgniteException;
import org.apache.ignite.cluster.ClusterNode;
import org.apache.ignite.lang.IgniteCallable;
import org.apache.ignite.lang.IgniteFuture;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The work of all machines at one run. A thread of its own hands out blocks: each worker has one more in hand than it works at, so
 * that none waits for the network; one that has come since gets some at once. What comes back is kept by the same thread, one
 * after the other. What a worker that is gone had in hand is given back; one that has failed three times is left alone.
 */
final class Shift implements Helpers.Help {
    private static final Logger LOG = LoggerFactory.getLogger(Shift.class);
    /** Milliseconds between two looks at who is there. */
    private static final long LOOK = 100;
    /** Rounds in which a run's blocks are handed out: fewer are larger, and cheaper to send; more end together. */
    private static final int ROUNDS = 6;
    /** Batches of a block at most. */
    private static final int LARGEST = 8;

    private static final int PATIENCE = 3;
    private static final byte[] NONE = {};

    /** A worker as this run knows it. */
    private static final class Hand {
        /** Blocks it can work at at once; 0 as long as it is not ready. */
        private int slots;

        private int inHand;
        private int failures;
        private boolean asked;
    }

    private final Crew crew;
    private final String run;
    private final Task task;
    private final BooleanSupplier held;
    private final Blocks blocks;
    private final Map<UUID, Hand> hands = new HashMap<>();
    /** What has come back and is to be done with it. */
    private final BlockingQueue<Runnable> news = new LinkedBlockingQueue<>();

    /** What is sent, made by the thread that sends. */
    private PackedPlan file;

    private Assignment what;
    private final Thread thread = new Thread(this::work, "machines");
    private volatile boolean closed;

    Shift(Crew crew, String run, Task task, BooleanSupplier held, Blocks blocks) {
        this.crew = crew;
        this.task = task;
        this.held = held;
        this.blocks = blocks;
        this.run = run;
        thread.setDaemon(true);
        thread.start();
    }

    private void work() {
        try {
            file = crew.packed(task.plan().network().plan());
            what = Assignment.of(run, file.digest(), task);
            while (!closed) {
                crew.workers().forEach(this::employ);
                Runnable next = news.poll(LOOK, TimeUnit.MILLISECONDS);
                while (next != null) {
                    next.run();
                    next = news.poll();
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (RuntimeException e) {
            LOG.warn("The machines' help with run {} ends; this one goes on alone.", run, e);
        } finally {
            closed = true;
        }
    }

    private void employ(ClusterNode worker) {
        Hand hand = hands.computeIfAbsent(worker.id(), id -> new Hand());
        if (!hand.asked && hand.failures < PATIENCE) {
            hand.asked = true;
            begin(worker, hand, NONE);
        }
        while (hand.inHand < most(hand) && hand.failures < PATIENCE && !held.getAsBoolean()) {
            Optional<Block> block =
                    blocks.take(batches()).or(() -> hand.inHand == 0 ? blocks.takeLate() : Optional.empty());
            if (block.isEmpty()) {
                return;
            }
            give(worker, hand, block.get());
        }
    }

    /** Blocks that a worker may have in hand: one waits for a thread, but not towards the end, when others could do it sooner. */
    private int most(Hand hand) {
        boolean isPlenty = blocks.free() > 2 * slots() * batches() * Block.BATCH;
        return hand.slots + (hand.slots > 0 && isPlenty ? 1 : 0);
    }

    private int slots() {
        return Runtime.getRuntime().availableProcessors()
                + hands.values().stream().mapToInt(hand -> hand.slots).sum();
    }

    /** How many batches a block has, so that there are some for everybody. */
    private int batches() {
        int left = (task.settings().iterations() - blocks.done()) / Block.BATCH;
        return Math.max(1, Math.min(LARGEST, left / (ROUNDS * slots())));
    }

    private void begin(ClusterNode worker, Hand hand, byte[] plan) {
        compute(
                worker,
                hand,
                new BeginJob(what, plan),
                slots -> {
                    if (slots == 0) {
                        begin(worker, hand, file.bytes());
                    } else {
                        hand.slots = slots;
                    }
                },
                () -> hand.asked = false);
    }

    private void give(ClusterNode worker, Hand hand, Block block) {
        WorkDone done = crew.done(worker);
        hand.inHand++;
        done.took(run);
        compute(
                worker,
                hand,
                new BlockJob(run, block),
                packed -> {
                    hand.inHand--;
                    if (packed.length == 0) {
                        done.gaveBack(run);
                        hand.slots = 0;
                        hand.asked = false;
                        blocks.giveBack(block);
                    } else {
                        done.did(run, block.count(), packed.length);
                        blocks.finish(block, packed);
                    }
                },
                () -> {
                    hand.inHand--;
                    done.gaveBack(run);
                    blocks.giveBack(block);
                });
    }

    private <T> void compute(
            ClusterNode worker, Hand hand, IgniteCallable<T> job, Consumer<T> then, Runnable otherwise) {
        Runnable failed = () -> {
            hand.failures++;
            otherwise.run();
        };
        // Reaching a worker that is gone takes seconds; nobody else waits for that.
        crew.senders().execute(() -> {
            try {
                crew.at(worker).callAsync(job).listen(future -> news.add(() -> end(future, then, failed)));
            } catch (IgniteException | IllegalStateException e) {
                news.add(failed);
            }
        });
    }

    private <T> void end(IgniteFuture<T> future, Consumer<T> then, Runnable failed) {
        T result;
        try {
            result = future.get();
        } catch (IgniteException e) {
            LOG.warn("A worker gave nothing: {}", e.getMessage());
            failed.run();
            return;
        }
        then.accept(result);
    }

    /** Blocks that are still out are worked off by nobody any more. */
    @Override
    public void close() {
        closed = true;
        thread.interrupt();
        for (ClusterNode worker : crew.workers()) {
            crew.senders().execute(() -> {
                try {
                    crew.at(worker).run(new EndJob(run));
                } catch (IgniteException | IllegalStateException e) {
                    LOG.debug("A worker is gone that had to be told of an end.", e);
                }
            });
        }
    }
}
