package app.tychon.cli;

import app.tychon.core.simulation.settings.RunMonitor;
import java.util.concurrent.CountDownLatch;
import me.tongfei.progressbar.ProgressBar;

/**
 * A run that somebody waits for: on a terminal it shows how far it is, how fast, and how long it will take; Ctrl-C stops it
 * with what is there, and the program ends once that is told.
 */
final class Attended implements RunMonitor, AutoCloseable {
    private final CountDownLatch told = new CountDownLatch(1);
    private final Thread whenAskedToEnd = new Thread(this::stop);
    private final ProgressBar bar;
    private volatile boolean stopRequested;

    private Attended(ProgressBar bar) {
        this.bar = bar;
        Runtime.getRuntime().addShutdownHook(whenAskedToEnd);
    }

    /** @param iterations how many the run is to have */
    static Attended of(int iterations) {
        return new Attended(Bars.of("Simulating", iterations)
                .map(bar -> bar.setUnit("", 1).build())
                .orElse(null));
    }

    @Override
    public void progress(int done, int total) {
        if (bar != null) {
            bar.stepTo(done);
        }
    }

    @Override
    public boolean stopRequested() {
        return stopRequested;
    }

    /** The run is over; what follows is no longer shown. */
    void simulated() {
        if (bar != null) {
            bar.close();
        }
    }

    private void stop() {
        stopRequested = true;
        try {
            told.await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** All is told; from now on the program may end. */
    @Override
    public void close() {
        simulated();
        told.countDown();
        if (!stopRequested) {
            Runtime.getRuntime().removeShutdownHook(whenAskedToEnd);
        }
    }
}
