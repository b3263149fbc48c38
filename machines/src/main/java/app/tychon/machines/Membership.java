package app.tychon.machines;

import java.io.Serializable;
import java.util.Optional;
import java.util.UUID;
import org.apache.ignite.IgniteCheckedException;
import org.apache.ignite.cluster.ClusterNode;
import org.apache.ignite.plugin.CachePluginContext;
import org.apache.ignite.plugin.CachePluginProvider;
import org.apache.ignite.plugin.ExtensionRegistry;
import org.apache.ignite.plugin.IgnitePlugin;
import org.apache.ignite.plugin.PluginConfiguration;
import org.apache.ignite.plugin.PluginContext;
import org.apache.ignite.plugin.PluginProvider;
import org.apache.ignite.plugin.PluginValidationException;

/** Who may take part: those of the same build. It also holds what a machine that works knows of runs. */
final class Membership implements PluginProvider<Membership.Configuration>, IgnitePlugin {
    static final String NAME = "tychon";
    /** How the sentence begins and ends by which another build is refused. */
    static final String ANOTHER = "Another build of Tychon";

    static final String UPDATE = "Bring this machine up to date.";
    static final String BUILD = "tychon.build";

    /** None is needed. */
    interface Configuration extends PluginConfiguration {}

    private final String build;
    private final Optional<WorkerRuns> runs;

    Membership(String build, Optional<WorkerRuns> runs) {
        this.build = build;
        this.runs = runs;
    }

    /** @throws IllegalStateException where this machine does not work */
    WorkerRuns runs() {
        return runs.orElseThrow(() -> new IllegalStateException("this machine works off no blocks of others"));
    }

    @Override
    public void validateNewNode(ClusterNode node) throws PluginValidationException {
        String other = String.valueOf((Object) node.attribute(BUILD));
        if (!build.equals(other)) {
            String sentence = ANOTHER + " is at work here (" + build + ", not " + other
                    + "); only the same one gives the same numbers. " + UPDATE;
            throw new PluginValidationException(sentence, sentence, node.id());
        }
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public String version() {
        return build;
    }

    @Override
    public String copyright() {
        return "";
    }

    @Override
    @SuppressWarnings("unchecked")
    public <T extends IgnitePlugin> T plugin() {
        return (T) this;
    }

    @Override
    public void initExtensions(PluginContext context, ExtensionRegistry registry) {
        // Nothing is extended.
    }

    @Override
    public <T> T createComponent(PluginContext context, Class<T> type) {
        return null;
    }

    @Override
    @SuppressWarnings("rawtypes")
    public CachePluginProvider createCacheProvider(CachePluginContext context) {
        return null;
    }

    @Override
    public void start(PluginContext context) throws IgniteCheckedException {
        // Nothing to start.
    }

    @Override
    public void stop(boolean cancel) throws IgniteCheckedException {
        // Nothing to stop.
    }

    @Override
    public void onIgniteStart() throws IgniteCheckedException {
        // Nothing to do.
    }

    @Override
    public void onIgniteStop(boolean cancel) {
        // Nothing to do.
    }

    @Override
    public Serializable provideDiscoveryData(UUID node) {
        return null;
    }

    @Override
    public void receiveDiscoveryData(UUID node, Serializable data) {
        // There is none.
    }
}
