package app.tychon.core.simulation.settings;

/** Watches a run, from the threads that do it. */
public interface RunMonitor {
    RunMonitor NONE = new RunMonitor() {};

    /** A run begins; what it has seen can be asked from now on. */
    default void begun(Interim interim) {}

    /** So many iterations are done. */
    default void progress(int done, int total) {}

    /** Whether to stop; what has been simulated by then is kept. */
    default boolean stopRequested() {
        return false;
    }
}
