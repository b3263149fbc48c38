package app.tychon.core.uncertainty;

/** A certain value. Its density is a spike, given here as infinite at the value. */
public final class FixedDistribution implements Distribution {
    private final double value;

    private FixedDistribution(double value) {
        this.value = value;
    }

    public static FixedDistribution of(double value) {
        Require.that(Double.isFinite(value), "a certain value must be finite, not %s", value);
        return new FixedDistribution(value);
    }

    @Override
    public double density(double x) {
        return x == value ? Double.POSITIVE_INFINITY : 0;
    }

    @Override
    public double cumulative(double x) {
        return x < value ? 0 : 1;
    }

    @Override
    public double inverse(double p) {
        Require.probability(p);
        return value;
    }

    @Override
    public double mean() {
        return value;
    }

    @Override
    public double standardDeviation() {
        return 0;
    }

    @Override
    public double low() {
        return value;
    }

    @Override
    public double high() {
        return value;
    }
}
