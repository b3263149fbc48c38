package app.tychon.core.simulation.risk;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CombineRisks;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PlannedSpans;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.draws.ShapeTables;
import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Makes the risk register of a plan ready for one variation of it. */
public final class RiskCompiler {
    private final Network network;
    private final Variation variation;
    private final ShapeTables tables;
    private final PlannedSpans planned;
    private final Map<String, Risk> byId = new HashMap<>();
    private final Map<String, RiskEvent> compiled = new LinkedHashMap<>();
    private final Map<Integer, List<Hit>> timeHits = new HashMap<>();
    private final Map<String, List<Hit>> added = new HashMap<>();
    private final Map<String, List<Hit>> scaled = new HashMap<>();
    private int impacts;

    private RiskCompiler(Network network, Variation variation, ShapeTables tables, PlannedSpans planned) {
        this.network = network;
        this.variation = variation;
        this.tables = tables;
        this.planned = planned;
    }

    public static RiskModel compile(Network network, Variation variation, ShapeTables tables, PlannedSpans planned) {
        return new RiskCompiler(network, variation, tables, planned).model();
    }

    private RiskModel model() {
        // Sorted, so that nothing that is added up depends on the order of rows.
        List<Risk> live = network.plan().risks().stream()
                .filter(risk -> risk.isLive() && variation.of(risk.id()) != RiskSetting.OFF)
                .sorted(Comparator.comparing(Risk::id))
                .toList();
        live.forEach(risk -> byId.put(risk.id(), risk));
        Map<String, double[]> exclusive = ExclusiveGroups.chances(network.plan().risks(), variation);
        live.forEach(risk -> compile(risk, exclusive));
        Hit[][] hits = new Hit[network.size()][];
        boolean[] onlyLargest = new boolean[network.size()];
        Arrays.fill(hits, new Hit[0]);
        timeHits.forEach((position, all) -> {
            hits[position] = all.toArray(new Hit[0]);
            onlyLargest[position] = network.activity(position).combineRisks() == CombineRisks.LARGEST;
        });
        return new RiskModel(List.copyOf(compiled.values()), hits, onlyLargest, new RiskModel.MoneyHits(added, scaled));
    }

    private void compile(Risk risk, Map<String, double[]> exclusive) {
        if (compiled.containsKey(risk.id())) {
            return;
        }
        // What has occurred is a fact, whatever it once depended on.
        boolean occurred = risk.state() == Risk.State.OCCURRED;
        Optional<Risk.Condition> condition = risk.onlyIf().filter(c -> !occurred);
        // What is off or closed does not occur.
        boolean never =
                condition.filter(c -> !byId.containsKey(c.risk()) && c.occurs()).isPresent();
        Optional<Risk> after = condition.map(c -> byId.get(c.risk()));
        after.ifPresent(other -> compile(other, exclusive));
        Optional<Response> response = risk.response().filter(r -> variation.answers(risk));
        double[] chance = exclusive.getOrDefault(
                risk.id(), new double[] {0, response.map(Response::probability).orElse(risk.probability())});
        if (occurred) {
            chance = new double[] {0, 1};
        }
        int index = compiled.size();
        Optional<List<Impact>> happened = risk.happened();
        List<Impact> effects = happened.orElse(response.map(Response::impacts).orElse(risk.impacts()));
        compiled.put(
                risk.id(),
                new RiskEvent(
                        risk,
                        index,
                        risk.exclusiveGroup()
                                .map(group -> RandomStream.of(RandomStream.Role.EXCLUSION, network.identity(group)))
                                .orElseGet(() ->
                                        RandomStream.of(RandomStream.Role.OCCURRENCE, network.identity(risk.id()))),
                        chance[0],
                        never ? chance[0] : chance[1],
                        after.map(other -> compiled.get(other.id()).index()).orElse(-1),
                        condition.map(Risk.Condition::occurs).orElse(false),
                        risk.recurrence()
                                .filter(r -> happened.isEmpty())
                                .map(r -> times(risk, r, effects))
                                .orElse(Times.ONCE),
                        impacts(risk, index, effects)));
    }

    private List<RiskImpact> impacts(Risk risk, int event, List<Impact> effects) {
        List<RiskImpact> ready = new ArrayList<>();
        Set<String> identities = new HashSet<>();
        for (int i = 0; i < effects.size(); i++) {
            Impact impact = effects.get(i);
            // By what it does to whom, so that an impact keeps its draws when others are added or moved.
            String identity = network.identity(risk.id()) + "\n" + impact.effect() + "\n"
                    + impact.on().stream().map(network::identity).sorted().collect(Collectors.joining("\n"));
            while (!identities.add(identity)) {
                identity += "\n+";
            }
            RandomStream stream = RandomStream.of(RandomStream.Role.IMPACT, identity);
            RiskImpact one = new RiskImpact(impact, impacts++, event, size(risk, i, impact, stream), stream, identity);
            ready.add(one);
            impact.on().forEach(target -> strike(one, target));
        }
        return ready;
    }

    private UncertainInput size(Risk risk, int ordinal, Impact impact, RandomStream stream) {
        ShapeTables.Table table = impact.effect().isScale()
                ? tables.notBelowZero(impact.distribution().shape())
                : tables.of(impact.distribution().shape());
        boolean held = variation.held().contains(new Input.Key(Input.Kind.IMPACT, risk.id(), ordinal));
        return held ? UncertainInput.certain(table.distribution().mean()) : new UncertainInput(stream, table, 1);
    }

    private void strike(RiskImpact impact, String target) {
        Impact.Effect effect = impact.impact().effect();
        Basis basis = impact.impact().distribution().basis();
        for (String id : RiskTargets.of(network, effect, target)) {
            RandomStream stream = impact.streamOf(network.identity(id));
            if (effect.isOnTime()) {
                int i = network.position(id);
                double unit = effect.isScale() ? 1 : network.activity(i).minutesEach(basis, network.calendar(i));
                timeHits.computeIfAbsent(i, p -> new ArrayList<>()).add(new Hit(impact, stream, unit));
            } else {
                Map<String, List<Hit>> hits = effect.isScale() ? scaled : added;
                hits.computeIfAbsent(id, t -> new ArrayList<>()).add(new Hit(impact, stream, 1));
            }
        }
    }

    private Times times(Risk risk, Recurrence recurrence, List<Impact> effects) {
        RandomStream stream = RandomStream.of(RandomStream.Role.COUNT, network.identity(risk.id()));
        if (recurrence instanceof Recurrence.Count count) {
            return new Times.Drawn(new UncertainInput(stream, tables.notBelowZero(count.shape()), 1));
        }
        Recurrence.PerYear often = (Recurrence.PerYear) recurrence;
        Exposure exposure = often.over()
                .map(over -> Exposure.of((over.to().toEpochDay() - over.from().toEpochDay() + 1)
                        * Instants.DAY
                        / Exposure.MINUTES_PER_YEAR))
                .orElseGet(() -> exposure(effects));
        return new Times.Poisson(stream, often.rate(), exposure);
    }

    /** The thing itself, or the work that uses a resource. */
    private List<String> placesOf(String on) {
        if (network.isActivity(on) || network.branches().isBranch(on)) {
            return List.of(on);
        }
        return Arrays.stream(network.usersOf(on))
                .mapToObj(i -> network.activity(i).id())
                .toList();
    }

    private Exposure exposure(List<Impact> effects) {
        double fixed = 0;
        Map<Integer, Double> sampled = new LinkedHashMap<>();
        Map<String, String> linesOn = new HashMap<>();
        network.plan().costs().forEach(line -> linesOn.put(line.id(), line.on()));
        for (Impact impact : effects) {
            for (String target : impact.on()) {
                for (String on : placesOf(linesOn.getOrDefault(target, target))) {
                    double years = planned.clockMinutesLeft(on) / Exposure.MINUTES_PER_YEAR;
                    boolean isTask = network.isActivity(on)
                            && !network.isHammock(network.position(on))
                            && network.work(network.position(on)).remaining() > 0;
                    if (isTask) {
                        int position = network.position(on);
                        sampled.put(position, years / network.work(position).remaining());
                    } else {
                        fixed = Math.max(fixed, years);
                    }
                }
            }
        }
        return new Exposure(
                fixed,
                sampled.keySet().stream().mapToInt(Integer::intValue).toArray(),
                sampled.values().stream().mapToDouble(Double::doubleValue).toArray());
    }
}
