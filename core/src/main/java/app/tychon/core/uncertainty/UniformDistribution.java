package app.tychon.core.uncertainty;

/** f(x) = 1 / (b − a) for a ≤ x ≤ b: any value between the ends is as likely as any other. */
public final class UniformDistribution implements Distribution {
    private final double low;
    private final double high;

    private UniformDistribution(double low, double high) {
        this.low = low;
        this.high = high;
    }

    /** @throws IllegalArgumentException unless low &lt; high, both finite */
    public static UniformDistribution of(double low, double high) {
        Require.that(
                low < high && Double.isFinite(high - low),
                "a uniform range needs low < high, not %s and %s",
                low,
                high);
        return new UniformDistribution(low, high);
    }

    @Override
    public double density(double x) {
        return x < low || x > high ? 0 : 1 / (high - low);
    }

    @Override
    public double cumulative(double x) {
        return x <= low ? 0 : x >= high ? 1 : (x - low) / (high - low);
    }

    @Override
    public double inverse(double p) {
        Require.probability(p);
        return low + p * (high - low);
    }

    @Override
    public double mean() {
        return low + (high - low) / 2;
    }

    @Override
    public double standardDeviation() {
        return (high - low) / Math.sqrt(12);
    }

    @Override
    public double low() {
        return low;
    }

    @Override
    public double high() {
        return high;
    }
}
