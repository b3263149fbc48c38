package app.tychon.machines;

import app.tychon.core.model.Plan;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.engine.Task;
import app.tychon.core.simulation.settings.RunSettings;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import org.apache.ignite.IgniteCompute;
import org.apache.ignite.cluster.ClusterNode;

/** The machines that a server works with: who is there, and their help with runs. */
public final class Crew implements AutoCloseable {
    /**
     * Rows of the plan times iterations from which on a run is shared: what one machine does in about two seconds. Below,
     * sending plan and results costs more than is won; docs/scale.md has the measurement.
     */
    static final long WORTH_SHARING = 10_000_000;

    /** What comparing a variation takes, of simulating the plan: docs/scale.md tells where that was measured. */
    private static final double A_VARIATION = 0.1;

    /** Milliseconds between two looks at whether somebody is apart. */
    private static final long LOOK = 5_000;

    private final Ring ring;
    private PackedPlan last;
    private final Map<UUID, WorkDone> done = new ConcurrentHashMap<>();

    private Crew(Ring ring) {
        this.ring = ring;
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
    public static Crew start(String machine, Address listen, List<Address> others, Secret secret, Path work) {
        return start(machine, listen, others, secret, work, LOOK);
    }

    /** @param look milliseconds between two looks at whether a server is apart from the others */
    static Crew start(String machine, Address listen, List<Address> others, Secret secret, Path work, long look) {
        String id = UUID.randomUUID().toString();
        return new Crew(new Ring(
                id,
                listen,
                others,
                some -> Nodes.server(machine, id, listen, some, secret, work),
                one -> Healing.answers(one, secret),
                look));
    }

    /**
     * Whether a task is so long that sharing it makes it shorter, unless the threads here begin with all of it at once. One that goes
     * on until it is steady is taken for as long as it may get.
     */
    boolean isWorthSharing(Task task) {
        RunSettings settings = task.settings();
        return settings.iterations() > settings.threads() * Block.BATCH && work(task) >= WORTH_SHARING && mayHelp();
    }

    /** Whether somebody is there who works. */
    public boolean mayHelp() {
        return !workers().isEmpty();
    }

    /** Rows that are worked out. */
    private static double work(Task task) {
        double whole =
                (double) rows(task.plan().network().plan()) * task.settings().iterations();
        return whole * (1 + A_VARIATION * task.asked().size());
    }

    /** What is worked out in every iteration. */
    private static long rows(Plan plan) {
        return plan.activities().size()
                + plan.risks().size()
                + plan.costs().size()
                + plan.assignments().size();
    }

    /**
     * Help with a task, where that is long enough and somebody is there.
     *
     * @param run  names it among all machines
     * @param held whether it stands still for a while
     */
    public Helpers helpers(String run, BooleanSupplier held) {
        return (task, blocks) -> (isWorthSharing(task) ? anyway(run, held) : Helpers.NONE).begin(task, blocks);
    }

    /** The same with any task. */
    Helpers anyway(String run, BooleanSupplier held) {
        return (task, blocks) -> new Shift(this, run, task, held, blocks);
    }

    /** Where machines join. */
    public Address listen() {
        return ring.listen();
    }

    /** The servers of the same database, of which this is one. */
    public Ring ring() {
        return ring;
    }

    IgniteCompute at(ClusterNode worker) {
        return ring.at(worker);
    }

    /** A plan as it is sent; the last one is kept, since one is often simulated again. */
    synchronized PackedPlan packed(Plan plan) {
        if (last == null || last.plan() != plan) {
            last = PackedPlan.of(plan);
        }
        return last;
    }

    /** Threads that reach workers. */
    ExecutorService senders() {
        return ring.senders();
    }

    /** Those who work, now. */
    Collection<ClusterNode> workers() {
        return ring.nodes(Nodes.WORKER);
    }

    WorkDone done(ClusterNode worker) {
        return done.computeIfAbsent(worker.id(), id -> new WorkDone());
    }

    /** Servers first, then workers by name. */
    public List<Machine> machines() {
        Collection<ClusterNode> nodes = ring.all();
        Set<UUID> here = nodes.stream().map(ClusterNode::id).collect(Collectors.toSet());
        done.keySet().retainAll(here);
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
        ring.close();
    }
}
