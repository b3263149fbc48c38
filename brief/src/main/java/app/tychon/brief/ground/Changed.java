package app.tychon.brief.ground;

import app.tychon.brief.ground.Ground.Past;
import app.tychon.core.analysis.PlanChange;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.simulation.settings.RunSettings;
import java.util.List;
import java.util.Optional;

/**
 * What changed since an earlier run.
 *
 * @param past  the earlier run
 * @param steps from there to now, kind by kind; none where what lies between cannot be calculated
 */
public record Changed(Past past, List<PlanChange.Step> steps) {
    private static final long MOST_WORK = 2_000_000;

    private record Asked(int run, double level) {}

    /**
     * @param number of the earlier run; the one before this where there is none
     * @return nothing where there is no such run
     */
    public static Optional<Changed> since(Ground ground, Optional<Integer> number, double level) {
        Optional<Integer> asked =
                number.or(() -> ground.earlier().stream().findFirst().map(Ground.Run::number));
        return asked.flatMap(ground::past).map(past -> new Changed(past, steps(ground, past, level)));
    }

    private static List<PlanChange.Step> steps(Ground ground, Past past, double level) {
        RunSettings settings = Futures.of(ground, MOST_WORK);
        return ground.once(new Asked(past.run().number(), level), 2 * settings.iterations(), (plan, monitor) -> {
            try {
                return PlanChange.of(past.plan(), ground.plan(), settings, level, monitor);
            } catch (InvalidPlanException e) {
                return List.of();
            }
        });
    }
}
