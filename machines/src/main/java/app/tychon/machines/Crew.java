package app.tychon.machines;

import app.tychon.core.model.Plan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.settings.RunSettings;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.BooleanSupplier;
import org.apache.ignite.Ignite;
import org.apache.ignite.Ignition;
import org.apache.ignite.cluster.ClusterNode;

/** The machines that a server works with: who is there, and their help with runs. */
public final class Crew implements AutoCloseable {
    /**
     * Rows of the plan times iterations from which on a run is shared: what one machine does in about two seconds. Below,
     * sending plan and results costs more than is won; docs/scale.md has the measurement.
     */
    static final long WORTH_SHARING = 10_000_000;

    private final Ignite ignite;
    private final Address listen;
    private final ExecutorService senders = Executors.newCachedThreadPool(task -> {
        Thread thread = new Thread(task, "machines-send");
        thread.setDaemon(true);
        return thread;
    });
    private final Map<UUID, WorkDone> done = new ConcurrentHashMap<>();

    private Crew(Ignite ignite, Address listen) {
        this.ignite = ignite;
        this.listen = listen;
    }

    /**
     * Lets machines join from now on.
     *
     * @param machine what this server is called
     * @param listen  where; the port after it is used as well
     * @param others  servers of the same database
     * @param work    a folder of its own for the engine
     * @throws CannotJoin with the reason
     */
    public static Crew start(String machine, Address listen, Collection<Address> others, Secret secret, Path work) {
        return new Crew(Nodes.server(machine, listen, others, secret, work), listen);
    }

    /** Whether a run is so long that sharing it makes it shorter, and may be shared: by rounds it is not. */
    public boolean isWorthSharing(Plan plan, RunSettings settings) {
        return settings.until().isEmpty()
                && rows(plan) * settings.iterations() >= WORTH_SHARING
                && !workers().isEmpty();
    }

    /** What is worked out in every iteration. */
    private static long rows(Plan plan) {
        return plan.activities().size()
                + plan.risks().size()
                + plan.costs().size()
                + plan.assignments().size();
    }

    /**
     * Help with a run.
     *
     * @param run  names it among all machines
     * @param held whether it stands still for a while
     */
    public Helpers helpers(String run, Plan plan, RunSettings settings, BooleanSupplier held) {
        return blocks -> new Shift(this, run, plan, settings, held, blocks);
    }

    /** Where machines join. */
    public Address listen() {
        return listen;
    }

    Ignite ignite() {
        return ignite;
    }

    /** Threads that reach workers. */
    ExecutorService senders() {
        return senders;
    }

    /** Those who work, now. */
    Collection<ClusterNode> workers() {
        return ignite.cluster().forAttribute(Nodes.KIND, Nodes.WORKER).nodes();
    }

    WorkDone done(ClusterNode worker) {
        return done.computeIfAbsent(worker.id(), id -> new WorkDone());
    }

    /** Servers first, then workers by name. */
    public List<Machine> machines() {
        Collection<ClusterNode> nodes = ignite.cluster().nodes();
        done.keySet().removeIf(id -> ignite.cluster().node(id) == null);
        return nodes.stream()
                .map(this::machine)
                .sorted(Comparator.comparing(Machine::kind)
                        .thenComparing(Machine::name)
                        .thenComparing(Machine::since))
                .toList();
    }

    private Machine machine(ClusterNode node) {
        WorkDone work = done(node);
        return new Machine(
                node.id().toString(),
                node.attribute(Nodes.MACHINE),
                node.attribute(Nodes.KIND),
                address(node),
                Integer.parseInt(node.attribute(Nodes.THREADS)),
                Instant.ofEpochMilli(node.metrics().getNodeStartTime()),
                work.busy(),
                work.runs(),
                work.blocks(),
                work.iterations(),
                work.bytes());
    }

    /** One of its addresses, rather one that others see it at. */
    private static String address(ClusterNode node) {
        return node.addresses().stream()
                .filter(one -> one.indexOf(':') < 0)
                .min(Comparator.comparing(one -> one.startsWith("127.")))
                .orElse("");
    }

    @Override
    public void close() {
        senders.shutdownNow();
        Ignition.stop(ignite.name(), true);
    }
}
