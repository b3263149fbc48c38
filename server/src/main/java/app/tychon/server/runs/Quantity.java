package app.tychon.server.runs;

import app.tychon.core.analysis.DateSample;
import app.tychon.core.analysis.Histogram;
import app.tychon.core.analysis.KernelDensity;
import app.tychon.core.analysis.PercentileInterval;
import app.tychon.core.analysis.Sample;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.CalendarDefinition;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.stream.IntStream;

/**
 * One quantity of a run that odds are read of.
 *
 * @param <V> how a value is told
 * @param perUnit what one unit of "from plan" is in the unit of the sample
 */
record Quantity<V>(
        Sample sample,
        double plan,
        Optional<Double> target,
        Histogram histogram,
        double sd,
        double perUnit,
        DoubleFunction<V> tell) {
    private static final int COST_BINS = 40;
    private static final int CURVE_STEPS = 200;
    private static final int DENSITY_POINTS = 512;

    static Quantity<LocalDateTime> finish(RecordedRun run) {
        CalendarDefinition calendar = run.plan().projectCalendar();
        return new Quantity<>(
                run.finish(),
                run.result().planFinish(),
                run.plan().project().targets().finish().map(Instants::of),
                DateSample.histogram(run.finish()),
                run.duration().standardDeviation() / (calendar.hoursPerDay() * 60),
                Instants.DAY,
                Instants::toCivil);
    }

    static Quantity<Double> cost(RecordedRun run) {
        return new Quantity<>(
                run.cost(),
                run.result().cost().planned(),
                run.plan().project().targets().cost(),
                Histogram.of(run.cost(), COST_BINS),
                run.cost().standardDeviation(),
                1,
                value -> value);
    }

    Odds<V> odds(List<Double> levels) {
        return new Odds<>(
                at(plan),
                target.map(this::at).orElse(null),
                tell.apply(sample.mean()),
                tell.apply(KernelDensity.of(sample, DENSITY_POINTS).mode()),
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

    /** The value that is kept with a chance. */
    Odds.Reading<V> ofChance(double chance) {
        return reading(sample.percentile(chance), chance);
    }

    /** The chance with which a value is kept. */
    Odds.Reading<V> at(double value) {
        return reading(value, sample.chance(value));
    }

    private Odds.Reading<V> reading(double value, double chance) {
        PercentileInterval interval = sample.percentileWithInterval(chance);
        return new Odds.Reading<>(
                tell.apply(value),
                chance,
                tell.apply(interval.low()),
                tell.apply(interval.high()),
                (value - plan) / perUnit);
    }
}
