package app.tychon.server.drivers;

import app.tychon.core.analysis.JointSample;
import app.tychon.core.analysis.JointSample.Quadrants;
import app.tychon.core.analysis.Scatter;
import app.tychon.core.statistics.Histogram;
import app.tychon.core.statistics.Sample;
import jakarta.annotation.Nullable;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * Two quantities of the same futures.
 *
 * @param futures  how many there are
 * @param every    one in so many of them is drawn
 * @param points   those, evenly chosen
 * @param both     share of all futures, 0 to 1, at or below both lines
 * @param onlyX    at or below the line of x alone
 * @param onlyY    at or below that of y alone
 * @param beyond   chance of being above the line of y where x is above its own; absent where that never happens
 * @param within   the same where x is not
 * @param pearson  product-moment correlation; absent where either never varies
 * @param spearman rank correlation
 * @param error    half-width of its 95 % interval
 * @param shaped   whether the cloud leans by more than chance would make it
 * @param slope    of the straight line through it, units of y a unit of x; of a date, days
 */
record ScatterView(
        ScatterAxis x,
        ScatterAxis y,
        int futures,
        int every,
        List<ScatterPoint> points,
        double both,
        double onlyX,
        double onlyY,
        double neither,
        @Nullable Double beyond,
        @Nullable Double within,
        @Nullable Double pearson,
        @Nullable Double spearman,
        double error,
        boolean shaped,
        @Nullable Double slope) {
    private static final int MOST_POINTS = 2000;
    private static final int BINS = 30;

    /**
     * A quantity along one side.
     *
     * @param key    what it is asked for by
     * @param name   what it is called
     * @param unit   date, day, money, strike, factor or score; a date is told as milliseconds since 1970 without a zone
     * @param line   where it is cut
     * @param low    the least value
     * @param high   the greatest
     * @param counts how many futures lie in each of equal parts between them
     */
    record ScatterAxis(
            String key, String name, String unit, double line, double low, double high, List<Integer> counts) {}

    /** @param number of the future in its run, from 1 */
    record ScatterPoint(int number, double x, double y) {}

    static ScatterView of(Side x, Side y, OptionalDouble atX, OptionalDouble atY) {
        double lineX = atX.orElseGet(x::usual);
        double lineY = atY.orElseGet(y::usual);
        double[] xs = x.told();
        double[] ys = y.told();
        int count = Math.min(xs.length, ys.length);
        Quadrants shares = JointSample.of(xs, ys).quadrants(lineX, lineY);
        Scatter scatter = Scatter.of(x.values(), y.values());
        int every = Math.max(1, (count + MOST_POINTS - 1) / MOST_POINTS);
        double above = shares.onlyY() + shares.neither();
        double below = shares.both() + shares.onlyX();
        return new ScatterView(
                axis(x, lineX),
                axis(y, lineY),
                count,
                every,
                IntStream.range(0, count)
                        .filter(i -> i % every == 0)
                        .mapToObj(i -> new ScatterPoint(i + 1, xs[i], ys[i]))
                        .toList(),
                shares.both(),
                shares.onlyX(),
                shares.onlyY(),
                shares.neither(),
                above > 0 ? shares.neither() / above : null,
                below > 0 ? shares.onlyX() / below : null,
                Drivers.known(scatter.pearson()),
                Drivers.known(scatter.spearman()),
                scatter.error(),
                scatter.hasShape(),
                Drivers.known(scatter.slope()));
    }

    private static ScatterAxis axis(Side side, double line) {
        Histogram histogram = Histogram.of(Sample.of(side.told()), BINS);
        return new ScatterAxis(
                side.key(),
                side.name(),
                side.unit(),
                line,
                histogram.low(),
                histogram.low() + histogram.width() * histogram.counts().length,
                Arrays.stream(histogram.counts()).boxed().toList());
    }
}
