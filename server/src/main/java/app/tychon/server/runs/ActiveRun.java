package app.tychon.server.runs;

import app.tychon.core.simulation.settings.Interim;
import app.tychon.core.simulation.settings.RunMonitor;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.IntSupplier;

/** A run while it runs: how far it is, and whether it has been asked to stop. Tells of progress a few times a second. */
final class ActiveRun implements RunMonitor {
    private static final long EVERY_NANOS = 150_000_000;

    private final int total;
    private final Sighting sighting;
    private final Consumer<RunView.Progress> tell;
    private final Runnable standAside;
    private final IntSupplier machines;
    private final AtomicInteger done = new AtomicInteger();
    private final AtomicLong lastTold = new AtomicLong();
    private volatile long startedNanos = System.nanoTime();
    private volatile boolean stopped;
    private boolean paused;
    private long pausedNanos;
    private long pausedSince;

    /**
     * @param sighting how to see what has been simulated while it runs
     * @param standAside lets others work while a thread of a run that is held waits
     * @param machines how many others help with it now
     */
    ActiveRun(
            int total, Sighting sighting, Consumer<RunView.Progress> tell, Runnable standAside, IntSupplier machines) {
        this.machines = machines;
        this.standAside = standAside;
        this.total = total;
        this.sighting = sighting;
        this.tell = tell;
    }

    void begin() {
        startedNanos = System.nanoTime();
        lastTold.set(startedNanos);
    }

    void stop() {
        stopped = true;
        pause(false);
    }

    boolean isStopped() {
        return stopped;
    }

    synchronized boolean isHeld() {
        return paused;
    }

    synchronized void pause(boolean hold) {
        if (hold == paused) {
            return;
        }
        paused = hold;
        if (hold) {
            pausedSince = System.nanoTime();
        } else {
            pausedNanos += System.nanoTime() - pausedSince;
            notifyAll();
        }
        tell.accept(progress());
    }

    /** While the run is held, its threads wait here. */
    @Override
    public void pause() {
        synchronized (this) {
            while (paused && !stopped) {
                standAside.run();
                try {
                    wait();
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    return;
                }
            }
        }
    }

    @Override
    public boolean stopRequested() {
        return stopped;
    }

    @Override
    public void begun(Interim interim) {
        sighting.watch(interim);
    }

    @Override
    public void progress(int now, int ofTotal) {
        done.accumulateAndGet(now, Math::max);
        sighting.reached(now);
        long told = lastTold.get();
        long time = System.nanoTime();
        if (time - told > EVERY_NANOS && lastTold.compareAndSet(told, time)) {
            tell.accept(progress());
        }
    }

    synchronized RunView.Progress progress() {
        int now = done.get();
        double seconds = Math.max(1e-3, (now() - startedNanos - pausedNanos) / 1e9);
        double perSecond = now / seconds;
        return new RunView.Progress(
                now,
                perSecond,
                perSecond == 0 ? 0 : (total - now) / perSecond,
                paused,
                machines.getAsInt(),
                sighting.last());
    }

    /** The moment up to which it has worked. */
    private long now() {
        return paused ? pausedSince : System.nanoTime();
    }
}
