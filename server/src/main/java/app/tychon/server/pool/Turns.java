package app.tychon.server.pool;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Who may calculate: as many threads as there are processors, the most urgent first, among equals the one whose turn came
 * longest ago. A thread that works passes its turn on between two pieces of work when somebody else should have it.
 */
final class Turns {
    /**
     * Whose turn it is.
     *
     * @param owner whom it counts for: what is equally urgent takes turns by owner
     */
    record Claim(Urgency urgency, Object owner) {}

    private static final class Waiter {
        private final Claim claim;
        private boolean called;

        Waiter(Claim claim) {
            this.claim = claim;
        }
    }

    private final List<Waiter> waiting = new ArrayList<>();
    /** When each owner's turn last came, by a count of turns. */
    private final Map<Object, Long> served = new HashMap<>();

    private final ThreadLocal<Boolean> holding = ThreadLocal.withInitial(() -> false);
    private final int threads;
    private int free;
    /** How many do other things than calculating. */
    private int others;
    /** Threads that are left to other things than calculating, by what nobody waits for. */
    private int reserved;

    private long turns;

    /** @param threads that may work at once */
    Turns(int threads) {
        this.threads = threads;
        free = threads;
    }

    /** While others need a processor, where there are several, what nobody waits for leaves them one. */
    synchronized void othersBegin() {
        others++;
        reserve();
    }

    synchronized void othersEnd() {
        others--;
        reserve();
    }

    private void reserve() {
        reserved = others > 0 && threads > 1 ? 1 : 0;
        call();
    }

    /** Waits for a turn, unless this thread has one. */
    synchronized void take(Claim claim) {
        if (holding.get()) {
            return;
        }
        Waiter waiter = new Waiter(claim);
        waiting.add(waiter);
        call();
        boolean interrupted = false;
        while (!waiter.called) {
            try {
                wait();
            } catch (InterruptedException e) {
                interrupted = true;
            }
        }
        holding.set(true);
        if (interrupted) {
            Thread.currentThread().interrupt();
        }
    }

    /** Lets somebody else work whose turn it is by now, and goes on after; takes a turn where this thread has none. */
    synchronized void pass(Claim claim) {
        boolean isInTheWay = !claim.urgency().isHurried() && free < reserved;
        if (isInTheWay || next().filter(other -> goesBefore(other.claim, claim)).isPresent()) {
            leave();
        }
        take(claim);
    }

    private static boolean goesBefore(Claim other, Claim own) {
        return other.urgency().isBefore(own.urgency())
                || other.urgency() == own.urgency() && !other.owner().equals(own.owner());
    }

    /** Gives the turn back, if this thread has one. */
    synchronized void leave() {
        if (holding.get()) {
            holding.set(false);
            free++;
            call();
        }
    }

    private Optional<Waiter> next() {
        return waiting.stream()
                .filter(waiter -> waiter.claim.urgency().isHurried() || reserved == 0 || free > reserved)
                .min(Comparator.<Waiter, Urgency>comparing(waiter -> waiter.claim.urgency())
                        .thenComparing(waiter -> served.getOrDefault(waiter.claim.owner(), 0L)));
    }

    private void call() {
        for (Optional<Waiter> next = next(); free > 0 && next.isPresent(); next = next()) {
            Waiter waiter = next.get();
            waiting.remove(waiter);
            waiter.called = true;
            free--;
            served.put(waiter.claim.owner(), ++turns);
        }
        if (waiting.isEmpty() && served.size() > 1000) {
            served.clear();
        }
        notifyAll();
    }
}
