package app.tychon.server.live;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.Interim;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.KernelDensity;
import app.tychon.core.statistics.Sample;
import app.tychon.server.plan.LoadedPlan;
import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.DoubleFunction;
import java.util.stream.IntStream;

/**
 * Where a plan is heading, by a short simulation. All outlooks share their random numbers, so that what differs between
 * two of the same length is what differs between their plans.
 *
 * @param finish of the project
 * @param cost of the project; absent where the plan has no money
 */
public record Outlook(int iterations, Heading<LocalDateTime> finish, @Nullable Heading<Double> cost) {
    /** Always the same, so that an edit and its taking back end at the same odds. */
    private static final long SEED = 4711;

    /** As many as tell the odds of a plan well enough to decide by. */
    public static final int REFINED = 5_000;

    private static final int THREADS = 2;
    private static final int DENSITY_POINTS = 81;

    /**
     * Where one quantity is heading.
     *
     * @param <V> LocalDateTime or Double
     * @param planChance 0 to 1, of the plan's value or less
     * @param sd standard deviation: working days of the project's calendar, or money
     * @param percentiles the values at 1, 2, … 99 %
     * @param low where the density begins
     * @param high where it ends
     * @param density heights from 0 to 100 at even steps from low to high
     */
    public record Heading<V>(
            V plan,
            double planChance,
            @Nullable V target,
            @Nullable Double targetChance,
            V mean,
            double sd,
            List<V> percentiles,
            V low,
            V high,
            List<Integer> density) {}

    /** @throws java.util.concurrent.CancellationException when the thread is interrupted or the monitor stops it */
    public static Outlook of(CompiledPlan plan, int iterations, RunMonitor monitor) {
        Outcomes outcomes = Simulation.outcomes(plan, settings(iterations), monitor);
        if (outcomes.finish().length < iterations) {
            throw new CancellationException("stopped before all futures were simulated");
        }
        return of(
                plan.network().plan(),
                plan.schedule().finish(),
                plan.plannedCost(),
                new Interim.Values(outcomes.finish(), outcomes.duration(), outcomes.cost()));
    }

    static Outlook of(CompiledPlan plan, RunResult result) {
        return of(
                plan.network().plan(),
                result.planFinish(),
                result.cost().planned(),
                new Interim.Values(
                        result.finish(), result.duration(), result.cost().totals()));
    }

    /** Of what a run of a plan has seen so far. */
    public static Outlook of(LoadedPlan plan, Interim.Values values) {
        return of(plan.plan(), plan.schedule().finish(), plan.cost(), values);
    }

    private static Outlook of(Plan plan, double planFinish, double planCost, Interim.Values values) {
        double day = plan.projectCalendar().hoursPerDay() * 60;
        WorkingTime time = WorkingTimes.ofProject(plan);
        Sample finishes = DateSample.of(values.finish(), time);
        Heading<LocalDateTime> finish = heading(
                finishes,
                DateSample.density(finishes, time, DENSITY_POINTS),
                planFinish,
                plan.project().targets().finish().map(Instants::of),
                Sample.of(values.duration()).standardDeviation() / day,
                Instants::toCivil);
        boolean money = planCost != 0 || Arrays.stream(values.cost()).anyMatch(cost -> cost != 0);
        Sample cost = Sample.of(values.cost());
        return new Outlook(
                values.iterations(),
                finish,
                money
                        ? heading(
                                cost,
                                KernelDensity.of(cost, DENSITY_POINTS),
                                planCost,
                                plan.project().targets().cost(),
                                cost.standardDeviation(),
                                value -> value)
                        : null);
    }

    /** How every outlook of so many iterations is simulated. */
    public static RunSettings settings(int iterations) {
        return new RunSettings(iterations, SEED, Sampling.LATIN, THREADS);
    }

    private static <V> Heading<V> heading(
            Sample sample,
            KernelDensity density,
            double plan,
            Optional<Double> target,
            double sd,
            DoubleFunction<V> tell) {
        double tallest = Arrays.stream(density.density()).max().orElse(0);
        return new Heading<>(
                tell.apply(plan),
                sample.chance(plan),
                target.map(tell::apply).orElse(null),
                target.map(sample::chance).orElse(null),
                tell.apply(sample.mean()),
                sd,
                IntStream.rangeClosed(1, 99)
                        .mapToObj(p -> tell.apply(sample.percentile(p / 100.0)))
                        .toList(),
                tell.apply(density.low()),
                tell.apply(density.low() + density.step() * (density.density().length - 1)),
                Arrays.stream(density.density())
                        .mapToObj(h -> tallest == 0 ? 0 : (int) Math.round(100 * h / tallest))
                        .toList());
    }
}
