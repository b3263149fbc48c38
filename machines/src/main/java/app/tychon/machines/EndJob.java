package app.tychon.machines;

import org.apache.ignite.Ignite;
import org.apache.ignite.lang.IgniteRunnable;
import org.apache.ignite.resources.IgniteInstanceResource;

/** Lets a worker forget a run. */
final class EndJob implements IgniteRunnable {
    private static final long serialVersionUID = 1;

    private final String run;

    @IgniteInstanceResource
    private transient Ignite ignite;

    EndJob(String run) {
        this.run = run;
    }

    @Override
    public void run() {
        Worker.runsOf(ignite).end(run);
    }
}
