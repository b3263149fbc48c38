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
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.BiConsumer;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import org.apache.ignite.Ignite;
import org.apache.ignite.IgniteException;
import org.apache.ignite.IgniteState;
import org.apache.ignite.Ignition;
import org.apache.ignite.cluster.ClusterGroup;
import org.apache.ignite.cluster.ClusterNode;
import org.apache.ignite.events.DiscoveryEvent;
import org.apache.ignite.events.EventType;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The machines that a server works with: who is there, and their help with runs. */
public final class Crew implements AutoCloseable {
    /**
     * Rows of the plan times iterations from which on a run is shared: what one machine does in about two seconds. Below,
     * sending plan and results costs more than is won; docs/scale.md has the measurement.
     */
    static final long WORTH_SHARING = 10_000_000;

    /** What comparing a variation takes, of simulating the plan: docs/scale.md tells where that was measured. */
    private static final double A_VARIATION = 0.1;

    private static final Logger LOG = LoggerFactory.getLogger(Crew.class);
    /** On which servers tell each other. */
    private static final String TOPIC = "tychon";

    private final Ignite ignite;
    private final Address listen;
    private final String id;
    private final ExecutorService senders = Executors.newCachedThreadPool(task -> {
        Thread thread = new Thread(task, "machines-send");
        thread.setDaemon(true);
        return thread;
    });
    private PackedPlan last;
    private final Map<UUID, WorkDone> done = new ConcurrentHashMap<>();

    private Crew(Ignite ignite, Address listen) {
        this.ignite = ignite;
        this.listen = listen;
        id = ignite.cluster().localNode().id().toString();
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

    /**
     * Whether a task is so long that sharing it makes it shorter, unless the threads here begin with all of it at once. One that goes
     * on until it is steady is taken for as long as it may get.
     */
    boolean isWorthSharing(Task task) {
        RunSettings settings = task.settings();
        return settings.iterations() > settings.threads() * Block.BATCH
                && work(task) >= WORTH_SHARING
                && !workers().isEmpty();
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
        return listen;
    }

    Ignite ignite() {
        return ignite;
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
        return senders;
    }

    /** Whether the engine between machines works; where it broke down this server goes on alone. */
    private boolean isUp() {
        return Ignition.state(ignite.name()) == IgniteState.STARTED;
    }

    private Collection<ClusterNode> nodes(String kind) {
        return isUp() ? ignite.cluster().forAttribute(Nodes.KIND, kind).nodes() : List.of();
    }

    /** Those who work, now. */
    Collection<ClusterNode> workers() {
        return nodes(Nodes.WORKER);
    }

    WorkDone done(ClusterNode worker) {
        return done.computeIfAbsent(worker.id(), id -> new WorkDone());
    }

    /** What this server is among the others, until it ends. */
    public String id() {
        return id;
    }

    /** All servers of the same database that are there now, this one among them, in an order that is the same for all of them. */
    public List<String> servers() {
        return nodes(Nodes.SERVER).stream()
                .sorted(Comparator.comparingLong(ClusterNode::order))
                .map(node -> node.id().toString())
                .toList();
    }

    /** Tells all other servers something, in the order in which it is told; one that is gone does not hear it. */
    public void tell(byte[] what) {
        try {
            ClusterGroup others =
                    ignite.cluster().forAttribute(Nodes.KIND, Nodes.SERVER).forRemotes();
            ignite.message(others).sendOrdered(TOPIC, what, 0);
        } catch (IgniteException | IllegalStateException e) {
            LOG.warn("Another server could not be told: {}", e.getMessage());
        }
    }

    /** @param ear is given who tells and what; of servers alone */
    public void listen(BiConsumer<String, byte[]> ear) {
        ignite.message().localListen(TOPIC, (node, what) -> {
            ClusterNode from = ignite.cluster().node(node);
            if (from != null && Nodes.SERVER.equals(from.attribute(Nodes.KIND)) && what instanceof byte[] bytes) {
                ear.accept(node.toString(), bytes);
            }
            return true;
        });
    }

    /** @param then is given which server is gone; on a thread of its own */
    public void whenServerGone(Consumer<String> then) {
        ignite.events()
                .localListen(
                        event -> {
                            ClusterNode gone = ((DiscoveryEvent) event).eventNode();
                            if (Nodes.SERVER.equals(gone.attribute(Nodes.KIND))) {
                                senders.execute(() -> then.accept(gone.id().toString()));
                            }
                            return true;
                        },
                        EventType.EVT_NODE_LEFT,
                        EventType.EVT_NODE_FAILED);
    }

    /** Servers first, then workers by name. */
    public List<Machine> machines() {
        if (!isUp()) {
            return List.of();
        }
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
        Ignition.stop(ignite.name(), true);
    }
}
