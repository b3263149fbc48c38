package app.tychon.machines;

import java.nio.file.Path;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.apache.ignite.Ignite;
import org.apache.ignite.IgniteState;
import org.apache.ignite.Ignition;
import org.apache.ignite.IgnitionListener;

/**
 * A machine that works off blocks of runs for a server. The engine comes back by itself where the server was gone for a while;
 * where it gives up, as it does when a server comes back that is slow to answer, the worker joins anew.
 */
public final class Worker implements AutoCloseable {
    private final Supplier<Ignite> joining;
    private final Consumer<String> say;
    private final IgnitionListener listener = this::changed;
    private Ignite ignite;
    private boolean closed;

    private Worker(Supplier<Ignite> joining, Consumer<String> say) {
        this.joining = joining;
        this.say = say;
        ignite = joining.get();
        Ignition.addListener(listener);
    }

    /**
     * Joins and works from now on.
     *
     * @param machine what it is called
     * @param threads blocks it may work at at once
     * @param work    a folder of its own for the engine
     * @param say     is told, in sentences, when the server is lost and found
     * @throws CannotJoin with the reason
     */
    public static Worker join(
            Address server, Secret secret, String machine, int threads, Path work, Consumer<String> say) {
        WorkerRuns runs = new WorkerRuns(threads, Runtime.getRuntime().maxMemory());
        return new Worker(() -> Nodes.worker(machine, server, threads, runs, secret, work, Build.mark()), say);
    }

    static WorkerRuns runsOf(Ignite ignite) {
        return ignite.<Membership>plugin(Membership.NAME).runs();
    }

    private synchronized void changed(String name, IgniteState state) {
        if (!closed && state != IgniteState.STARTED && ignite.name().equals(name)) {
            Thread thread = new Thread(this::again, "worker-joins");
            thread.setDaemon(true);
            thread.start();
        }
    }

    /** Until it is there again, or leaves; whatever hinders it may pass, a full disk too. */
    private void again() {
        say.accept("the server is lost; joining anew");
        while (!isClosed()) {
            if (new Again(say, Again.USUAL)
                    .until(joining, any -> true, this::isClosed)
                    .filter(this::isBack)
                    .isPresent()) {
                say.accept("the server is found again");
                return;
            }
        }
    }

    private synchronized boolean isClosed() {
        return closed;
    }

    /** Whether it may stay; an engine that was lost at once is not told of by its listener. */
    private synchronized boolean isBack(Ignite joined) {
        ignite = joined;
        if (closed) {
            Ignition.stop(joined.name(), true);
        }
        return closed || Ignition.state(joined.name()) == IgniteState.STARTED;
    }

    /** Leaves as if it had died. */
    void kill() {
        leave(true);
    }

    /** Its engine ends, as it does where it gives up. */
    void lose() {
        Ignition.stop(name(), true);
    }

    private synchronized String name() {
        return ignite.name();
    }

    /** Finishes what it works at, and leaves. */
    @Override
    public void close() {
        leave(false);
    }

    private void leave(boolean atOnce) {
        synchronized (this) {
            closed = true;
        }
        Ignition.removeListener(listener);
        Ignition.stop(name(), atOnce);
    }
}
