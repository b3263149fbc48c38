package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Escalation;
import app.tychon.core.model.Risk;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.Draws;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.draws.Scratch;
import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.risk.RiskEvent;
import app.tychon.core.simulation.risk.RiskImpact;
import app.tychon.core.simulation.risk.RiskTargets;
import app.tychon.core.simulation.risk.Strikes;
import app.tychon.core.simulation.settings.Grain;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Input.Key;
import app.tychon.core.simulation.settings.Input.Kind;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * The uncertain quantities of a compiled plan, and what each was in every iteration of a run. Nothing of it is stored:
 * draws are recomputed.
 */
public final class Inputs {
    private final CompiledPlan plan;
    private final Network network;
    private final RiskStrength strength;

    private Inputs(CompiledPlan plan, double minutePrice) {
        this.plan = plan;
        network = plan.network();
        strength = new RiskStrength(plan, minutePrice);
    }

    public static Inputs of(CompiledPlan plan) {
        return new Inputs(plan, 0);
    }

    /**
     * The same, where the money of a risk that is taken whole includes its time.
     *
     * @param minutePrice what a working minute of the project's calendar costs
     */
    public static Inputs of(CompiledPlan plan, double minutePrice) {
        return new Inputs(plan, minutePrice);
    }

    /** Every quantity that is not certain, by itself. */
    public List<Input> all() {
        return all(Grain.FINEST);
    }

    /** Every quantity that is not certain: durations in the plan's order, cost lines, groups and risks by code. */
    public List<Input> all(Grain grain) {
        List<Input> inputs = new ArrayList<>();
        List<Input> groups = grain.groupsAsOne() ? groups() : List.of();
        Set<String> grouped = groups.stream()
                .flatMap(group -> members(group.id()).stream())
                .map(Key::id)
                .collect(Collectors.toSet());
        estimates().stream()
                .filter(input -> input.kind() == Kind.PRICE || !grouped.contains(input.id()))
                .forEach(inputs::add);
        inputs.addAll(groups);
        plan.risks().events().stream()
                .sorted(Comparator.comparing(event -> event.risk().id()))
                .forEach(event -> {
                    if (grain.risksApart()) {
                        addParts(event, inputs);
                    } else if (event.canOccur()) {
                        int side = grain.money() ? Input.MONEY : Input.TIME;
                        inputs.add(new Input(
                                new Key(Kind.RISK, event.risk().id(), side),
                                event.risk().title()));
                    }
                });
        return inputs;
    }

    private List<Input> estimates() {
        List<Input> inputs = new ArrayList<>();
        for (Activity activity : network.plan().activities()) {
            if (!plan.duration(network.position(activity.id())).isCertain()) {
                inputs.add(new Input(new Key(Kind.ESTIMATE, activity.id(), 0), activity.name()));
            }
        }
        network.plan().costs().stream()
                .filter(line -> !plan.amount(line.id()).isCertain())
                .sorted(Comparator.comparing(CostLine::id))
                .forEach(line -> inputs.add(new Input(new Key(Kind.COST, line.id(), 0), line.name())));
        network.plan().escalation().stream()
                .filter(one -> !plan.rate(one.category()).isCertain())
                .sorted(Comparator.comparing(Escalation::category))
                .forEach(one -> inputs.add(new Input(
                        new Key(Kind.PRICE, one.category(), 0),
                        one.category().isEmpty() ? "Rise of prices" : "Rise of prices, " + one.category())));
        return inputs;
    }

    /** Groups in which at least two estimates are uncertain. */
    private List<Input> groups() {
        return plan.correlations().stream()
                .filter(group -> members(group.id()).size() > 1)
                .sorted(Comparator.comparing(Correlation::id))
                .map(group -> new Input(new Key(Kind.GROUP, group.id(), 0), group.name()))
                .toList();
    }

    /** The uncertain estimates of a group. */
    private List<Key> members(String group) {
        Set<String> ids = plan.correlations().stream()
                .filter(one -> one.id().equals(group))
                .flatMap(one -> one.members().stream())
                .collect(Collectors.toSet());
        return estimates().stream()
                .map(Input::key)
                .filter(key -> key.kind() != Kind.PRICE && ids.contains(key.id()))
                .toList();
    }

    /**
     * The value that an estimate does not exceed with a chance, by its own distribution.
     *
     * @param estimate something {@linkplain Kind#isEstimated estimated}
     */
    public double quantile(Input estimate, double chance) {
        UncertainInput input = estimate(estimate.key());
        return input.table().distribution().inverse(chance) * input.scale();
    }

    /** Standard deviation of an estimate by its own distribution. */
    public double spread(Key estimate) {
        return estimate(estimate).standardDeviation();
    }

    /** The risks that may strike the duration of an activity, by code. */
    public List<Risk> striking(String activity) {
        return plan.risks().events().stream()
                .filter(RiskEvent::canOccur)
                .filter(event -> {
                    BitSet one = new BitSet();
                    one.set(event.index());
                    return plan.risks().strikes(network.position(activity), one);
                })
                .map(RiskEvent::risk)
                .sorted(Comparator.comparing(Risk::id))
                .toList();
    }

    /** The plan's variation with an input held at its planned value; a risk does not occur. */
    public Variation without(Input input) {
        Variation variation = plan.variation();
        List<Key> held = input.kind() == Kind.GROUP ? members(input.id()) : List.of(input.key());
        for (Key key : held) {
            variation = variation.holding(key);
        }
        return variation;
    }

    private static void addParts(RiskEvent event, List<Input> inputs) {
        if (event.isUncertain()) {
            inputs.add(new Input(
                    new Key(Kind.OCCURRENCE, event.risk().id(), 0), event.risk().title()));
        }
        for (int i = 0; i < event.impacts().size(); i++) {
            if (event.canOccur() && !event.impacts().get(i).size().isCertain()) {
                inputs.add(new Input(
                        new Key(Kind.IMPACT, event.risk().id(), i), event.risk().title()));
            }
        }
    }

    /** The values of an input in the first {@code iterations} of a run with these settings. */
    public double[] sample(Input input, RunSettings settings, int iterations) {
        return sample(input, settings, 0, iterations);
    }

    /**
     * The values of an input in {@code iterations} of a run from one on.
     *
     * @param from a multiple of {@value Batch#WIDTH}
     */
    public double[] sample(Input input, RunSettings settings, int from, int iterations) {
        Filler filler =
                switch (input.kind()) {
                    case ESTIMATE -> plan.duration(network.position(input.id()))::sample;
                    case COST -> plan.amount(input.id())::sample;
                    case PRICE -> plan.rate(input.id())::sample;
                    case OCCURRENCE -> occurrence(event(input.id()));
                    case IMPACT ->
                        size(event(input.id()).impacts().get(input.key().impact()));
                    case RISK -> strength.of(event(input.id()), input.key().impact());
                    case GROUP -> group(members(input.id()));
                };
        Batch batch = new Batch(new Draws(settings.seed(), settings.sampling()), 0, 0, new Scratch());
        double[] values = new double[iterations];
        double[] drawn = new double[Batch.WIDTH];
        for (int first = 0; first < iterations; first += Batch.WIDTH) {
            int count = Math.min(Batch.WIDTH, iterations - first);
            filler.fill(batch.at(from + first, count), drawn);
            System.arraycopy(drawn, 0, values, first, count);
        }
        return values;
    }

    /** Fills the values of an input in the lanes of a batch. */
    @FunctionalInterface
    interface Filler {
        void fill(Batch batch, double[] out);
    }

    private UncertainInput estimate(Key key) {
        return switch (key.kind()) {
            case COST -> plan.amount(key.id());
            case PRICE -> plan.rate(key.id());
            default -> plan.duration(network.position(key.id()));
        };
    }

    private Filler group(List<Key> members) {
        boolean mixed = members.stream().map(Key::kind).distinct().count() > 1;
        double[] one = new double[Batch.WIDTH];
        return (batch, out) -> {
            Arrays.fill(out, 0, batch.count(), 0);
            for (Key key : members) {
                UncertainInput input = estimate(key);
                double unit = mixed ? input.standardDeviation() : 1;
                input.sample(batch, one);
                for (int k = 0; k < batch.count(); k++) {
                    out[k] += one[k] / unit;
                }
            }
        };
    }

    private RiskEvent event(String risk) {
        return plan.risks().events().stream()
                .filter(event -> event.risk().id().equals(risk))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("risk " + risk + " takes no part"));
    }

    private Filler occurrence(RiskEvent event) {
        Strikes strikes = plan.risks().spaceFor(event);
        return (batch, out) -> {
            plan.risks().strikeOnly(event, batch, plan::duration, strikes);
            for (int k = 0; k < batch.count(); k++) {
                out[k] = strikes.count[event.index()][k];
            }
        };
    }

    /** One strike's size, whether it struck or not; the mean over its targets where each has a draw of its own. */
    private Filler size(RiskImpact impact) {
        List<UncertainInput> sizes = streams(network, impact).stream()
                .map(stream -> impact.size().drawnFrom(stream))
                .toList();
        double[] one = new double[Batch.WIDTH];
        return (batch, out) -> {
            Arrays.fill(out, 0, batch.count(), 0);
            for (UncertainInput size : sizes) {
                size.sample(batch, one);
                for (int k = 0; k < batch.count(); k++) {
                    out[k] += one[k] / sizes.size();
                }
            }
        };
    }

    /** The draws of an impact: one, or one for each target. */
    static List<RandomStream> streams(Network network, RiskImpact impact) {
        if (impact.isShared()) {
            return List.of(impact.stream());
        }
        TreeSet<String> targets = new TreeSet<>();
        for (String on : impact.impact().on()) {
            targets.addAll(RiskTargets.of(network, impact.impact().effect(), on));
        }
        return targets.stream().map(network::identity).map(impact::streamOf).toList();
    }
}
