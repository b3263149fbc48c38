package app.tychon.machines;

import java.nio.file.Path;
import org.apache.ignite.Ignite;
import org.apache.ignite.Ignition;

/** A machine that works off blocks of runs for a server. */
public final class Worker implements AutoCloseable {
    private final Ignite ignite;

    private Worker(Ignite ignite) {
        this.ignite = ignite;
    }

    /**
     * Joins and works from now on.
     *
     * @param machine what it is called
     * @param threads blocks it may work at at once
     * @param work    a folder of its own for the engine
     * @throws CannotJoin with the reason
     */
    public static Worker join(Address server, Secret secret, String machine, int threads, Path work) {
        WorkerRuns runs = new WorkerRuns(threads, Runtime.getRuntime().maxMemory());
        return new Worker(Nodes.worker(machine, server, threads, runs, secret, work, Build.mark()));
    }

    static WorkerRuns runsOf(Ignite ignite) {
        return ignite.<Membership>plugin(Membership.NAME).runs();
    }

    /** Leaves as if it had died. */
    void kill() {
        Ignition.stop(ignite.name(), true);
    }

    /** Finishes what it works at, and leaves. */
    @Override
    public void close() {
        Ignition.stop(ignite.name(), false);
    }
}
