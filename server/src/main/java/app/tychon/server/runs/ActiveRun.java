package app.tychon.server.runs;

import app.tychon.core.simulation.RunMonitor;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;

/** A run while it runs: how far it is, and whether it has been asked to stop. Tells of progress a few times a second. */
final class ActiveRun implements RunMonitor {
    private static final long EVERY_NANOS = 150_000_000;

    private final int total;
    private final Consumer<RunView.Progress> tell;
    private final AtomicInteger done = new AtomicInteger();
    private final AtomicLong lastTold = new AtomicLong();
    private volatile long startedNanos = System.nanoTime();
    private volatile boolean stopped;

    ActiveRun(int total, Consumer<RunView.Progress> tell) {
        this.total = total;
        this.tell = tell;
    }

    void begin() {
        startedNanos = System.nanoTime();
        lastTold.set(startedNanos);
    }

    void stop() {
        stopped = true;
    }

    @Override
    public boolean stopRequested() {
        return stopped;
    }

    @Override
    public void progress(int now, int ofTotal) {
        done.accumulateAndGet(now, Math::max);
        long told = lastTold.get();
        long time = System.nanoTime();
        if (time - told > EVERY_NANOS && lastTold.compareAndSet(told, time)) {
            tell.accept(progress());
        }
    }

    RunView.Progress progress() {
        int now = done.get();
        double seconds = Math.max(1e-3, (System.nanoTime() - startedNanos) / 1e9);
        double perSecond = now / seconds;
        return new RunView.Progress(now, perSecond, perSecond == 0 ? 0 : (total - now) / perSecond);
    }
}
