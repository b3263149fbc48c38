package app.tychon.cli;

import app.tychon.core.simulation.settings.RunMonitor;
import java.util.concurrent.CountDownLatch;
import me.tongfei.progressbar.ConsoleProgressBarConsumer;
import me.tongfei.progressbar.ProgressBar;
import me.tongfei.progressbar.ProgressBarBuilder;
import me.tongfei.progressbar.ProgressBarStyle;

/**
 * A run that somebody waits for: on a terminal it shows how far it is, how fast, and how long it will take; Ctrl-C stops it
 * with what is there, and the program ends once that is told.
 */
final class Attended implements RunMonitor, AutoCloseable {
    private static final int SHOWN_EACH_MS = 200;

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
        // There is a console only where neither what is read nor what is written goes through a pipe.
        boolean onTerminal = System.console() != null;
        return new Attended(onTerminal ? shown(iterations) : null);
    }

    private static ProgressBar shown(int iterations) {
        return new ProgressBarBuilder()
                .setTaskName("Simulating")
                .setInitialMax(iterations)
                .setUnit("", 1)
                .setStyle(ProgressBarStyle.ASCII)
                .setUpdateIntervalMillis(SHOWN_EACH_MS)
                .showSpeed()
                .setConsumer(new ConsoleProgressBarConsumer(System.err))
                .build();
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
