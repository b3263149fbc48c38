package app.tychon.machines;

import java.nio.file.Path;
import org.apache.ignite.Ignite;
import org.apache.ignite.IgniteException;
import org.apache.ignite.lang.IgniteCallable;

/** A process that joins by the secret, and then sends a class that only it has. */
final class Intruder {
    private Intruder() {}

    public static void main(String[] args) throws ReflectiveOperationException {
        WorkerRuns runs = new WorkerRuns(1, 1 << 30);
        Ignite ignite = Nodes.worker(
                "intruder", Address.of(args[0]), 1, runs, Secret.of(args[1]), Path.of(args[2]), Build.mark());
        System.out.println("joined");
        @SuppressWarnings("unchecked")
        IgniteCallable<String> foreign = (IgniteCallable<String>)
                Class.forName("Foreign").getDeclaredConstructor().newInstance();
        try {
            System.out.println(ignite.compute(ignite.cluster().forServers())
                    .withNoFailover()
                    .call(foreign));
        } catch (IgniteException e) {
            System.out.println("refused");
        }
        System.exit(0);
    }
}
