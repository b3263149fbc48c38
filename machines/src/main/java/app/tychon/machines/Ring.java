package app.tychon.machines;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import org.apache.ignite.Ignite;
import org.apache.ignite.IgniteCluster;
import org.apache.ignite.IgniteCompute;
import org.apache.ignite.IgniteException;
import org.apache.ignite.IgniteState;
import org.apache.ignite.Ignition;
import org.apache.ignite.cluster.ClusterGroup;
import org.apache.ignite.cluster.ClusterNode;
import org.apache.ignite.events.DiscoveryEvent;
import org.apache.ignite.events.EventType;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Servers of the same database, which know and tell each other. Where they were cut off from each other they join anew
 * ({@link Healing}); each stays for the others who it was.
 */
public final class Ring {
    private static final Logger LOG = LoggerFactory.getLogger(Ring.class);
    /** On which servers tell each other. */
    private static final String TOPIC = "tychon";

    private final Function<Collection<Address>, Ignite> joining;
    private final Address listen;
    private final String id;
    private final List<Address> others;
    private final List<BiConsumer<String, byte[]>> ears = new CopyOnWriteArrayList<>();
    private final List<Consumer<String>> mourners = new CopyOnWriteArrayList<>();
    private final List<Runnable> welcomers = new CopyOnWriteArrayList<>();
    /** Servers that were taken for gone. */
    private final Set<String> gone = ConcurrentHashMap.newKeySet();

    private final ExecutorService senders = Executors.newCachedThreadPool(task -> {
        Thread thread = new Thread(task, "machines-send");
        thread.setDaemon(true);
        return thread;
    });
    /** Tells of those who come and go, in that order. */
    private final ExecutorService told = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "machines-told");
        thread.setDaemon(true);
        return thread;
    });

    private final Healing healing;
    private volatile Ignite ignite;
    /** Held while the engine ends or begins. */
    private final Object change = new Object();

    private boolean closed;

    /**
     * @param others where they are found
     * @param answers whether one of them is there
     * @param look milliseconds between two looks at that
     */
    Ring(
            String id,
            Address listen,
            List<Address> others,
            Function<Collection<Address>, Ignite> joining,
            Predicate<Address> answers,
            long look) {
        this.id = id;
        this.listen = listen;
        this.others = others;
        this.joining = joining;
        join(others);
        healing = new Healing(new Self(), others, answers, look);
        healing.begin();
    }

    private void join(Collection<Address> others) {
        Ignite joined = joining.apply(others);
        ignite = joined;
        joined.message().localListen(TOPIC, (node, what) -> {
            ClusterNode from = joined.cluster().node(node);
            if (from != null && Nodes.SERVER.equals(from.attribute(Nodes.KIND)) && what instanceof byte[] bytes) {
                ears.forEach(ear -> ear.accept(from.attribute(Nodes.ID), bytes));
            }
            return true;
        });
        joined.events()
                .localListen(
                        event -> {
                            ClusterNode node = ((DiscoveryEvent) event).eventNode();
                            if (Nodes.SERVER.equals(node.attribute(Nodes.KIND))) {
                                boolean came = event.type() == EventType.EVT_NODE_JOINED;
                                told.execute(() -> changed(node.attribute(Nodes.ID), came));
                            }
                            return true;
                        },
                        EventType.EVT_NODE_JOINED,
                        EventType.EVT_NODE_LEFT,
                        EventType.EVT_NODE_FAILED);
    }

    private void changed(String server, boolean came) {
        if (!came) {
            gone.add(server);
            mourners.forEach(one -> one.accept(server));
        } else if (gone.remove(server)) {
            LOG.info("A server is there again that was taken for gone.");
            welcomers.forEach(Runnable::run);
        }
    }

    /** This server, as it looks for those that are apart. */
    private final class Self implements Healing.Member {
        @Override
        public boolean isUp() {
            return Ring.this.isUp();
        }

        @Override
        public int servers() {
            return nodes(Nodes.SERVER).size();
        }

        @Override
        public boolean knows(Address one) {
            return nodes(Nodes.SERVER).stream()
                    .filter(node -> node.<Integer>attribute(Nodes.PORT) == one.port())
                    .flatMap(node -> node.addresses().stream())
                    .anyMatch(one.all()::contains);
        }

        @Override
        public void rejoin(List<Address> those) {
            synchronized (change) {
                if (!closed) {
                    joinAnew(those);
                }
            }
            List<String> found = Ring.this.servers();
            if (found.size() > 1) {
                gone.removeAll(found);
                welcomers.forEach(Runnable::run);
            }
        }
    }

    private void joinAnew(List<Address> those) {
        LOG.warn("Servers of the same database were cut off from each other; joining {} anew.", those);
        Ignition.stop(ignite.name(), true);
        try {
            join(those);
        } catch (CannotJoin e) {
            LOG.warn("{} Going on without.", e.getMessage());
            join(others.stream().filter(one -> !those.contains(one)).toList());
        }
    }

    Address listen() {
        return listen;
    }

    ExecutorService senders() {
        return senders;
    }

    /** All machines that are there. */
    Collection<ClusterNode> all() {
        return asked(ClusterGroup::nodes);
    }

    /** Those of a kind. */
    Collection<ClusterNode> nodes(String kind) {
        return asked(all -> all.forAttribute(Nodes.KIND, kind).nodes());
    }

    /** Nobody as long as the engine does not work, which may end at any moment. */
    private Collection<ClusterNode> asked(Function<IgniteCluster, Collection<ClusterNode>> who) {
        try {
            return isUp() ? who.apply(ignite.cluster()) : List.of();
        } catch (IgniteException | IllegalStateException e) {
            return List.of();
        }
    }

    /** The way to a worker; whoever has given it something sees to it that others do it where it fails. */
    IgniteCompute at(ClusterNode worker) {
        return ignite.compute(ignite.cluster().forNode(worker)).withNoFailover();
    }

    /** Whether the engine between machines works; where it broke down this server goes on alone. */
    private boolean isUp() {
        return Ignition.state(ignite.name()) == IgniteState.STARTED;
    }

    /** What this server is among the others, until it ends. */
    public String id() {
        return id;
    }

    /** All servers of the same database that are there now, this one among them, in an order that is the same for all of them. */
    public List<String> servers() {
        return nodes(Nodes.SERVER).stream()
                .sorted(Comparator.comparingLong(ClusterNode::order))
                .map(node -> node.<String>attribute(Nodes.ID))
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
        ears.add(ear);
    }

    /** @param then is given which server is gone; on a thread of its own */
    public void whenServerGone(Consumer<String> then) {
        mourners.add(then);
    }

    /** @param then is done when servers know each other again that were cut off: what was told meanwhile was not heard */
    public void whenTogetherAgain(Runnable then) {
        welcomers.add(then);
    }

    void close() {
        healing.close();
        // An engine that is just being begun anew would outlive this.
        synchronized (change) {
            closed = true;
            Ignition.stop(ignite.name(), true);
        }
    }
}
