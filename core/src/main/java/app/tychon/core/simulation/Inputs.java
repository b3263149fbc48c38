package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.model.CostLine;
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
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Input.Key;
import app.tychon.core.simulation.settings.Input.Kind;
import app.tychon.core.simulation.settings.RunSettings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;

/**
 * The uncertain quantities of a compiled plan, and what each was in every iteration of a run. Nothing of it is stored:
 * draws are recomputed.
 */
public final class Inputs {
    private final CompiledPlan plan;
    private final Network network;

    private Inputs(CompiledPlan plan) {
        this.plan = plan;
        network = plan.network();
    }

    public static Inputs of(CompiledPlan plan) {
        return new Inputs(plan);
    }

    /** Every quantity that is not certain: durations in the plan's order, cost lines and risks by code. */
    public List<Input> all() {
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
        plan.risks().events().stream()
                .sorted(Comparator.comparing(event -> event.risk().id()))
                .forEach(event -> addRisk(event, inputs));
        return inputs;
    }

    private static void addRisk(RiskEvent event, List<Input> inputs) {
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
                    case OCCURRENCE -> occurrence(event(input.id()));
                    case IMPACT ->
                        size(event(input.id()).impacts().get(input.key().impact()));
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

    @FunctionalInterface
    private interface Filler {
        void fill(Batch batch, double[] out);
    }

    private RiskEvent event(String risk) {
        return plan.risks().events().stream()
                .filter(event -> event.risk().id().equals(risk))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("risk " + risk + " takes no part"));
    }

    private Filler occurrence(RiskEvent event) {
        Strikes strikes = plan.risks().space();
        return (batch, out) -> {
            plan.risks().strikeOnly(event, batch, plan::duration, strikes);
            for (int k = 0; k < batch.count(); k++) {
                out[k] = strikes.count[event.index()][k];
            }
        };
    }

    /** One strike's size, whether it struck or not; the mean over its targets where each has a draw of its own. */
    private Filler size(RiskImpact impact) {
        List<UncertainInput> sizes = streams(impact).stream()
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

    private List<RandomStream> streams(RiskImpact impact) {
        if (impact.isShared()) {
            return List.of(impact.stream());
        }
        TreeSet<String> targets = new TreeSet<>();
        for (String on : impact.impact().on()) {
            targets.addAll(RiskTargets.of(network, impact.impact().effect(), on));
        }
        return targets.stream().map(impact::streamOf).toList();
    }
}
