package app.tychon.core.simulation.risk;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.draws.ShapeTables;
import app.tychon.core.simulation.draws.UncertainInput;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * What of the register of a plan is the same in all its variations: made once and shared, since a register of many risks is
 * compiled once more for each of them.
 */
public final class RiskDrafts {
    /**
     * What an impact strikes in the end.
     *
     * @param id of an activity, or of what money is added to or scaled
     * @param unit as in {@link Hit}
     */
    record Struck(String id, RandomStream stream, double unit) {}

    /**
     * An impact before it has its rows.
     *
     * @param ready in rows 0
     */
    record Draft(RiskImpact ready, List<Struck> struck) {}

    /** What a risk does as it is, or once it is answered. */
    private record Key(String risk, boolean answered) {}

    private final Network network;
    private final ShapeTables tables;
    private final List<Risk> risks;
    private final Set<String> resources;
    private final Map<String, RandomStream> draws = new ConcurrentHashMap<>();
    private final Map<Key, List<Draft>> impacts = new ConcurrentHashMap<>();

    public RiskDrafts(Network network, ShapeTables tables) {
        this.network = network;
        this.tables = tables;
        // Sorted, so that nothing that is added up depends on the order of rows.
        risks = network.plan().risks().stream()
                .sorted(Comparator.comparing(Risk::id))
                .toList();
        resources = network.plan().resources().stream().map(Resource::id).collect(Collectors.toSet());
    }

    Network network() {
        return network;
    }

    ShapeTables tables() {
        return tables;
    }

    /** All of the register, by id. */
    List<Risk> risks() {
        return risks;
    }

    /** The stream of a risk's occurrence, shared by an exclusive group. */
    RandomStream draw(Risk risk) {
        return draws.computeIfAbsent(risk.id(), id -> risk.exclusiveGroup()
                .map(group -> RandomStream.of(RandomStream.Role.EXCLUSION, network.identity(group)))
                .orElseGet(() -> RandomStream.of(RandomStream.Role.OCCURRENCE, network.identity(id))));
    }

    /** What a risk does: what it did, where it has occurred. */
    List<Impact> effects(Risk risk, boolean answered) {
        return risk.happened(resources::contains).orElseGet(() -> risk.response()
                .filter(response -> answered)
                .map(Response::impacts)
                .orElse(risk.impacts()));
    }

    List<Draft> impacts(Risk risk, boolean answered) {
        return impacts.computeIfAbsent(new Key(risk.id(), answered), key -> made(risk, effects(risk, answered)));
    }

    private List<Draft> made(Risk risk, List<Impact> effects) {
        List<Draft> drafts = new ArrayList<>();
        Set<String> identities = new HashSet<>();
        for (Impact impact : effects) {
            // By what it does to whom, so that an impact keeps its draws when others are added or moved.
            String identity = network.identity(risk.id()) + "\n" + impact.effect() + "\n"
                    + impact.on().stream().map(network::identity).sorted().collect(Collectors.joining("\n"));
            while (!identities.add(identity)) {
                identity += "\n+";
            }
            RandomStream stream = RandomStream.of(RandomStream.Role.IMPACT, identity);
            ShapeTables.Table table = impact.effect().isScale()
                    ? tables.notBelowZero(impact.distribution().shape())
                    : tables.of(impact.distribution().shape());
            RiskImpact ready = new RiskImpact(impact, 0, 0, new UncertainInput(stream, table, 1), stream, identity);
            drafts.add(new Draft(ready, struck(ready)));
        }
        return drafts;
    }

    private List<Struck> struck(RiskImpact ready) {
        Impact.Effect effect = ready.impact().effect();
        Basis basis = ready.impact().distribution().basis();
        return ready.impact().on().stream()
                .flatMap(target -> RiskTargets.of(network, effect, target).stream())
                .map(id -> {
                    boolean isAddedTime = effect.isOnTime() && !effect.isScale();
                    double unit = isAddedTime ? minutesEach(id, basis) : 1;
                    return new Struck(id, ready.streamOf(network.identity(id)), unit);
                })
                .toList();
    }

    private double minutesEach(String activity, Basis basis) {
        int position = network.position(activity);
        return network.activity(position).minutesEach(basis, network.calendar(position));
    }
}
