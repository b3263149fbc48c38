package app.tychon.server.odds;

import app.tychon.core.calendar.Instants;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Histogram;
import app.tychon.core.statistics.KernelDensity;
import app.tychon.core.statistics.PercentileInterval;
import app.tychon.core.statistics.Sample;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;
import java.util.function.IntFunction;
import java.util.stream.IntStream;

/**
 * One quantity of a simulation that odds are read of.
 *
 * @param <V> how a value is told
 * @param plan its value without uncertainty
 * @param target what was promised
 * @param bars the histogram of at most so many bars
 * @param mode where the density is highest
 * @param sd standard deviation: working days of the project's calendar, or the unit of the amount
 * @param tell makes what is told of a value
 * @param fromPlan how far a value lies above the plan, in what differences are told in
 * @param work how far in working days, for dates
 */
public record Quantity<V>(
        Sample sample,
        double plan,
        Optional<Double> target,
        IntFunction<Histogram> bars,
        double mode,
        double sd,
        DoubleFunction<V> tell,
        DoubleUnaryOperator fromPlan,
        Optional<DoubleUnaryOperator> work) {
    private static final int CURVE_STEPS = 200;
    private static final int DENSITY_POINTS = 512;

    /** Of instants in minutes. */
    static Quantity<LocalDateTime> dates(Opened run, double[] instants, double plan, Optional<Double> target) {
        Sample sample = run.dates(instants);
        double day = run.plan().projectCalendar().hoursPerDay() * 60;
        DoubleUnaryOperator worked = instant -> run.time().work(instant) / day;
        return new Quantity<>(
                sample,
                plan,
                target,
                most -> DateSample.histogram(sample, most),
                DateSample.mode(sample, run.time(), DENSITY_POINTS),
                Sample.of(Arrays.stream(instants).map(worked).toArray()).standardDeviation(),
                Instants::toCivil,
                value -> (value - plan) / Instants.DAY,
                Optional.of(value -> worked.applyAsDouble(value) - worked.applyAsDouble(plan)));
    }

    /** Of amounts: days, or money. */
    public static Quantity<Double> amounts(double[] values, double plan, Optional<Double> target) {
        Sample sample = Sample.of(values);
        return new Quantity<>(
                sample,
                plan,
                target,
                most -> Histogram.of(sample, most),
                KernelDensity.of(sample, DENSITY_POINTS).mode(),
                sample.standardDeviation(),
                value -> value,
                value -> value - plan,
                Optional.empty());
    }

    /**
     * @param bins most bars of the histogram
     * @param settings of the simulation
     */
    public Odds<V> odds(List<Double> levels, int bins, RunSettings settings) {
        Histogram histogram = bars.apply(bins);
        return new Odds<>(
                sample.size(),
                settings.seed(),
                settings.sampling().name().toLowerCase(Locale.ROOT),
                at(plan),
                target.map(this::at).orElse(null),
                tell.apply(sample.mean()),
                tell.apply(mode),
                tell.apply(sample.min()),
                tell.apply(sample.max()),
                sd,
                sample.skewness(),
                sample.kurtosis(),
                levels.stream().map(this::ofChance).toList(),
                IntStream.rangeClosed(0, histogram.counts().length)
                        .mapToObj(i -> tell.apply(histogram.low() + i * histogram.width()))
                        .toList(),
                Arrays.stream(histogram.counts()).boxed().toList(),
                IntStream.rangeClosed(0, CURVE_STEPS)
                        .mapToObj(i -> tell.apply(sample.percentile((double) i / CURVE_STEPS)))
                        .toList());
    }

    /** About how much memory it takes. */
    long bytes() {
        return (long) Double.BYTES * sample.size();
    }

    /** The value that is kept with a chance. */
    public Odds.Reading<V> ofChance(double chance) {
        return reading(sample.percentile(chance), chance);
    }

    /** The chance with which a value is kept. */
    public Odds.Reading<V> at(double value) {
        return reading(value, sample.chance(value));
    }

    private Odds.Reading<V> reading(double value, double chance) {
        PercentileInterval interval = sample.percentileWithInterval(chance);
        return new Odds.Reading<>(
                tell.apply(value),
                chance,
                sample.chanceError(chance),
                tell.apply(interval.low()),
                tell.apply(interval.high()),
                fromPlan.applyAsDouble(value),
                work.map(days -> days.applyAsDouble(value)).orElse(null));
    }
}
