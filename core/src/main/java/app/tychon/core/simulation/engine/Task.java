package app.tychon.core.simulation.engine;

import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import java.util.List;

/**
 * What is simulated in blocks, as whoever helps must know it.
 *
 * @param plan     in the variation in which, and with the aim towards which, it is simulated
 * @param settings of the whole run
 * @param asked    variations of the plan that are compared with it, where differences are wanted
 */
public record Task(CompiledPlan plan, RunSettings settings, Wanted wanted, List<Variation> asked) {
    /** What is kept of it. */
    public enum Wanted {
        /** Everything. */
        ALL,
        /** Finish and cost alone. */
        OUTCOMES,
        /** Finish and cost, and where variations come out otherwise. */
        DIFFERENCES
    }

    public Task {
        asked = List.copyOf(asked);
    }

    public static Task all(CompiledPlan plan, RunSettings settings) {
        return new Task(plan, settings, Wanted.ALL, List.of());
    }

    public static Task outcomes(CompiledPlan plan, RunSettings settings) {
        return new Task(plan, settings, Wanted.OUTCOMES, List.of());
    }

    /** @param asked variations of this plan */
    public static Task differences(CompiledPlan plan, RunSettings settings, List<Variation> asked) {
        return new Task(plan, settings, Wanted.DIFFERENCES, asked);
    }
}
