package app.tychon.core.simulation.settings;

import java.util.function.BooleanSupplier;

/** Watches a run, from the threads that do it. */
public interface RunMonitor {
    RunMonitor NONE = new RunMonitor() {};

    /** Watches nothing, and asks to stop as soon as something holds. */
    static RunMonitor until(BooleanSupplier holds) {
        return new RunMonitor() {
            @Override
            public boolean stopRequested() {
                return holds.getAsBoolean();
            }
        };
    }

    /** A run begins; what it has seen can be asked from now on. */
    default void begun(Interim interim) {}

    /** So many iterations are done. */
    default void progress(int done, int total) {}

    /** Called by every thread that works, between two pieces of work: it may wait here while others go first. */
    default void pause() {}

    /** Called by a thread that works on nothing for a while, or no more. */
    default void rest() {}

    /** Whether to stop; what has been simulated by then is kept. */
    default boolean stopRequested() {
        return false;
    }

    /** The same for a part of the work, of whose progress it is not told. */
    default RunMonitor quiet() {
        RunMonitor whole = this;
        return new RunMonitor() {
            @Override
            public void pause() {
                whole.pause();
            }

            @Override
            public void rest() {
                whole.rest();
            }

            @Override
            public boolean stopRequested() {
                return whole.stopRequested();
            }
        };
    }
}
