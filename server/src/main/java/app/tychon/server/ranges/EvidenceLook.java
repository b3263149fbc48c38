package app.tychon.server.ranges;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Evidence;
import app.tychon.core.model.EvidenceRules;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Shape;
import app.tychon.core.statistics.Histogram;
import app.tychon.core.statistics.Sample;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import app.tychon.core.uncertainty.fitting.Fit;
import app.tychon.core.uncertainty.fitting.Fitting;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.ranges.EvidenceReader;
import app.tychon.exchange.table.CellProblem;
import app.tychon.server.plan.EstimateWords;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * Past work with the shapes that fit it, the best first.
 *
 * @param observations pairs of planned and actual values, or the actual values alone
 * @param ratios whether the values fitted are ratios of actual to planned
 * @param few whether there are too few to say much about a shape
 * @param problems rows that were left out
 * @param refusal why nothing can be fitted
 * @param edges edges of the histogram's bins, one more than counts
 * @param axisLow where the densities begin, a little below the data
 * @param axisHigh where they end
 */
record EvidenceLook(
        List<List<Double>> observations,
        boolean ratios,
        boolean few,
        List<CellProblem> problems,
        @Nullable String refusal,
        double mean,
        double median,
        double low,
        double high,
        List<Double> edges,
        List<Integer> counts,
        double axisLow,
        double axisHigh,
        List<FitView> fits) {
    private static final int CURVE_POINTS = 121;
    private static final int MOST_BINS = 24;
    /** How far the axis goes beyond the data, as a share of their span. */
    private static final double ROOM = 0.15;
    /** Kolmogorov's distance that one sample in twenty exceeds by chance, times the root of the sample's size. */
    private static final double BY_CHANCE = 1.358;

    /**
     * A shape fitted.
     *
     * @param words the estimate in the words of the project file, factors where the values are ratios
     * @param aic Akaike's criterion, the lower the better
     * @param behind by how much it exceeds that of the best
     * @param distance Kolmogorov–Smirnov: the largest gap between the data's curve and the fitted one, 0 to 1
     * @param expectedDistance the gap that chance alone would exceed one time in twenty
     * @param andersonDarling A², which weighs the tails
     * @param density heights at even steps along the axis, in observations a bin
     */
    record FitView(
            String shape,
            @Schema(implementation = EstimateWords.class) JsonNode words,
            double aic,
            double behind,
            double distance,
            double expectedDistance,
            double andersonDarling,
            double p10,
            double p50,
            double p90,
            List<Double> density) {}

    static EvidenceLook of(EvidenceReader.Read read) {
        Evidence evidence = new Evidence("V", "Past work", read.observations(), List.of());
        List<List<Double>> pairs = read.observations().stream()
                .map(o ->
                        o.planned().isPresent() ? List.of(o.planned().getAsDouble(), o.actual()) : List.of(o.actual()))
                .toList();
        String refusal = refusal(evidence);
        if (refusal != null) {
            return new EvidenceLook(
                    pairs, false, true, read.problems(), refusal, 0, 0, 0, 0, List.of(), List.of(), 0, 0, List.of());
        }
        double[] values = evidence.values();
        Sample sample = Sample.of(values);
        Histogram histogram = Histogram.of(sample, bins(values.length));
        double room = ROOM * (sample.max() - sample.min());
        double axisLow = Math.max(0, sample.min() - room);
        double axisHigh = sample.max() + room;
        List<Fit> fits = Fitting.ranked(values);
        return new EvidenceLook(
                pairs,
                evidence.isOfRatios(),
                values.length < Fitting.FEW,
                read.problems(),
                null,
                sample.mean(),
                sample.percentile(0.5),
                sample.min(),
                sample.max(),
                IntStream.rangeClosed(0, histogram.counts().length)
                        .mapToObj(i -> histogram.low() + i * histogram.width())
                        .toList(),
                Arrays.stream(histogram.counts()).boxed().toList(),
                axisLow,
                axisHigh,
                fits.stream()
                        .map(fit ->
                                view(fit, fits.get(0).aic(), evidence, new Axis(axisLow, axisHigh, histogram.width())))
                        .toList());
    }

    private static String refusal(Evidence evidence) {
        List<Problem> problems = EvidenceRules.problems(evidence);
        if (!problems.isEmpty()) {
            return problems.get(0).message();
        }
        double[] values = evidence.values();
        return Arrays.stream(values).distinct().count() == 1
                ? "all values are the same, " + values[0] + ": there is no spread to fit"
                : null;
    }

    private static int bins(int count) {
        return (int) Math.max(5, Math.min(MOST_BINS, Math.round(2 * Math.cbrt(count))));
    }

    private static FitView view(Fit fit, double best, Evidence evidence, Axis axis) {
        Shape shape = cutAtZero(fit.shape());
        Distribution distribution = Distributions.of(shape, 1);
        int count = evidence.observations().size();
        Estimate estimate = new Estimate(shape, evidence.isOfRatios() ? Basis.FACTOR : Basis.DAYS);
        ObjectNode words = EstimateJson.write(estimate);
        if (!evidence.isOfRatios()) {
            // Days or money: that depends on what it is given to.
            words.remove("basis");
        }
        return new FitView(
                EstimateJson.word(shape),
                words,
                fit.aic(),
                fit.aic() - best,
                fit.kolmogorovSmirnov(),
                BY_CHANCE / Math.sqrt(count),
                fit.andersonDarling(),
                distribution.inverse(0.1),
                distribution.inverse(0.5),
                distribution.inverse(0.9),
                IntStream.range(0, CURVE_POINTS)
                        .mapToObj(i -> count
                                * axis.bin()
                                * distribution.density(
                                        axis.low() + (axis.high() - axis.low()) * i / (CURVE_POINTS - 1)))
                        .map(h -> Double.isFinite(h) ? h : 0)
                        .toList());
    }

    /** Where densities are drawn, and how wide a bin of the histogram beneath them is. */
    private record Axis(double low, double high, double bin) {}

    /** No work takes less than nothing. */
    private static Shape cutAtZero(Shape shape) {
        boolean below = Distributions.of(shape, 1).cumulative(0) > 0;
        return below ? new Shape.Truncated(shape, OptionalDouble.of(0), OptionalDouble.empty()) : shape;
    }
}
