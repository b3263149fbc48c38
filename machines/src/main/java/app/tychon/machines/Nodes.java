package app.tychon.machines;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.ignite.Ignite;
import org.apache.ignite.IgniteException;
import org.apache.ignite.Ignition;
import org.apache.ignite.configuration.DataRegionConfiguration;
import org.apache.ignite.configuration.DataStorageConfiguration;
import org.apache.ignite.configuration.IgniteConfiguration;
import org.apache.ignite.configuration.SystemDataRegionConfiguration;
import org.apache.ignite.events.EventType;
import org.apache.ignite.failure.StopNodeFailureHandler;
import org.apache.ignite.logger.slf4j.Slf4jLogger;
import org.apache.ignite.spi.communication.tcp.TcpCommunicationSpi;
import org.apache.ignite.spi.discovery.tcp.TcpDiscoverySpi;
import org.apache.ignite.spi.discovery.tcp.ipfinder.vm.TcpDiscoveryVmIpFinder;

/**
 * Nodes of the engine between machines. Servers are its members, on two ports; workers are its clients, who open none and come
 * back by themselves when a network heals. Both speak TLS by the {@link Secret}; no class is ever fetched from another machine.
 */
final class Nodes {
    static final String KIND = "tychon.kind";
    static final String MACHINE = "tychon.machine";
    static final String THREADS = "tychon.threads";
    /** Of a server: what it is among the others, whatever becomes of the engine; and the port it is found at. */
    static final String ID = "tychon.id";

    static final String PORT = "tychon.port";
    static final String SERVER = "server";
    static final String WORKER = "worker";

    /** Milliseconds after which a worker that does not answer is taken for gone, */
    private static final long GONE = 6_000;
    /** and a server: that costs more where it only had too much to do for a while. */
    private static final long SERVER_GONE = 10_000;

    private static final long MIB = 1L << 20;
    /** No port is opened. */
    private static final int CLOSED = -1;

    private Nodes() {}

    /**
     * A member.
     *
     * @param id what it is among the others
     * @param listen where others find it
     * @param others members it may find, itself among them or not
     * @throws CannotJoin with the reason
     */
    static Ignite server(
            String machine, String id, Address listen, Collection<Address> others, Secret secret, Path work) {
        TcpDiscoverySpi discovery = discovery(Stream.concat(Stream.of(listen.here()), others.stream())
                .distinct()
                .toList());
        discovery.setLocalPort(listen.port());
        TcpCommunicationSpi communication = new TcpCommunicationSpi();
        communication.setLocalPort(listen.port() + 1);
        IgniteConfiguration node = node(machine, SERVER, 2, Optional.empty(), secret, work, Build.mark());
        node.setLocalHost(listen.host());
        node.setIncludeEventTypes(EventType.EVT_NODE_JOINED, EventType.EVT_NODE_LEFT, EventType.EVT_NODE_FAILED);
        Map<String, Object> known = new HashMap<>(node.getUserAttributes());
        known.putAll(Map.of(ID, id, PORT, listen.port()));
        node.setUserAttributes(known);
        return start(node.setDiscoverySpi(discovery).setCommunicationSpi(communication), listen);
    }

    /**
     * A client who works.
     *
     * @param build which build of the calculation it has
     * @throws CannotJoin with the reason
     */
    static Ignite worker(
            String machine, Address join, int threads, WorkerRuns runs, Secret secret, Path work, String build) {
        TcpDiscoverySpi discovery = discovery(List.of(join));
        discovery.setJoinTimeout(GONE);
        TcpCommunicationSpi communication = new TcpCommunicationSpi();
        communication.setLocalPort(CLOSED);
        communication.setForceClientToServerConnections(true);
        IgniteConfiguration node = node(machine, WORKER, threads, Optional.of(runs), secret, work, build);
        node.setClientMode(true);
        return start(node.setDiscoverySpi(discovery).setCommunicationSpi(communication), join);
    }

    private static TcpDiscoverySpi discovery(List<Address> members) {
        TcpDiscoverySpi discovery = new TcpDiscoverySpi();
        discovery.setLocalPortRange(0);
        TcpDiscoveryVmIpFinder finder = new TcpDiscoveryVmIpFinder();
        finder.setAddresses(members.stream().map(Address::toString).toList());
        return discovery.setIpFinder(finder);
    }

    private static IgniteConfiguration node(
            String machine,
            String kind,
            int threads,
            Optional<WorkerRuns> runs,
            Secret secret,
            Path work,
            String build) {
        prepare(work);
        DataRegionConfiguration region = new DataRegionConfiguration()
                .setName("small")
                .setInitialSize(10 * MIB)
                .setMaxSize(16 * MIB);
        return new IgniteConfiguration()
                .setIgniteInstanceName(machine + "-" + UUID.randomUUID())
                .setWorkDirectory(work.toAbsolutePath().toString())
                .setGridLogger(new Slf4jLogger())
                .setMetricsLogFrequency(0)
                .setPeerClassLoadingEnabled(false)
                .setConnectorConfiguration(null)
                .setClientConnectorConfiguration(null)
                .setFailureHandler(new StopNodeFailureHandler())
                .setFailureDetectionTimeout(SERVER_GONE)
                .setClientFailureDetectionTimeout(GONE)
                .setPublicThreadPoolSize(threads)
                .setSslContextFactory(secret::context)
                .setPluginProviders(new Membership(build, runs))
                .setUserAttributes(Map.<String, Object>of(
                        Membership.BUILD, build, MACHINE, machine, KIND, kind, THREADS, String.valueOf(threads)))
                .setDataStorageConfiguration(new DataStorageConfiguration()
                        .setDefaultDataRegionConfiguration(region)
                        .setSystemDataRegionConfiguration(new SystemDataRegionConfiguration()
                                .setInitialSize(10 * MIB)
                                .setMaxSize(32 * MIB)));
    }

    /** What the engine reads before it starts. */
    private static void prepare(Path work) {
        try {
            Files.createDirectories(work);
        } catch (IOException e) {
            throw new UncheckedIOException("the folder " + work + " cannot be written", e);
        }
        System.setProperty("IGNITE_HOME", work.toAbsolutePath().toString());
        System.setProperty("IGNITE_JVM_PAUSE_DETECTOR_DISABLED", "true");
        System.setProperty("IGNITE_QUIET", "false");
        System.setProperty("IGNITE_NO_ASCII", "true");
        System.setProperty("IGNITE_UPDATE_NOTIFIER", "false");
        System.setProperty("IGNITE_NO_SHUTDOWN_HOOK", "true");
        System.setProperty("IGNITE_PERFORMANCE_SUGGESTIONS_DISABLED", "true");
    }

    private static Ignite start(IgniteConfiguration node, Address where) {
        try {
            return Ignition.start(node);
        } catch (IgniteException e) {
            throw why(e, where);
        }
    }

    private static CannotJoin why(Throwable e, Address where) {
        String all = Stream.iterate(e, one -> one != null, Throwable::getCause)
                .map(one -> String.valueOf(one.getMessage()))
                .collect(Collectors.joining(" "));
        int build = all.indexOf(Membership.ANOTHER);
        if (build >= 0) {
            return new CannotJoin(
                    all.substring(build, all.indexOf(Membership.UPDATE, build) + Membership.UPDATE.length()));
        }
        if (all.contains("SSL") || all.contains("TLS") || all.contains("handshake")) {
            return new CannotJoin("The machines at " + where + " have another secret.");
        }
        if (all.contains("in use")) {
            return new CannotJoin("Port " + where.port() + " or the one after it is taken on this machine.");
        }
        NoAnswer none = new NoAnswer(where);
        none.initCause(e);
        return none;
    }
}
