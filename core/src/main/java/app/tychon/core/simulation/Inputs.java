package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import java.util.ArrayList;
import java.util.List;

/**
 * The uncertain quantities of a compiled plan, and what each was in every iteration of a run. Nothing of it is stored:
 * draws are recomputed.
 */
public final class Inputs {
    public enum Kind {
        /** The estimate of an activity's duration, working minutes. */
        ESTIMATE,
        /** The estimate of a cost line's amount, money. */
        COST
    }

    /**
     * One uncertain quantity.
     *
     * @param id code of the activity or cost line
     */
    public record Input(String id, String name, Kind kind, int index) {}

    private final CompiledPlan plan;

    private Inputs(CompiledPlan plan) {
        this.plan = plan;
    }

    public static Inputs of(CompiledPlan plan) {
        return new Inputs(plan);
    }

    /** Every quantity that is not certain: durations in the plan's order, then cost lines by code. */
    public List<Input> all() {
        List<Input> inputs = new ArrayList<>();
        for (Activity activity : plan.network().plan().activities()) {
            int position = plan.network().position(activity.id());
            if (!plan.duration(position).isCertain()) {
                inputs.add(new Input(activity.id(), activity.name(), Kind.ESTIMATE, position));
            }
        }
        plan.costs().uncertain().forEach(inputs::add);
        return inputs;
    }

    /** The values of an input in the first {@code iterations} of a run with these settings. */
    public double[] sample(Input input, RunSettings settings, int iterations) {
        UncertainInput uncertain = input.kind() == Kind.ESTIMATE
                ? plan.duration(input.index())
                : plan.costs().amount(input.index());
        Draws draws = new Draws(settings.seed(), settings.sampling());
        double[] values = new double[iterations];
        double[] batch = new double[Simulation.BATCH];
        int[] words = new int[4];
        for (int first = 0; first < iterations; first += Simulation.BATCH) {
            int count = Math.min(Simulation.BATCH, iterations - first);
            uncertain.sample(draws, first, count, batch, words);
            System.arraycopy(batch, 0, values, first, count);
        }
        return values;
    }
}
