package app.tychon.core.simulation.risk;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.CombineRisks;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PlannedSpans;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes the risk register of a plan ready for one variation of it. */
public final class RiskCompiler {
    private final Network network;
    private final Variation variation;
    private final RiskDrafts drafts;
    private final PlannedSpans planned;
    private final Map<String, Risk> byId = new HashMap<>();
    private final Map<String, RiskEvent> compiled = new LinkedHashMap<>();
    private final Map<Integer, List<Hit>> timeHits = new HashMap<>();
    private final Map<String, List<Hit>> added = new HashMap<>();
    private final Map<String, List<Hit>> scaled = new HashMap<>();
    private int impacts;

    private RiskCompiler(RiskDrafts drafts, Variation variation, PlannedSpans planned) {
        this.network = drafts.network();
        this.drafts = drafts;
        this.variation = variation;
        this.planned = planned;
    }

    /** @param drafts of the plan, shared by its variations */
    public static RiskModel compile(RiskDrafts drafts, Variation variation, PlannedSpans planned) {
        return new RiskCompiler(drafts, variation, planned).model();
    }

    private RiskModel model() {
        List<Risk> live = drafts.risks().stream()
                .filter(risk -> risk.isLive() && variation.of(risk.id()) != RiskSetting.OFF)
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
        boolean answered = variation.answers(risk);
        Optional<Response> response = risk.response().filter(r -> answered);
        double[] chance = exclusive.getOrDefault(
                risk.id(), new double[] {0, response.map(Response::probability).orElse(risk.probability())});
        if (occurred) {
            chance = new double[] {0, 1};
        }
        int index = compiled.size();
        compiled.put(
                risk.id(),
                new RiskEvent(
                        risk,
                        index,
                        drafts.draw(risk),
                        chance[0],
                        never ? chance[0] : chance[1],
                        after.map(other -> compiled.get(other.id()).index()).orElse(-1),
                        condition.map(Risk.Condition::occurs).orElse(false),
                        risk.recurrence()
                                .filter(r -> !risk.isOnRecord())
                                .map(r -> times(risk, r, drafts.effects(risk, answered)))
                                .orElse(Times.ONCE),
                        impacts(risk, index, answered)));
    }

    private List<RiskImpact> impacts(Risk risk, int event, boolean answered) {
        List<RiskImpact> ready = new ArrayList<>();
        List<RiskDrafts.Draft> all = drafts.impacts(risk, answered);
        for (int i = 0; i < all.size(); i++) {
            RiskDrafts.Draft draft = all.get(i);
            boolean held = variation.held().contains(new Input.Key(Input.Kind.IMPACT, risk.id(), i));
            RiskImpact one = draft.ready().at(impacts++, event, held);
            ready.add(one);
            draft.struck().forEach(struck -> strike(one, struck));
        }
        return ready;
    }

    private void strike(RiskImpact impact, RiskDrafts.Struck struck) {
        Impact.Effect effect = impact.impact().effect();
        Hit hit = new Hit(impact, struck.stream(), struck.unit());
        if (effect.isOnTime()) {
            timeHits.computeIfAbsent(network.position(struck.id()), p -> new ArrayList<>())
                    .add(hit);
        } else {
            Map<String, List<Hit>> hits = effect.isScale() ? scaled : added;
            hits.computeIfAbsent(struck.id(), t -> new ArrayList<>()).add(hit);
        }
    }

    private Times times(Risk risk, Recurrence recurrence, List<Impact> effects) {
        RandomStream stream = RandomStream.of(RandomStream.Role.COUNT, network.identity(risk.id()));
        if (recurrence instanceof Recurrence.Count count) {
            return new Times.Drawn(new UncertainInput(stream, drafts.tables().notBelowZero(count.shape()), 1));
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
        for (Impact impact : effects) {
            for (String target : impact.on()) {
                for (String on : placesOf(network.branches().placeOf(target))) {
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
