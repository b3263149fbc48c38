package app.tychon.machines;

import org.apache.ignite.Ignite;
import org.apache.ignite.lang.IgniteCallable;
import org.apache.ignite.resources.IgniteInstanceResource;

/** Gets a worker ready for a run; as {@link WorkerRuns#begin}. */
final class BeginJob implements IgniteCallable<Integer> {
    private static final long serialVersionUID = 1;

    /** What an {@link Assignment} says; the engine does not know records. */
    private final String run;

    private final String plan;
    private final String details;
    private final byte[] file;

    @IgniteInstanceResource
    private transient Ignite ignite;

    BeginJob(Assignment what, byte[] file) {
        run = what.run();
        plan = what.plan();
        details = what.details();
        this.file = file;
    }

    @Override
    public Integer call() {
        return Worker.runsOf(ignite).begin(new Assignment(run, plan, details), file);
    }
}
