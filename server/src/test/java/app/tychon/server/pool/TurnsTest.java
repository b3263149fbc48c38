package app.tychon.server.pool;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.server.pool.Turns.Claim;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

@Timeout(30)
class TurnsTest {
    private final Turns turns = new Turns(1);
    private final List<String> order = Collections.synchronizedList(new ArrayList<>());

    private static Claim claim(Urgency urgency, String owner) {
        return new Claim(urgency, owner);
    }

    /** A thread that waits for its turn, notes it and gives it back. */
    private Thread waiting(Claim claim) throws InterruptedException {
        Thread thread = new Thread(() -> {
            turns.take(claim);
            order.add(claim.urgency() + " " + claim.owner());
            turns.leave();
        });
        thread.start();
        while (thread.getState() != Thread.State.WAITING) {
            Thread.onSpinWait();
        }
        return thread;
    }

    private static void join(List<Thread> threads) throws InterruptedException {
        for (Thread thread : threads) {
            thread.join();
        }
    }

    @Test
    void theMostUrgentGoesFirstWhoeverCameFirst() throws InterruptedException {
        turns.take(claim(Urgency.AWAITED, "me"));
        List<Thread> threads = List.of(
                waiting(claim(Urgency.RECORDED, "a")),
                waiting(claim(Urgency.REFINEMENT, "b")),
                waiting(claim(Urgency.FIRST_ODDS, "c")),
                waiting(claim(Urgency.AWAITED, "d")));
        turns.leave();
        join(threads);
        assertThat(order).containsExactly("FIRST_ODDS c", "AWAITED d", "REFINEMENT b", "RECORDED a");
    }

    @Test
    void equalsTakeTurnsByOwner() throws InterruptedException {
        turns.take(claim(Urgency.AWAITED, "a"));
        List<Thread> threads = List.of(
                waiting(claim(Urgency.AWAITED, "a")),
                waiting(claim(Urgency.AWAITED, "a")),
                waiting(claim(Urgency.AWAITED, "b")));
        turns.leave();
        join(threads);
        assertThat(order.get(0)).isEqualTo("AWAITED b");
    }

    @Test
    void aTurnIsPassedToWhatIsMoreUrgentAndComesBack() throws InterruptedException {
        Claim own = claim(Urgency.RECORDED, "a");
        turns.take(own);
        List<Thread> threads = List.of(waiting(claim(Urgency.FIRST_ODDS, "b")), waiting(claim(Urgency.RECORDED, "a")));
        turns.pass(own);
        order.add("mine again");
        turns.leave();
        join(threads);
        assertThat(order.get(0)).isEqualTo("FIRST_ODDS b");
        assertThat(order.subList(1, 3)).containsExactlyInAnyOrder("mine again", "RECORDED a");
    }

    @Test
    void whatNobodyWaitsForLeavesAProcessorToRequests() throws InterruptedException {
        Turns two = new Turns(2);
        Claim run = claim(Urgency.RECORDED, "a");
        two.take(run);
        two.othersBegin();
        two.othersBegin();
        two.othersEnd();
        CountDownLatch second = new CountDownLatch(1);
        Thread helper = new Thread(() -> {
            two.take(run);
            second.countDown();
            two.leave();
        });
        helper.start();
        while (helper.getState() != Thread.State.WAITING) {
            Thread.onSpinWait();
        }
        Thread odds = new Thread(() -> {
            two.take(claim(Urgency.FIRST_ODDS, "b"));
            two.leave();
        });
        odds.start();
        odds.join();
        assertThat(second.getCount()).as("the helper waits, first odds did not").isEqualTo(1);
        two.othersEnd();
        helper.join();
        assertThat(second.getCount()).isZero();
        two.leave();
    }

    @Test
    void noMoreWorkAtOnceThanThereAreProcessors() throws InterruptedException {
        Turns two = new Turns(2);
        CountDownLatch both = new CountDownLatch(2);
        CountDownLatch third = new CountDownLatch(1);
        CountDownLatch end = new CountDownLatch(1);
        List<Thread> threads = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            Claim claim = claim(Urgency.AWAITED, "p" + i);
            Thread thread = new Thread(() -> {
                two.take(claim);
                if (both.getCount() == 0) {
                    third.countDown();
                }
                both.countDown();
                await(end);
                two.leave();
            });
            threads.add(thread);
            thread.start();
        }
        assertThat(both.await(20, TimeUnit.SECONDS)).isTrue();
        assertThat(third.getCount()).as("whether a third works").isEqualTo(1);
        end.countDown();
        join(threads);
        assertThat(third.getCount()).isZero();
    }

    @Test
    void aThreadThatHasATurnNeedsNoOther() {
        turns.take(claim(Urgency.AWAITED, "a"));
        turns.take(claim(Urgency.AWAITED, "a"));
        turns.pass(claim(Urgency.AWAITED, "a"));
        turns.leave();
        turns.leave();
        turns.take(claim(Urgency.AWAITED, "a"));
        turns.leave();
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
