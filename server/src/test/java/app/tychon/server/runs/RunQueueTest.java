package app.tychon.server.runs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.server.problems.BusyException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.Test;

class RunQueueTest {
    private static final UUID ONE = UUID.randomUUID();
    private static final UUID OTHER = UUID.randomUUID();

    private final RunQueue queue = new RunQueue();
    private final CountDownLatch open = new CountDownLatch(1);
    private final List<String> order = Collections.synchronizedList(new ArrayList<>());

    private void holdTheWorker() throws InterruptedException {
        CountDownLatch begun = new CountDownLatch(1);
        queue.add(ONE, () -> {
            begun.countDown();
            try {
                open.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        begun.await();
    }

    @Test
    void projectsTakeTurnsHoweverManyRunsOneHasAskedFor() throws InterruptedException {
        holdTheWorker();
        for (String run : List.of("1", "2", "3")) {
            queue.add(ONE, () -> order.add("one " + run));
        }
        queue.add(OTHER, () -> order.add("other 1"));
        open.countDown();
        assertThat(queue.close(30)).isTrue();
        assertThat(order).containsExactly("one 1", "other 1", "one 2", "one 3");
    }

    @Test
    void oneThatFailsDoesNotHoldUpTheNext() throws InterruptedException {
        holdTheWorker();
        queue.add(ONE, () -> {
            throw new IllegalStateException("as if the disk were full");
        });
        queue.add(ONE, () -> order.add("next"));
        open.countDown();
        assertThat(queue.close(30)).isTrue();
        assertThat(order).containsExactly("next");
    }

    @Test
    void waitingIsBounded() throws InterruptedException {
        holdTheWorker();
        for (int i = 0; i < RunQueue.MOST_OF_A_PROJECT; i++) {
            queue.checkRoom(ONE);
            queue.add(ONE, () -> {});
        }
        assertThatThrownBy(() -> queue.checkRoom(ONE))
                .isInstanceOf(BusyException.class)
                .hasMessageContaining("Nothing was begun");
        queue.checkRoom(OTHER);
        open.countDown();
        assertThat(queue.close(30)).isTrue();
    }
}
