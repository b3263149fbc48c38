package app.tychon.server.edits;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.tychon.server.problems.BusyException;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.SimpleTransactionStatus;

class ProjectTurnsTest {
    private static final UUID PROJECT = UUID.randomUUID();

    private final PlatformTransactionManager transactions = mock(PlatformTransactionManager.class);

    private ProjectTurns turns(Duration patience) {
        when(transactions.getTransaction(any())).thenAnswer(asked -> new SimpleTransactionStatus());
        return new ProjectTurns(transactions, patience);
    }

    @Test
    void aDeadlockIsTriedAgainInATransactionOfItsOwn() {
        AtomicInteger tries = new AtomicInteger();
        String result = turns(Duration.ofSeconds(1)).take(PROJECT, () -> {
            if (tries.incrementAndGet() < 3) {
                throw new CannotAcquireLockException("deadlock");
            }
            return "done";
        });
        assertThat(result).isEqualTo("done");
        verify(transactions, times(2)).rollback(any());
        verify(transactions, times(1)).commit(any());
    }

    @Test
    void aDeadlockThatStaysIsTold() {
        ProjectTurns turns = turns(Duration.ofSeconds(1));
        assertThatThrownBy(() -> turns.take(PROJECT, () -> {
                    throw new CannotAcquireLockException("deadlock");
                }))
                .isInstanceOf(CannotAcquireLockException.class);
        verify(transactions, never()).commit(any());
    }

    @Test
    void whoWaitsTooLongIsToldSoAndHoldsNoConnection() throws InterruptedException {
        ProjectTurns turns = turns(Duration.ofMillis(50));
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch open = new CountDownLatch(1);
        Thread holder = new Thread(() -> turns.take(PROJECT, () -> {
            begun.countDown();
            try {
                return open.await(30, java.util.concurrent.TimeUnit.SECONDS);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }));
        holder.start();
        begun.await();
        assertThatThrownBy(() -> turns.take(PROJECT, () -> "never"))
                .isInstanceOf(BusyException.class)
                .hasMessageContaining("Nothing was changed");
        verify(transactions, times(1)).getTransaction(any());
        assertThat(turns.<String>take(UUID.randomUUID(), () -> "another project"))
                .isEqualTo("another project");
        open.countDown();
        holder.join();
        assertThat(turns.<String>take(PROJECT, () -> "next")).isEqualTo("next");
    }
}
